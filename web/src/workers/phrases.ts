/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const comparisonIsNotOpen = (id: string): string => `comparison ${id} is not open`;
export const framesOfThisFormAreNot = 'frames of this form are not read by this browser';
export const itHasNoPicture = 'it has no picture';
export const itHasNoSound = 'it has no sound';
export const itIsNotAFileOf = 'it is not a file of this kind, or is nested too deep to be read';
export const leadsNowhereAllItsPlacesAre = (name: string): string =>
  `${name} leads nowhere: all its places are one`;
export const theBaseAnswered = (status: number): string => `the base answered ${status}`;
export const thereIsNoTrackRouteOr = 'there is no track, route or line in it';
export const thisBrowserCannotDecodeItsSound = 'this browser cannot decode its sound';
export const thisBrowserCannotDecodeThe = (what: string): string => `this browser cannot decode the ${what}`;
