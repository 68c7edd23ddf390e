/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const answersDoNotFallOffWith = 'answers do not fall off with distance in every walk';
export const fewerThanPressesAtMostStands = (enoughPresses: number): string =>
  `fewer than ${enoughPresses} presses at most stands: only the bracket of “fewer than half ` +
  'answered” (last usable) is an interval';
export const invalidDistancem = (distanceM: number): string => `invalid distanceM: ${distanceM}`;
export const invalidP = (p: number): string => `invalid p: ${p}`;
export const invalidTrialsOf = (successes: number, trials: number): string =>
  `invalid trials: ${successes} of ${trials}`;
export const oneWalkNoInterval = 'one walk: no interval';
