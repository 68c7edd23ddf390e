/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const filedAnew = (reason: string): string => `filed anew: ${reason}`;
export const firstPart = (said: string): string => `first part, ${said}`;
export const joinedOfTwo = (reason: string): string => `joined of two: ${reason}`;
export const oneOfThemHasNoBeginning = 'one of them has no beginning';
export const secondPart = (said: string): string => `second part, ${said}`;
export const sIsNotWithinTheWalk = (atS: number, walkS: string, endS: string): string =>
  `${atS} s is not within the walk, which lasts from ${walkS} to ${endS} s`;
export const splitAtS = (atS: string, reason: string): string => `split at ${atS} s: ${reason}`;
export const theSecondBeginsBeforeTheFirst = 'the second begins before the first has ended';
export const theyAreOfTwoProductsRigs =
  'they are of two products, rigs or paths: file one of them anew first';
export const theyWatchTwoDirectionsThatIs = 'they watch two directions: that is two walks';
export const thisWalkHasNoBeginning = 'this walk has no beginning';
export const twoDevicesLoggedThisWalkCorrect = 'two devices logged this walk: correct it entry by entry';
