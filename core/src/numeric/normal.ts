// Bound once: inside a sandbox (tests, workers) each look-up of a global is slow, and these run by the million.
const { abs, exp, log, log1p, max, sqrt } = Math;
const LOG_SQRT_2PI = 0.9189385332046727;

export const logNormalPdf = (z: number): number => -0.5 * z * z - LOG_SQRT_2PI;

/** Horner's rule, coefficients from the lowest power up. */
function polynomial(x: number, coefficients: readonly number[]): number {
  let sum = 0;
  for (let i = coefficients.length - 1; i >= 0; i--) sum = sum * x + (coefficients[i] as number);
  return sum;
}

const ratio = (x: number, numerator: readonly number[], denominator: readonly number[]): number =>
  polynomial(x, numerator) / polynomial(x, denominator);

// W. J. Cody, "Rational Chebyshev approximations for the error function", Math. Comp. 23 (1969); constants as in his CALERF.
const ERF_P = [
  3209.377589138469472562, 377.4852376853020208137, 113.8641541510501556495, 3.1611237438705656,
  0.185777706184603152673,
];
const ERF_Q = [
  2844.236833439170622273, 1282.616526077372275645, 244.0246379344441733056, 23.60129095234412093499, 1,
];
const MID_P = [
  1230.33935479799725272, 2051.07837782607146532, 1712.04761263407058314, 881.952221241769090411,
  298.635138197400131132, 66.1191906371416294775, 8.88314979438837594118, 0.56418849698867008918,
  2.15311535474403846343e-8,
];
const MID_Q = [
  1230.33935480374942043, 3439.36767414372163696, 4362.6190901432471582, 3290.79923573345962678,
  1621.38957456669018874, 537.181101862009857509, 117.693950891312499305, 15.7449261107098347253, 1,
];
const FAR_P = [
  6.58749161529837803157e-4, 1.60837851487422766278e-2, 0.125781726111229246204, 0.360344899949804439429,
  0.305326634961232344035, 1.63153871373020978498e-2,
];
const FAR_Q = [
  2.33520497626869185443e-3, 6.05183413124413191178e-2, 0.527905102951428412248, 1.87295284992346725209,
  2.56852019228982242072, 1,
];
const SQRT_PI = 1.7724538509055159;

/** Scaled complementary error function exp(x²)·erfc(x) for x ≥ 0.46875. */
function erfcxPositive(x: number): number {
  if (x <= 4) return ratio(x, MID_P, MID_Q);
  const y = 1 / (x * x);
  return (1 / SQRT_PI - y * ratio(y, FAR_P, FAR_Q)) / x;
}

/**
 * Natural log of the standard normal distribution function, to about 1e-15 relative in either tail.
 * Worked value: logNormalCdf(-40) = -804.608442.
 */
export function logNormalCdf(z: number): number {
  if (Number.isNaN(z)) throw new RangeError(`invalid z: ${z}`);
  const x = abs(z) * Math.SQRT1_2;
  if (x < 0.46875) return log(0.5 + 0.5 * z * Math.SQRT1_2 * ratio(x * x, ERF_P, ERF_Q));
  const logTail = log(0.5 * erfcxPositive(x)) - x * x;
  return z < 0 ? logTail : log1p(-exp(logTail));
}

/**
 * ln[Φ(b) − Φ(a)] for a < b, either end infinite. The difference is taken in the tail where both are small:
 * Φ(9) − Φ(8) is 6e-16, and would vanish as a difference of numbers near one.
 */
export function logNormalMass(a: number, b: number): number {
  if (!(a < b)) throw new RangeError(`invalid interval: (${a}, ${b}]`);
  if (a > 0) return logNormalMass(-b, -a);
  if (a === -Infinity) return b === Infinity ? 0 : logNormalCdf(b);
  if (b <= 0) return logNormalCdf(b) + log1p(-exp(logNormalCdf(a) - logNormalCdf(b)));
  return log1p(-exp(logNormalCdf(a)) - exp(logNormalCdf(-b)));
}

/**
 * Standard normal quantile by Newton's method on the log scale, which converges from the tail side without overshoot.
 * Worked value: normalQuantile(0.975) = 1.959963984540054.
 * @throws RangeError unless 0 < p < 1.
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`invalid p: ${p}`);
  if (p > 0.5) return -normalQuantile(1 - p);
  const target = log(p);
  let z = p < 0.1 ? -sqrt(-2 * target) : 0;
  for (let i = 0; i < 60; i++) {
    const logF = logNormalCdf(z);
    const step = (logF - target) * exp(logF - logNormalPdf(z));
    z -= step;
    if (abs(step) <= 1e-15 * max(1, abs(z))) break;
  }
  return z;
}

export const twoSidedNormalP = (z: number): number => 2 * exp(logNormalCdf(-abs(z)));
