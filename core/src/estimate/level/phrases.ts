/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const invalidDistancem = (distanceM: number): string => `invalid distanceM: ${distanceM}`;
export const invalidValue = (value: number): string => `invalid value: ${value}`;
