import { incompleteBeta } from './incompleteBeta.ts';
import { normalQuantile } from './normal.ts';
import { falsePosition } from './root.ts';

/** P(T ≤ t) for a whole number of degrees of freedom (Abramowitz and Stegun 26.7.3 and 26.7.4). */
export function studentCdf(t: number, df: number): number {
  if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  const theta = Math.atan(t / Math.sqrt(df));
  const cos2 = Math.cos(theta) ** 2;
  const odd = df % 2 === 1;
  let term = odd ? Math.cos(theta) : 1;
  let sum = df > 1 ? term : 0;
  for (let k = odd ? 3 : 2; k < df; k += 2) {
    term *= (cos2 * (k - 1)) / k;
    sum += term;
  }
  const area = odd ? (2 / Math.PI) * (theta + Math.sin(theta) * sum) : Math.sin(theta) * sum;
  return 0.5 + area / 2;
}

/**
 * Student's t quantile, by bisection on the closed form. Worked value: studentQuantile(0.975, 4) = 2.776445.
 * @throws RangeError unless 0.5 ≤ p < 1.
 */
export function studentQuantile(p: number, df: number): number {
  if (!(p >= 0.5 && p < 1)) throw new RangeError(`invalid p: ${p}`);
  if (df > 400) return cornishFisher(normalQuantile(p), df);
  let [low, high] = [0, 1];
  while (studentCdf(high, df) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-13 * high; i++) {
    const mid = (low + high) / 2;
    if (studentCdf(mid, df) < p) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Expansion in 1/df (Abramowitz and Stegun 26.7.5), good to 1e-10 beyond 400 degrees of freedom. */
function cornishFisher(z: number, df: number): number {
  const z2 = z * z;
  const g1 = (z * (z2 + 1)) / 4;
  const g2 = (z * ((5 * z2 + 16) * z2 + 3)) / 96;
  const g3 = (z * (((3 * z2 + 19) * z2 + 17) * z2 - 15)) / 384;
  return z + g1 / df + g2 / df ** 2 + g3 / df ** 3;
}

/**
 * P(|T| ≥ t) = I_x(df/2, 1/2) with x = df/(df + t²) (Abramowitz and Stegun 26.7.2); df need not be whole.
 * Worked value: studentTwoSidedP(2.776445, 4) = 0.05.
 */
export function studentTwoSidedP(t: number, df: number): number {
  if (!(t >= 0)) throw new RangeError(`invalid t: ${t}`);
  if (!(df > 0)) throw new RangeError(`invalid df: ${df}`);
  return incompleteBeta(df / (df + t * t), df / 2, 0.5);
}

/** The quantile on degrees of freedom that need not be whole (Welch's are not), for p from one half up. */
export function studentQuantileOfReal(p: number, df: number): number {
  if (!(p >= 0.5 && p < 1)) throw new RangeError(`invalid p: ${p}`);
  const off = (t: number): number => 1 - studentTwoSidedP(t, df) / 2 - p;
  let high = 1;
  while (off(high) < 0) high *= 2;
  return falsePosition(off, 0, off(0), high, off(high));
}
