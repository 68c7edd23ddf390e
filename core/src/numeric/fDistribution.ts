import { betaFraction, logGammaOfHalf } from './student.ts';

/**
 * P(F ≥ f) on q and m degrees of freedom: I_x(m/2, q/2) with x = m/(m + q f) (Abramowitz and Stegun 26.6.2).
 * Worked value: fUpper(4.102821, 2, 10) = 0.05.
 */
export function fUpper(f: number, q: number, m: number): number {
  if (!(f >= 0)) throw new RangeError(`invalid f: ${f}`);
  for (const df of [q, m]) if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  if (f === 0) return 1;
  const [a, b, x] = [m / 2, q / 2, m / (m + q * f)];
  const front = Math.exp(
    a * Math.log(x) + b * Math.log1p(-x) - logGammaOfHalf(m) - logGammaOfHalf(q) + logGammaOfHalf(m + q),
  );
  return x < (a + 1) / (a + b + 2)
    ? Math.min(1, (front * betaFraction(x, a, b)) / a)
    : Math.max(0, 1 - (front * betaFraction(1 - x, b, a)) / b);
}
