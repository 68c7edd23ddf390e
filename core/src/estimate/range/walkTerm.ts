import { logNormalMass, logNormalPdf } from '../../numeric/normal.ts';

// Bound once: inside a sandbox (tests, workers) each look-up of a global is slow, and these run by the million.
const { abs, exp, log, max } = Math;

/**
 * One walk's log-likelihood and its derivatives in (η, τ), where the standardised distance is z = τ·y − η with
 * y = ln distance, τ = 1/σ and η = μ/σ. In these parameters (J. Burridge, J. R. Statist. Soc. B 43 (1981), from
 * memory) the log-likelihood is concave for every kind of censoring, so that Newton's method finds the one maximum.
 */
export interface WalkTerm {
  value: number;
  gEta: number;
  gTau: number;
  hEtaEta: number;
  hEtaTau: number;
  hTauTau: number;
}

export const emptyTerm = (): WalkTerm => ({ value: 0, gEta: 0, gTau: 0, hEtaEta: 0, hEtaTau: 0, hTauTau: 0 });

// Gauss-Legendre rules on [-1, 1], positive halves, node then weight (Abramowitz and Stegun, table 25.4).
const RULE_8 = [
  0.183434642495649805, 0.362683783378361983, 0.525532409916328986, 0.313706645877887287, 0.79666647741362674,
  0.222381034453374471, 0.960289856497536232, 0.101228536290376259,
];
const RULE_16 = [
  0.0950125098376374402, 0.189450610455068496, 0.281603550779258913, 0.182603415044923589,
  0.458016777657227386, 0.169156519395002538, 0.617876244402643748, 0.149595988816576732,
  0.755404408355003034, 0.124628971255533872, 0.865631202387831744, 0.0951585116824927848,
  0.944575023073232576, 0.0622535239386478929, 0.989400934991649933, 0.0271524594117540949,
];

/** Writes the term of the interval (low, high] of ln distance into `out`; low −∞, high +∞ or low = high are allowed. */
export function walkTerm(low: number, high: number, eta: number, tau: number, out: WalkTerm): void {
  if (low === high) return exactTerm(low, eta, tau, out);
  const a = tau * low - eta;
  const b = tau * high - eta;
  const narrow = b - a < 0.3 && (b - a) * max(abs(a), abs(b)) < 10;
  return narrow && tau > 0 ? momentTerm(low, high, eta, tau, out) : boundaryTerm(low, high, a, b, out);
}

/** Density of ln distance: ln τ + ln φ(z). */
function exactTerm(y: number, eta: number, tau: number, out: WalkTerm): void {
  const z = tau * y - eta;
  out.value = tau > 0 ? log(tau) + logNormalPdf(z) : -Infinity;
  out.gEta = z;
  out.gTau = 1 / tau - z * y;
  out.hEtaEta = -1;
  out.hEtaTau = y;
  out.hTauTau = -1 / (tau * tau) - y * y;
}

/** Derivatives through the two ends: exact in both tails, but the ends cancel when they are close together. */
function boundaryTerm(low: number, high: number, a: number, b: number, out: WalkTerm): void {
  if (!(a < b)) {
    out.value = -Infinity;
    return;
  }
  const logP = logNormalMass(a, b);
  const A = a === -Infinity ? 0 : exp(logNormalPdf(a) - logP);
  const B = b === Infinity ? 0 : exp(logNormalPdf(b) - logP);
  const l = A === 0 ? 0 : low;
  const u = B === 0 ? 0 : high;
  const haa = A === 0 ? 0 : a * A - A * A;
  const hbb = B === 0 ? 0 : -b * B - B * B;
  const hab = A * B;
  out.value = logP;
  out.gEta = A - B;
  out.gTau = B * u - A * l;
  out.hEtaEta = haa + 2 * hab + hbb;
  out.hEtaTau = -(haa * l + hab * (l + u) + hbb * u);
  out.hTauTau = haa * l * l + 2 * hab * l * u + hbb * u * u;
}

/**
 * Derivatives through the moments of the normal truncated to the interval, by quadrature: no cancellation, down to an
 * interval of no width. Moments are taken about the middle of the interval.
 */
function momentTerm(low: number, high: number, eta: number, tau: number, out: WalkTerm): void {
  const middle = (low + high) / 2;
  const half = (high - low) / 2;
  const centre = tau * middle - eta;
  let [s0, s1, s2, s3, s4] = [0, 0, 0, 0, 0];
  // The exponent spans ± this much; the error of 8 points goes as its 16th power, below 1e-16 here.
  const rule = tau * half * abs(centre) < 0.5 ? RULE_8 : RULE_16;
  for (let i = 0; i < rule.length; i += 2) {
    const t = half * (rule[i] as number);
    const w = (rule[i + 1] as number) * half * exp((-tau * tau * t * t) / 2);
    const tilt = exp(tau * t * centre);
    const even = w * (1 / tilt + tilt);
    const odd = w * (1 / tilt - tilt);
    const tt = t * t;
    s0 += even;
    s1 += odd * t;
    s2 += even * tt;
    s3 += odd * tt * t;
    s4 += even * tt * tt;
  }
  const [m1, m2, m3, m4] = [s1 / s0, s2 / s0, s3 / s0, s4 / s0];
  const var1 = m2 - m1 * m1;
  // z = c + τt and zy = (c + τt)(m + t) = cm + (c + τm)t + τt².
  const k = centre + tau * middle;
  const covT2 = m3 - m1 * m2;
  const ezy = centre * middle + k * m1 + tau * m2;
  const varZy = k * k * var1 + 2 * k * tau * covT2 + tau * tau * (m4 - m2 * m2);
  const ey = middle + m1;
  const ey2 = middle * middle + 2 * middle * m1 + m2;
  out.value = log(tau) + log(s0) + logNormalPdf(centre);
  out.gEta = centre + tau * m1;
  out.gTau = 1 / tau - ezy;
  out.hEtaEta = tau * tau * var1 - 1;
  out.hEtaTau = ey - tau * (k * var1 + tau * covT2);
  out.hTauTau = -1 / (tau * tau) + varZy - ey2;
}
