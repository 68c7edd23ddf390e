/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const fixedEnd = 'fixed end';
export const planOfToScaleNorthUp = (name: string): string => `Plan of ${name}, to scale, north up`;
export const theLineBetweenTheTwoEnds = 'the line between the two ends';
export const theRouteFromTheFixedEnd = 'the route, from the fixed end';
