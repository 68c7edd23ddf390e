/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const afterHandOver = (beforeCount: number): string => `after hand-over ${beforeCount}`;
export const anInstrumentThatReadsMbitS = (readMbps: string, planMbps: string): string =>
  `an instrument that reads ${readMbps} Mbit/s through a line sold as ${planMbps} is in doubt on ` +
  'all it read: read both again with another';
export const atEveryStandThatBothReached = (at: string): string =>
  'at every stand that both reached they read what is behind them: they can be told apart farther ' +
  `out than ${at}, or on a faster line`;
export const connectedAtOfLikeStandsAt = (
  product: string,
  connected: number,
  part: number,
  product2: string,
  connected2: number,
): string =>
  `${product} connected at ${connected} of ${part} like stands, ${product2} at ${connected2}: no ` +
  'stand is left at which both did';
export const day = (day: number): string => `day ${day}`;
export const failedAt = 'failed at';
export const heldAt = 'held at';
export const itGoesOn = (exposure: string): string => `it goes on ${exposure}`;
export const itIsNotFinished = 'it is not finished';
export const noStandWasReadWithBoth = 'no stand was read with both: read both at the same stands';
export const notNoted = 'not noted';
export const ofAnotherDevice = 'of another device';
export const placeUnknown = 'place unknown';
export const readWithDifferentAgainstReadBoth = (what: string, quoted: string, quoted2: string): string =>
  `read with different ${what}, ${quoted} against ${quoted2}: read both with one at the same ` +
  'stands, or one stand with both';
export const simulatedGearBesideRealWalks = 'simulated gear, beside real walks';
export const thePathTurns = 'the path turns';
export const workedAgainAt = 'worked again at';
