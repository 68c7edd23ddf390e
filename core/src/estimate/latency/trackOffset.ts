import * as phrases from './phrases.ts';

/** Speed of sound in air at 15 °C, m/s: 2.9 ms a metre. */
export const SOUND_MPS = 340.3;

/** How far sound walked to each of two microphones, m. */
export interface ClapDistances {
  readonly toFirstM: number;
  readonly toSecondM: number;
}

/**
 * By how much the second track lags the first, s: peak of their cross-correlation, refined by a parabola
 * through its neighbours, less the time that sound took to each microphone.
 * @throws RangeError unless both tracks have as many samples as the greatest lag wants.
 */
export function trackOffsetS(
  first: Float64Array,
  second: Float64Array,
  sampleRateHz: number,
  greatestLagS: number,
  { toFirstM, toSecondM }: ClapDistances = { toFirstM: 0, toSecondM: 0 },
): number {
  if (!(sampleRateHz > 0)) throw new RangeError(phrases.invalidSampleratehz(sampleRateHz));
  const most = Math.round(greatestLagS * sampleRateHz);
  if (!(most >= 1 && Math.min(first.length, second.length) > 2 * most))
    throw new RangeError(phrases.invalidGreatestlags(greatestLagS));
  const correlation = Float64Array.from({ length: 2 * most + 1 }, (_, i) =>
    correlate(first, second, i - most),
  );
  const peak = correlation.reduce((best, v, i) => (v > (correlation[best] as number) ? i : best), 0);
  return (peak - most + vertex(correlation, peak)) / sampleRateHz - (toSecondM - toFirstM) / SOUND_MPS;
}

function correlate(a: Float64Array, b: Float64Array, lag: number): number {
  let sum = 0;
  const to = Math.min(a.length, b.length - lag);
  for (let i = Math.max(0, -lag); i < to; i++) sum += (a[i] as number) * (b[i + lag] as number);
  return sum;
}

/** Where the parabola through a peak and its neighbours has its top, in samples from the peak. */
function vertex(values: Float64Array, at: number): number {
  const [l, m, r] = [values[at - 1], values[at], values[at + 1]];
  if (l === undefined || m === undefined || r === undefined || l + r === 2 * m) return 0;
  return (l - r) / (2 * (l - 2 * m + r));
}
