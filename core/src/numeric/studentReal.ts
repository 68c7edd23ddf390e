import { falsePosition } from './root.ts';
import { betaFraction } from './student.ts';

// Lanczos's coefficients for ln Γ, g = 7, n = 9 (as commonly printed; good to 1e-14).
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

function logGamma(x: number): number {
  const shifted = x - 1;
  const t = shifted + 7.5;
  const sum = LANCZOS.reduce((s, c, i) => (i === 0 ? c : s + c / (shifted + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** P(|T| ≥ t) of Student's t on degrees of freedom that need not be whole (Welch's are not). */
export function studentTwoSidedPReal(t: number, df: number): number {
  if (!(t >= 0)) throw new RangeError(`invalid t: ${t}`);
  if (!(df > 0)) throw new RangeError(`invalid df: ${df}`);
  const [a, b, x] = [df / 2, 0.5, df / (df + t * t)];
  if (x === 1) return 1;
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) - logGamma(a) - logGamma(b) + logGamma(a + b));
  return x < (a + 1) / (a + b + 2)
    ? Math.min(1, (front * betaFraction(x, a, b)) / a)
    : Math.max(0, 1 - (front * betaFraction(1 - x, b, a)) / b);
}

/** Its quantile, for p from one half up. */
export function studentQuantileReal(p: number, df: number): number {
  if (!(p >= 0.5 && p < 1)) throw new RangeError(`invalid p: ${p}`);
  const off = (t: number): number => 1 - studentTwoSidedPReal(t, df) / 2 - p;
  let high = 1;
  while (off(high) < 0) high *= 2;
  return falsePosition(off, 0, off(0), high, off(high));
}
