// Bound once: inside a sandbox (tests, workers) each look-up of a global is slow, and these run by the
// million.
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

// W. J. Cody, "Rational Chebyshev approximations for the error function", Math. Comp. 23 (1969); constants
// as in his CALERF.
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
 * P(Z > z) for z ≥ 0, its exp(−z²/2) given: who needs the density has it already. The same approximations,
 * written out, since the likelihood calls it by the million.
 */
export function upperTail(z: number, expHalfSquare: number): number {
  const x = z * Math.SQRT1_2;
  if (x < 0.46875) {
    const t = x * x;
    const p =
      3209.377589138469 +
      t * (377.485237685302 + t * (113.8641541510502 + t * (3.1611237438705655 + t * 0.1857777061846032)));
    const q =
      2844.236833439171 + t * (1282.616526077372 + t * (244.02463793444417 + t * (23.601290952344122 + t)));
    return 0.5 - (0.5 * x * p) / q;
  }
  if (x <= 4) {
    const p =
      1230.339354797997 +
      x *
        (2051.0783778260715 +
          x *
            (1712.0476126340707 +
              x *
                (881.9522212417691 +
                  x *
                    (298.6351381974001 +
                      x *
                        (66.11919063714163 +
                          x * (8.883149794388377 + x * (0.5641884969886701 + x * 2.1531153547440383e-8)))))));
    const q =
      1230.3393548037495 +
      x *
        (3439.3676741437216 +
          x *
            (4362.619090143247 +
              x *
                (3290.7992357334597 +
                  x *
                    (1621.3895745666903 +
                      x * (537.1811018620099 + x * (117.6939508913125 + x * (15.744926110709835 + x)))))));
    return (0.5 * expHalfSquare * p) / q;
  }
  if (x === Infinity) return 0;
  const y = 1 / (x * x);
  const p =
    6.587491615298378e-4 +
    y *
      (1.6083785148742275e-2 +
        y *
          (0.12578172611122926 +
            y * (0.36034489994980445 + y * (0.30532663496123236 + y * 1.6315387137302097e-2))));
  const q =
    2.3352049762686918e-3 +
    y *
      (6.051834131244132e-2 +
        y * (0.5279051029514285 + y * (1.8729528499234673 + y * (2.568520192289822 + y))));
  return (0.5 * expHalfSquare * (1 / SQRT_PI - (y * p) / q)) / x;
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
 * Standard normal quantile by Newton's method on the log scale, which converges from the tail side without
 * overshoot. Worked value: normalQuantile(0.975) = 1.959963984540054.
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

/** Two-sided 95 %, and one in ten: 1.959963984540054 and 1.2815515655446004. */
export const Z95 = normalQuantile(0.975);
export const Z90 = normalQuantile(0.9);

export const twoSidedNormalP = (z: number): number => 2 * exp(logNormalCdf(-abs(z)));
