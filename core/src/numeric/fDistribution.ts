import { incompleteBeta } from './incompleteBeta.ts';

/**
 * P(F ≥ f) on q and m degrees of freedom: I_x(m/2, q/2) with x = m/(m + q f) (Abramowitz and Stegun 26.6.2).
 * Worked value: fUpper(4.102821, 2, 10) = 0.05.
 */
export function fUpper(f: number, q: number, m: number): number {
  if (!(f >= 0)) throw new RangeError(`invalid f: ${f}`);
  for (const df of [q, m]) if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  return incompleteBeta(m / (m + q * f), m / 2, q / 2);
}
