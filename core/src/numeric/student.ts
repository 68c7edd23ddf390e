import { normalQuantile } from './normal.ts';

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

/** ln Γ(k/2) for a whole k ≥ 1, by its recurrence. */
export function logGammaOfHalf(k: number): number {
  let sum = k % 2 === 1 ? 0.5 * Math.log(Math.PI) : 0;
  for (let x = k % 2 === 1 ? 0.5 : 1; x < k / 2; x++) sum += Math.log(x);
  return sum;
}

/**
 * P(|T| ≥ t) = I_x(df/2, 1/2) with x = df/(df + t²) (Abramowitz and Stegun 26.7.2), by the continued
 * fraction of the incomplete beta function (26.5.8): small probabilities keep their digits. Worked value:
 * studentTwoSidedP(2.776445, 4) = 0.05.
 */
export function studentTwoSidedP(t: number, df: number): number {
  if (!(t >= 0)) throw new RangeError(`invalid t: ${t}`);
  if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  const [a, b, x] = [df / 2, 0.5, df / (df + t * t)];
  if (x === 1) return 1;
  const front = Math.exp(
    a * Math.log(x) + b * Math.log1p(-x) - logGammaOfHalf(df) - logGammaOfHalf(1) + logGammaOfHalf(df + 1),
  );
  // The fraction converges fast on one side of its middle only.
  return x < (a + 1) / (a + b + 2)
    ? Math.min(1, (front * betaFraction(x, a, b)) / a)
    : Math.max(0, 1 - (front * betaFraction(1 - x, b, a)) / b);
}

export function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / (1 - ((a + b) * x) / (a + 1) || tiny);
  let h = d;
  for (let m = 1; m < 10_000; m++) {
    for (const term of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 / (1 + term * d || tiny);
      c = 1 + term / c || tiny;
      h *= d * c;
    }
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return h;
}
