import { logNormalMass, logNormalPdf, upperTail } from '../../numeric/normal.ts';

// Bound once: inside a sandbox (tests, workers) each look-up of a global is slow, and these run by the
// million.
const { abs, exp, log, max } = Math;
const INV_SQRT_2PI = 0.3989422804014327;

/**
 * Log-likelihood of walks and its derivatives in (η, τ), where the standardised distance is z = τ·y − η
 * with y = ln distance, τ = 1/σ and η = μ/σ. In these parameters (J. Burridge, J. R. Statist. Soc. B 43
 * (1981), from memory) the log-likelihood is concave for every kind of censoring, so that Newton's method
 * finds the one maximum.
 */
export interface TermSums {
  value: number;
  gEta: number;
  gTau: number;
  hEtaEta: number;
  hEtaTau: number;
  hTauTau: number;
  /** Probabilities whose logarithm is still to be taken: one logarithm serves many walks. */
  product: number;
}

export const emptySums = (): TermSums => ({
  value: 0,
  gEta: 0,
  gTau: 0,
  hEtaEta: 0,
  hEtaTau: 0,
  hTauTau: 0,
  product: 1,
});

/** Logarithm of the product that was left open, which starts anew. */
export function takeProduct(sums: TermSums): number {
  const taken = log(sums.product);
  sums.product = 1;
  return taken;
}

/** Far below 1 and far above the least number: where the open product is taken. */
const LEAST_PRODUCT = 1e-140;
/** A probability below this goes in by its logarithm. */
const LEAST_FACTOR = 1e-120;

function addProbability(p: number, count: number, sums: TermSums): void {
  if (count !== 1 || p < LEAST_FACTOR) {
    sums.value += count * log(p);
    return;
  }
  sums.product *= p;
  if (sums.product < LEAST_PRODUCT) sums.value += takeProduct(sums);
}

// Gauss-Legendre rules on [-1, 1], positive halves, node then weight (Abramowitz and Stegun, table 25.4).
const RULE_6 = Float64Array.of(
  0.238619186083196909,
  0.467913934572691047,
  0.661209386466264514,
  0.360761573048138608,
  0.932469514203152028,
  0.17132449237917035,
);
const RULE_16 = Float64Array.of(
  0.0950125098376374402,
  0.189450610455068496,
  0.281603550779258913,
  0.182603415044923589,
  0.458016777657227386,
  0.169156519395002538,
  0.617876244402643748,
  0.149595988816576732,
  0.755404408355003034,
  0.124628971255533872,
  0.865631202387831744,
  0.0951585116824927848,
  0.944575023073232576,
  0.0622535239386478929,
  0.989400934991649933,
  0.0271524594117540949,
);

/**
 * Adds `count` walks of the interval (low, high] of ln distance; low −∞, high +∞ or low = high are allowed.
 */
export function addTerm(
  low: number,
  high: number,
  count: number,
  eta: number,
  tau: number,
  sums: TermSums,
): void {
  if (low === high) return exactTerm(low, count, eta, tau, sums);
  const a = tau * low - eta;
  const b = tau * high - eta;
  const narrow = b - a < 0.3 && (b - a) * max(abs(a), abs(b)) < 10;
  return narrow && tau > 0
    ? momentTerm(low, high, count, eta, tau, sums)
    : boundaryTerm(low, high, count, a, b, sums);
}

/** Density of ln distance: ln τ + ln φ(z). */
function exactTerm(y: number, count: number, eta: number, tau: number, sums: TermSums): void {
  const z = tau * y - eta;
  sums.value += tau > 0 ? count * (log(tau) + logNormalPdf(z)) : -Infinity;
  sums.gEta += count * z;
  sums.gTau += count * (1 / tau - z * y);
  sums.hEtaEta -= count;
  sums.hEtaTau += count * y;
  sums.hTauTau -= count * (1 / (tau * tau) + y * y);
}

/** Beyond this both ends lie in one tail so far out that only logarithms hold them. */
const FAR_TAIL = 30;

/**
 * Derivatives through the two ends: exact in both tails, but the ends cancel when they are close together.
 */
function boundaryTerm(low: number, high: number, count: number, a: number, b: number, sums: TermSums): void {
  if (!(a < b)) {
    sums.value = -Infinity;
    return;
  }
  let [A, B] = [0, 0];
  if (a > FAR_TAIL || b < -FAR_TAIL) {
    const logP = logNormalMass(a, b);
    sums.value += count * logP;
    A = a === -Infinity ? 0 : exp(logNormalPdf(a) - logP);
    B = b === Infinity ? 0 : exp(logNormalPdf(b) - logP);
  } else {
    const ea = exp(-0.5 * a * a);
    const eb = exp(-0.5 * b * b);
    // Tails of the side on which each end lies: differences of numbers near one are not taken.
    const ta = upperTail(abs(a), ea);
    const tb = upperTail(abs(b), eb);
    const p = a >= 0 ? ta - tb : b <= 0 ? tb - ta : 1 - ta - tb;
    addProbability(p, count, sums);
    A = (INV_SQRT_2PI * ea) / p;
    B = (INV_SQRT_2PI * eb) / p;
  }
  const l = A === 0 ? 0 : low;
  const u = B === 0 ? 0 : high;
  const haa = A === 0 ? 0 : a * A - A * A;
  const hbb = B === 0 ? 0 : -b * B - B * B;
  const hab = A * B;
  sums.gEta += count * (A - B);
  sums.gTau += count * (B * u - A * l);
  sums.hEtaEta += count * (haa + 2 * hab + hbb);
  sums.hEtaTau -= count * (haa * l + hab * (l + u) + hbb * u);
  sums.hTauTau += count * (haa * l * l + 2 * hab * l * u + hbb * u * u);
}

/**
 * Derivatives through the moments of the normal truncated to the interval, by quadrature: no cancellation,
 * down to an interval of no width. Moments are taken about the middle of the interval.
 */
function momentTerm(
  low: number,
  high: number,
  count: number,
  eta: number,
  tau: number,
  sums: TermSums,
): void {
  const middle = (low + high) / 2;
  const half = (high - low) / 2;
  const centre = tau * middle - eta;
  let [s0, s1, s2, s3, s4] = [0, 0, 0, 0, 0];
  // The exponent spans ± this much; the error of 6 points goes as its 12th power, below 1e-15 here.
  const rule = tau * half * abs(centre) < 0.5 ? RULE_6 : RULE_16;
  for (let i = 0; i < rule.length; i += 2) {
    const t = half * (rule[i] as number);
    const tt = t * t;
    const w = (rule[i + 1] as number) * half * expSmall((-tau * tau * tt) / 2);
    const tilt = exp(tau * t * centre);
    const back = 1 / tilt;
    const even = w * (back + tilt);
    const odd = w * (back - tilt);
    s0 += even;
    s1 += odd * t;
    s2 += even * tt;
    s3 += odd * tt * t;
    s4 += even * tt * tt;
  }
  const m1 = s1 / s0;
  const m2 = s2 / s0;
  const m3 = s3 / s0;
  const m4 = s4 / s0;
  const var1 = m2 - m1 * m1;
  // z = c + τt and zy = (c + τt)(m + t) = cm + (c + τm)t + τt².
  const k = centre + tau * middle;
  const covT2 = m3 - m1 * m2;
  const ezy = centre * middle + k * m1 + tau * m2;
  const varZy = k * k * var1 + 2 * k * tau * covT2 + tau * tau * (m4 - m2 * m2);
  const ey = middle + m1;
  const ey2 = middle * middle + 2 * middle * m1 + m2;
  if (abs(centre) < FAR_TAIL)
    addProbability(tau * s0 * INV_SQRT_2PI * exp(-0.5 * centre * centre), count, sums);
  else sums.value += count * (log(tau * s0) + logNormalPdf(centre));
  sums.gEta += count * (centre + tau * m1);
  sums.gTau += count * (1 / tau - ezy);
  sums.hEtaEta += count * (tau * tau * var1 - 1);
  sums.hEtaTau += count * (ey - tau * (k * var1 + tau * covT2));
  sums.hTauTau += count * (varZy - ey2 - 1 / (tau * tau));
}

/** exp(x) for −0.012 < x ≤ 0, to rounding. */
const expSmall = (x: number): number =>
  1 + x * (1 + (x / 2) * (1 + (x / 3) * (1 + (x / 4) * (1 + (x / 5) * (1 + x / 6)))));
