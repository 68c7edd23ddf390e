/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const cameToItsLimitThatWas = (busy: string): string =>
  `${busy} came to its limit: that was measured, not the link`;
