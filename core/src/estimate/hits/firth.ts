import { Z95 } from '../../numeric/normal.ts';
import { falsePosition } from '../../numeric/root.ts';
import * as phrases from './phrases.ts';

/** Presses at one distance, and how many were answered. */
export interface TrialRow {
  readonly distanceM: number;
  readonly trials: number;
  readonly successes: number;
}

export type Separation = 'none' | 'quasi' | 'complete';
type Pair = readonly [intercept: number, slope: number];

export interface FirthFit {
  readonly coefficients: Pair;
  /** Inverse Fisher information at the penalised estimate. */
  readonly covariance: readonly [Pair, Pair];
  readonly penalisedLoglik: number;
  readonly separation: Separation;
}

/** A distance at which a share of presses is answered. Ends in metres; an end without bound is absent. */
export interface TrialDistance {
  readonly estimateM: number | undefined;
  readonly profile95M: { readonly low: number | undefined; readonly high: number | undefined };
  readonly delta95M: readonly [number, number] | undefined;
}

/** Half the 95 % point of chi-square on one degree of freedom. */
const DROP = Z95 ** 2 / 2;

interface State {
  readonly value: number;
  readonly score: Pair;
  readonly information: readonly [number, number, number];
}

interface Centred {
  readonly x: readonly number[];
  readonly n: readonly number[];
  readonly k: readonly number[];
  readonly centre: number;
}

/** ln distances, centred: then intercept and slope are nearly uncorrelated. */
function centred(rows: readonly TrialRow[]): Centred {
  for (const { distanceM, trials, successes } of rows) {
    if (!(distanceM > 0 && Number.isFinite(distanceM)))
      throw new RangeError(phrases.invalidDistancem(distanceM));
    if (!(trials > 0 && successes >= 0 && successes <= trials))
      throw new RangeError(phrases.invalidTrialsOf(successes, trials));
  }
  const logs = rows.map((r) => Math.log(r.distanceM));
  const total = rows.reduce((sum, r) => sum + r.trials, 0);
  const centre = logs.reduce((sum, l, i) => sum + l * (rows[i] as TrialRow).trials, 0) / total;
  return {
    x: logs.map((l) => l - centre),
    n: rows.map((r) => r.trials),
    k: rows.map((r) => r.successes),
    centre,
  };
}

/**
 * Log-likelihood with Firth's penalty ½ ln|I| (D. Firth, Biometrika 80 (1993)), its modified score, and the
 * information.
 */
function stateAt({ x, n, k }: Centred, [b0, b1]: Pair): State {
  let [value, i00, i01, i11] = [0, 0, 0, 0];
  const p = new Float64Array(x.length);
  for (let i = 0; i < x.length; i++) {
    const [xi, ni] = [x[i] as number, n[i] as number];
    const eta = b0 + b1 * xi;
    // ln(1 + e^η) and the logistic function from one exponential, safe in both tails.
    const e = Math.exp(-Math.abs(eta));
    const pi = eta >= 0 ? 1 / (1 + e) : e / (1 + e);
    value += (k[i] as number) * eta - ni * (Math.max(0, eta) + Math.log1p(e));
    const w = ni * pi * (1 - pi);
    i00 += w;
    i01 += w * xi;
    i11 += w * xi * xi;
    p[i] = pi;
  }
  const determinant = i00 * i11 - i01 * i01;
  let [s0, s1] = [0, 0];
  for (let i = 0; i < x.length; i++) {
    const [xi, ni, pi] = [x[i] as number, n[i] as number, p[i] as number];
    const w = ni * pi * (1 - pi);
    const leverage = (w * (i11 - 2 * i01 * xi + i00 * xi * xi)) / determinant;
    const r = (k[i] as number) - ni * pi + leverage * (0.5 - pi);
    s0 += r;
    s1 += r * xi;
  }
  return {
    value: value + 0.5 * Math.log(Math.max(determinant, 1e-300)),
    score: [s0, s1],
    information: [i00, i01, i11],
  };
}

/** Step by Fisher scoring: always upwards. */
const scoring = ({ score: [s0, s1], information: [a, b, c] }: State): Pair => {
  const det = a * c - b * b;
  return [(c * s0 - b * s1) / det, (a * s1 - b * s0) / det];
};

/**
 * Newton's step, the second derivative of the penalised likelihood taken by differences of its score;
 * undefined when it does not lead upwards.
 */
function newton(data: Centred, [b0, b1]: Pair, { score: [s0, s1] }: State): Pair | undefined {
  const h = 1e-5;
  const [right, up] = [stateAt(data, [b0 + h, b1]).score, stateAt(data, [b0, b1 + h]).score];
  const [j00, j10, j01, j11] = [(right[0] - s0) / h, (right[1] - s1) / h, (up[0] - s0) / h, (up[1] - s1) / h];
  const det = j00 * j11 - j01 * j10;
  const step: Pair = [-(j11 * s0 - j01 * s1) / det, -(j00 * s1 - j10 * s0) / det];
  return j00 < 0 && det > 0 && step[0] * s0 + step[1] * s1 > 0 ? step : undefined;
}

/** Maximum over both coefficients, with halving. */
function climb(data: Centred, start: Pair, settled: number): { at: Pair; state: State } {
  let at = start;
  let state = stateAt(data, at);
  for (let round = 0; round < 100; round++) {
    const [d0, d1] = newton(data, at, state) ?? scoring(state);
    // What is left to gain is about half of this: beyond it lies rounding.
    if (Math.abs(state.score[0] * d0 + state.score[1] * d1) < settled) break;
    let next: { at: Pair; state: State } | undefined;
    for (let share = Math.min(1, 5 / Math.hypot(d0, d1)); share > 1e-9 && !next; share /= 2) {
      const tried: Pair = [at[0] + share * d0, at[1] + share * d1];
      const there = stateAt(data, tried);
      if (there.value >= state.value && Number.isFinite(there.score[0])) next = { at: tried, state: there };
    }
    if (!next) break;
    [at, state] = [next.at, next.state];
  }
  return { at, state };
}

/**
 * Greatest value along a line: where the slope changes its sign, bracketed by growing steps and closed in on.
 */
function topAlong(data: Centred, [b0, b1]: Pair, [u, v]: Pair): number {
  let best = -Infinity;
  const slopeAt = (t: number): number => {
    const { value, score } = stateAt(data, [b0 + t * u, b1 + t * v]);
    best = Math.max(best, value);
    return u * score[0] + v * score[1];
  };
  const [a, b, c] = stateAt(data, [b0, b1]).information;
  const first = slopeAt(0);
  if (first === 0) return best;
  const natural = Math.abs(first) / (a * u * u + 2 * b * u * v + c * v * v);
  let step = Math.sign(first) * Math.min(2, Math.max(1e-3, natural));
  let [inside, fInside, outside] = [0, first, step];
  for (let tries = 0; tries < 60; tries++) {
    const fOutside = slopeAt(outside);
    if (fOutside * first <= 0) {
      falsePosition(slopeAt, inside, fInside, outside, fOutside);
      return best;
    }
    [inside, fInside] = [outside, fOutside];
    step *= 1.7;
    outside += step;
  }
  return best;
}

/** Whether presses answered and missed can be told apart by distance alone. */
export function separationOf(rows: readonly TrialRow[]): Separation {
  const answered = rows.filter((r) => r.successes > 0).map((r) => r.distanceM);
  const missed = rows.filter((r) => r.successes < r.trials).map((r) => r.distanceM);
  if (answered.length === 0 || missed.length === 0) return 'complete';
  const outwards = Math.max(...answered) - Math.min(...missed);
  const inwards = Math.max(...missed) - Math.min(...answered);
  return Math.min(outwards, inwards) < 0 ? 'complete' : Math.min(outwards, inwards) === 0 ? 'quasi' : 'none';
}

/**
 * logit P(answered) = b0 + b1 ln d, penalised: finite under separation too, which is the rule with few
 * checkpoints. Undefined when all presses were made at one distance. `start`: a fit of like rows, to begin
 * from; `settled`: what may be left to gain.
 */
export function firth(
  rows: readonly TrialRow[],
  { start, settled = 1e-19 }: { readonly start?: FirthFit; readonly settled?: number } = {},
): FirthFit | undefined {
  const data = centred(rows);
  if (rows.length === 0 || data.x.every((x) => Math.abs(x - (data.x[0] as number)) < 1e-12)) return undefined;
  const {
    at: [b0, b1],
    state: {
      value,
      information: [a, b, c],
    },
  } = climb(
    data,
    start ? [start.coefficients[0] + start.coefficients[1] * data.centre, start.coefficients[1]] : [0, 0],
    settled,
  );
  const det = a * c - b * b;
  const [v00, v01, v11] = [c / det, -b / det, a / det];
  // Back to ln metres: the intercept is b0 − b1·centre.
  const m = data.centre;
  return {
    coefficients: [b0 - b1 * m, b1],
    covariance: [
      [v00 - 2 * m * v01 + m * m * v11, v01 - m * v11],
      [v01 - m * v11, v11],
    ],
    penalisedLoglik: value,
    separation: separationOf(rows),
  };
}

/** Profile of the penalised likelihood at a value of a coefficient, the full penalty kept. */
export function firthCoefficientInterval(
  rows: readonly TrialRow[],
  fit: FirthFit,
  which: 0 | 1,
): { low: number | undefined; high: number | undefined } {
  const data = centred(rows);
  const [b0, b1] = fit.coefficients;
  // In centred terms the intercept at ln 1 m is β0 = c0 − c1·centre: held fixed, c0 follows c1.
  const profile = (value: number): number => {
    const along: Pair = which === 1 ? [1, 0] : [data.centre, 1];
    // Started where the even chance stays at its distance: far from it the likelihood is flat.
    const slope = which === 1 ? value : (b1 * value) / b0;
    const start: Pair = [slope * (data.centre + b0 / b1), slope];
    return topAlong(data, start, along);
  };
  const scale = Math.sqrt(fit.covariance[which][which]);
  const floor = fit.penalisedLoglik - DROP;
  return {
    low: crossing(profile, fit.coefficients[which], -scale, floor),
    high: crossing(profile, fit.coefficients[which], scale, floor),
  };
}

/**
 * Where a profile falls to the floor, going from its top in steps of `step`, growing; undefined when it
 * does not.
 */
function crossing(
  profile: (value: number) => number,
  top: number,
  step: number,
  floor: number,
): number | undefined {
  // The root of the drop is nearly linear in the value.
  const excess = (value: number): number =>
    Math.sqrt(Math.max(0, floor + DROP - profile(value))) - Math.sqrt(DROP);
  let [inside, fInside] = [top, -Math.sqrt(DROP)];
  let outside = top + step;
  for (let tries = 0; ; tries++) {
    const fOutside = excess(outside);
    if (fOutside > 0) return falsePosition(excess, inside, fInside, outside, fOutside);
    if (tries > 40) return undefined;
    [inside, fInside, outside] = [outside, fOutside, outside + step * 1.5 ** tries];
  }
}

/**
 * How far, in ln distance from the estimate, an end is looked for; beyond a factor of e¹² it is called
 * unbounded.
 */
const FAR = 12;

/**
 * Distance at which a share p of presses is answered, with its profile-penalised interval, and the delta
 * interval beside it for checking.
 */
export function distanceOf(rows: readonly TrialRow[], fit: FirthFit, p: number): TrialDistance {
  if (!(p > 0 && p < 1)) throw new RangeError(phrases.invalidP(p));
  const data = centred(rows);
  const logit = Math.log(p / (1 - p));
  const [b0, b1] = fit.coefficients;
  // Presses that are answered more often farther away have no such distance.
  if (!(b1 < 0))
    return { estimateM: undefined, profile95M: { low: undefined, high: undefined }, delta95M: undefined };
  const log = (logit - b0) / b1;
  const gradient: Pair = [-1 / b1, -log / b1];
  const [[v00, v01], [, v11]] = fit.covariance;
  const se = Math.sqrt(gradient[0] ** 2 * v00 + 2 * gradient[0] * gradient[1] * v01 + gradient[1] ** 2 * v11);
  // On the line through (c, logit p): c0 = logit − c1·c.
  const profile = (at: number): number => {
    const c = at - data.centre;
    return topAlong(data, [logit - b1 * c, b1], [-c, 1]);
  };
  const floor = fit.penalisedLoglik - DROP;
  const end = (side: -1 | 1): number | undefined => {
    const found = crossing(profile, log, side * Math.max(se, 0.01), floor);
    return found === undefined || Math.abs(found - log) > FAR ? undefined : Math.exp(found);
  };
  return {
    estimateM: Math.exp(log),
    profile95M: { low: end(-1), high: end(1) },
    delta95M: [Math.exp(log - Z95 * se), Math.exp(log + Z95 * se)],
  };
}
