import { logNormalCdf } from './normal.ts';
import { falsePosition } from './root.ts';
import { logGamma } from './incompleteBeta.ts';

/** Panels of a 16-point Gauss-Legendre rule over the spread of the chi distribution. */
const PANELS = 24;
const NODES = [
  0.0950125098376374, 0.2816035507792589, 0.4580167776572274, 0.6178762444026438, 0.755404408355003,
  0.8656312023878318, 0.9445750230732326, 0.9894009349916499,
];
const WEIGHTS = [
  0.1894506104550685, 0.1826034150449236, 0.1691565193950025, 0.1495959888165767, 0.1246289712555339,
  0.0951585116824928, 0.0622535239386479, 0.0271524594117541,
];

/**
 * P(T ≤ t) of the noncentral t distribution, T = (Z + δ)/√(V/df): the normal, averaged over u = √(V/df) by
 * quadrature. Good to about 1e-10 for whole degrees of freedom.
 * @throws RangeError unless df is a whole number from 1.
 */
export function noncentralTCdf(t: number, df: number, delta: number): number {
  if (!Number.isInteger(df) || df < 1) throw new RangeError(`invalid df: ${df}`);
  // The density of u has its weight within ten standard deviations, 1/√(2 df), of one.
  const spread = 10 / Math.sqrt(2 * df);
  const [from, to] = [Math.max(0, 1 - spread), 1 + spread + 3 / df];
  const logFront = Math.log(2) + (df / 2) * Math.log(df / 2) - logGamma(df / 2);
  const density = (u: number): number =>
    u <= 0
      ? df === 1
        ? Math.exp(logFront)
        : 0
      : Math.exp(logFront + (df - 1) * Math.log(u) - (df * u * u) / 2);
  let sum = 0;
  const half = (to - from) / (2 * PANELS);
  for (let panel = 0; panel < PANELS; panel++) {
    const middle = from + (2 * panel + 1) * half;
    NODES.forEach((node, i) => {
      for (const u of [middle - half * node, middle + half * node])
        sum += half * (WEIGHTS[i] as number) * density(u) * Math.exp(logNormalCdf(t * u - delta));
    });
  }
  return Math.min(1, Math.max(0, sum));
}

/** The value that T does not exceed with the chance p. */
export function noncentralTQuantile(p: number, df: number, delta: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`invalid p: ${p}`);
  const off = (t: number): number => noncentralTCdf(t, df, delta) - p;
  let [low, high] = [delta - 2, delta + 2];
  while (off(low) > 0) low -= 2 * (high - low);
  while (off(high) < 0) high += 2 * (high - low);
  return falsePosition(off, low, off(low), high, off(high));
}
