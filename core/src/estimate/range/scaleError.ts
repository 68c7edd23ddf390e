import { Z95 } from '../../numeric/normal.ts';
import type { Ends } from './summarise.ts';

/**
 * Ends of an interval about an estimate with a scale error (relative standard uncertainty, common to all
 * marks of a method) added in quadrature, on the log scale. It does not average out over walks; in ratios
 * by one method on one path it cancels, and must not be added there.
 */
export function withScaleError({ low, high }: Ends, estimateM: number, scale: number): Ends {
  if (!(scale >= 0)) throw new RangeError(`invalid scale: ${scale}`);
  const by = Z95 * Math.log1p(scale);
  const end = (m: number | undefined, side: 1 | -1): number | undefined =>
    m === undefined ? undefined : estimateM * Math.exp(side * Math.hypot(Math.log(m / estimateM), by));
  return { low: end(low, -1), high: end(high, 1) };
}
