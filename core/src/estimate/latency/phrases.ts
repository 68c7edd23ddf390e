/**
 * The words of this room, in English, named by what they begin with; figures and names are passed in. Another language
 * is another such file.
 */
export const invalidCount = (bad: number): string => `invalid count: ${bad}`;
export const invalidCountsNone = 'invalid counts: none';
export const invalidFramespers = (framesPerS: number): string => `invalid framesPerS: ${framesPerS}`;
export const invalidGreatestlags = (greatestLagS: number): string => `invalid greatestLagS: ${greatestLagS}`;
export const invalidReadingsNone = 'invalid readings: none';
export const invalidRefreshhz = (refreshHz: number): string => `invalid refreshHz: ${refreshHz}`;
export const invalidSampleratehz = (sampleRateHz: number): string => `invalid sampleRateHz: ${sampleRateHz}`;
export const theChainsOwnMsWiredBaseline = (part: string, part2: string): string =>
  `the chain's own ${part} ms (wired baseline and one refresh) exceed the ${part2} ms that are ` +
  'left: film it with a faster screen, or a shorter chain';
