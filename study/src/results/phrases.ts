/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const anInstrumentThatReadsMbitS = (readMbps: string, planMbps: string): string =>
  `an instrument that reads ${readMbps} Mbit/s through a line sold as ${planMbps} is in doubt on ` +
  'all it read: read both again with another';
export const atEveryStandThatBothReached = (at: string): string =>
  'at every stand that both reached they read what is behind them: they can be told apart farther ' +
  `out than ${at}, or on a faster line`;
export const day = (day: number): string => `day ${day}`;
export const failedAt = 'failed at';
export const heldAt = 'held at';
export const itGoesOn = (exposure: string): string => `it goes on ${exposure}`;
export const itIsNotFinished = 'it is not finished';
export const noStandWasReadWithBoth = 'no stand was read with both: read both at the same stands';
export const notNoted = 'not noted';
export const ofAnotherDevice = 'of another device';
export const placeUnknown = 'place unknown';
export const simulatedGearBesideRealWalks = 'simulated gear, beside real walks';
export const thePathTurns = 'the path turns';
export const workedAgainAt = 'worked again at';
