// Lanczos's coefficients for ln Γ, g = 7, n = 9 (as commonly printed; good to 1e-14).
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** ln Γ(x) for x > 0: by its recurrence where 2x is whole, which is exact to rounding; else by Lanczos. */
export function logGamma(x: number): number {
  if (!(x > 0)) throw new RangeError(`invalid x: ${x}`);
  if (Number.isInteger(2 * x)) {
    let sum = Number.isInteger(x) ? 0 : 0.5 * Math.log(Math.PI);
    for (let k = Number.isInteger(x) ? 1 : 0.5; k < x; k++) sum += Math.log(k);
    return sum;
  }
  const shifted = x - 1;
  const t = shifted + 7.5;
  const sum = LANCZOS.reduce((s, c, i) => (i === 0 ? c : s + c / (shifted + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * I_x(a, b), the incomplete beta function over its whole, by its continued fraction (Abramowitz and Stegun
 * 26.5.8): small probabilities keep their digits.
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (!(x >= 0 && x <= 1)) throw new RangeError(`invalid x: ${x}`);
  if (x === 0 || x === 1) return x;
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) - logGamma(a) - logGamma(b) + logGamma(a + b));
  // The fraction converges fast on one side of its middle only.
  return x < (a + 1) / (a + b + 2)
    ? Math.min(1, (front * fraction(x, a, b)) / a)
    : Math.max(0, 1 - (front * fraction(1 - x, b, a)) / b);
}

function fraction(x: number, a: number, b: number): number {
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
