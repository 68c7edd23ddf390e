/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const atS = (kind: string, walkS: string): string => `${kind} at ${walkS} s`;
export const device = (row: number): string => `device ${row}`;
export const distanceOverTime = 'distance over time';
export const statesOverTime = 'states over time';
export const theWalkOverTime = 'The walk over time';
export const whatDeviceLogged = (row: number): string => `what device ${row} logged`;
