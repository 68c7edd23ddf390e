import { studentQuantile, studentTwoSidedP } from '../../numeric/student.ts';
import { COARSE_ALLOWANCE, coarseness } from './coarseness.ts';
import {
  ahead,
  apart,
  BESIDE,
  besideOf,
  climbAt,
  higher,
  NEARLY_SETTLED,
  SETTLED,
  type Constrained,
} from './constrained.ts';
import { EndBracket, FIRST_REACH } from './endBracket.ts';
import { isFit, type NoFit, type RangeFit } from './fit.ts';
import type { RangeModel } from './model.ts';
import { onLine, type Line, type Target } from './profileLine.ts';
import * as phrases from './phrases.ts';

export type { Target } from './profileLine.ts';

/** Ends in ln units on the fit's centred scale; an absent end has no bound ("more than", "less than"). */
export interface ProfileInterval {
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/**
 * Profile-likelihood interval, calibrated for few walks: the drop n·ln(1 + t²/(n − p)) in place of χ², with
 * t the two-sided quantile of Student's t on n − p degrees of freedom, p location parameters. Exact for
 * location contrasts of uncensored normal data: there 2(ℓ̂ − ℓ(θ)) = n·ln(1 + T²/(n − p)). Brackets that
 * are coarse against the spread between walks raise the drop (see coarseness). Undefined (absent) for n ≤
 * p, or where the likelihood has no bound.
 */
export function profileInterval(
  fit: RangeFit | NoFit,
  target: Target,
  level = 0.95,
): ProfileInterval | undefined {
  const top = calibratedTop(fit, level);
  if (!top) return undefined;
  const search: Search = { ...top, line: onLine(fit.model.data, target), n: sizeOf(fit).n };
  return { low: findEnd(search, -1), high: findEnd(search, 1) };
}

/**
 * The same with a drop of its own for each side, of exact walks: raised for coarse brackets like the other.
 * Undefined where the likelihood has no top to start from.
 */
export function profileSides(
  fit: RangeFit | NoFit,
  target: Target,
  lowDrop: number,
  highDrop: number,
): ProfileInterval | undefined {
  const top = calibratedTop(fit, 0.95);
  if (!top) return undefined;
  const value = top.floor + top.allowed;
  const raised = 1 + COARSE_ALLOWANCE * coarseness(fit);
  const line = onLine(fit.model.data, target);
  const end = (drop: number, side: -1 | 1): number | undefined =>
    findEnd(
      { start: top.start, floor: value - drop * raised, allowed: drop * raised, line, n: sizeOf(fit).n },
      side,
    );
  return { low: end(lowDrop, -1), high: end(highDrop, 1) };
}

/**
 * Whether the interval of `profileInterval` holds θ, without finding its ends: one restricted fit.
 * Undefined where there is no interval.
 */
export function intervalCovers(
  fit: RangeFit | NoFit,
  target: Target,
  theta: number,
  level = 0.95,
): boolean | undefined {
  const top = calibratedTop(fit, level);
  return top && coveredBy(onLine(fit.model.data, target), theta, top).value >= top.floor;
}

/**
 * Two-sided p-value of θ by the same calibration: the level at which the interval would just reach it. With
 * 2(ℓ̂ − ℓ(θ)) = n·ln(1 + T²/(n − p)), T has Student's distribution on n − p degrees of freedom.
 */
export function profileP(fit: RangeFit | NoFit, target: Target, theta: number): number | undefined {
  const top = calibratedTop(fit, 0.95);
  if (!top) return undefined;
  const { n, df } = sizeOf(fit);
  const raised = 1 + COARSE_ALLOWANCE * coarseness(fit);
  const { value } = coveredBy(onLine(fit.model.data, target), theta, top);
  const drop = (2 * Math.max(0, top.floor + top.allowed - value)) / raised;
  return studentTwoSidedP(Math.sqrt(df * Math.expm1(drop / n)), df);
}

const sizeOf = ({ model }: RangeFit | NoFit): { n: number; df: number } => ({
  n: model.informative,
  df: model.informative - model.data.columns,
});

interface Top {
  readonly start: Float64Array;
  readonly floor: number;
  readonly allowed: number;
}

/** A model is fitted once and asked for many targets: what is common to them is worked out once a level. */
const tops = new WeakMap<RangeModel, Map<number, Top | undefined>>();

/**
 * The top of the likelihood and how far below it the interval reaches; undefined where there is no interval.
 */
function calibratedTop(fit: RangeFit | NoFit, level: number): Top | undefined {
  const known = tops.get(fit.model) ?? new Map<number, Top | undefined>();
  tops.set(fit.model, known);
  if (!known.has(level)) known.set(level, workOutTop(fit, level));
  return known.get(level);
}

/** A location so far from the middle of the walks, in ln distance, is none: no place says anything about it. */
const FARTHEST = 100;

function workOutTop(fit: RangeFit | NoFit, level: number): Top | undefined {
  const { n, df } = sizeOf(fit);
  const { value, start } = isFit(fit)
    ? { value: fit.logLikelihood, start: parametersOf(fit) }
    : { value: fit.supremum, start: fit.near };
  if (df < 1 || value === undefined || !start) return undefined;
  const tau = start[start.length - 1] as number;
  if (start.subarray(0, -1).some((delta) => Math.abs(delta) > FARTHEST * tau)) return undefined;
  const t = studentQuantile(0.5 + level / 2, df);
  const allowed = ((n * Math.log1p((t * t) / df)) / 2) * (1 + COARSE_ALLOWANCE * coarseness(fit));
  return { start, floor: value - allowed, allowed };
}

function parametersOf(fit: RangeFit): Float64Array {
  return Float64Array.from([...fit.beta.map((b) => b / fit.sigma), 1 / fit.sigma]);
}

const coveredBy = (line: Line, theta: number, top: Top): Constrained => {
  const climb = climbAt(line, theta, { ...top, enough: top.floor + top.allowed, settled: SETTLED });
  const first = climb(line.freeOf(top.start));
  return besideOf(line, theta, first, top.start, true).map(climb).reduce(higher, first);
};

interface Search extends Top {
  readonly line: Line;
  /** Walks that inform the estimate. */
  readonly n: number;
}

/**
 * Where a bracket fits every walk, the profile is flat on top, and no point of it says where the ridge goes
 * on: of the way from the floor to the top, beyond which it counts as on top.
 */
const ON_THE_TOP = 0.99;

/**
 * Looks at the likelihood for one end, at the most; and how near to the floor it ends, in the scale of
 * Student's t.
 */
const ROUNDS = 500;
/** Where peaks come and go from step to step, the search goes on so often. */
const MOST_OPENED = 4;
const NEAR = 1e-8;
/**
 * A step of Newton's so small a share of the way from the top leaves an error of its square: a few times 10⁻⁸
 * of that way.
 */
const LAST_STEP = 2e-4;

/**
 * Where the profile falls to the floor on one side of the estimate. Followed is w(θ) = √(exp(2(ℓ̂ −
 * ℓ(θ))/n) − 1), which for uncensored normal data is linear in θ (it is |T|/√(n − p)), so that Newton's
 * method arrives in a few steps; its slope is known from the constrained optimum, and the next optimum is looked
 * for where the ridge points to (compare D. J. Venzon and S. H. Moolgavkar, Appl. Statist. 37 (1988)). Where it
 * arrives it looks for other peaks; if one of them is higher, it goes on, and looks for them at every step.
 * @throws Error when it does not arrive
 */
function findEnd({ line, start, floor, allowed, n }: Search, side: -1 | 1): number | undefined {
  const from = line.thetaAt(start);
  const goal = Math.sqrt(Math.expm1((2 * allowed) / n));
  const how = { start, floor, allowed, enough: floor + allowed * ON_THE_TOP, settled: NEARLY_SETTLED };
  const bracket = new EndBracket(from, side, goal);
  let { theta, ridges } = firstGuess(line, start, side, goal, n);
  let opened = 0;
  const slopeFrom = (theta: number, top: Constrained): { w: number; newton: number } => {
    const step = line.solve(top.evaluation);
    const below = floor + allowed - top.value - (step?.gain ?? 0);
    const w = Math.sqrt(Math.expm1((2 * Math.max(0, below)) / n));
    const slope = step && w > 0 ? (-step.slope * (1 + w * w)) / (n * w) : 0;
    return { w, newton: theta - (w - goal) / slope };
  };
  for (let round = 0; round < ROUNDS; round++) {
    const climb = climbAt(line, theta, how);
    const beside = (top: Constrained): Constrained[] => besideOf(line, theta, top, start).map(climb);
    let peaks = apart(ridges.map(climb));
    if (opened > 0) peaks = apart([...peaks, ...beside(peaks.reduce(higher))]);
    let top = peaks.reduce(higher);
    let { w, newton } = slopeFrom(theta, top);
    const last = Math.abs(newton - theta) < LAST_STEP * Math.abs(theta - from);
    const arrived = last || Math.abs(w - goal) < NEAR * goal;
    const closedAt = bracket.closedAt;
    if (closedAt !== undefined && !arrived && theta !== closedAt) {
      theta = closedAt;
      continue;
    }
    if (arrived || closedAt !== undefined) {
      const all = apart([...peaks, ...beside(top)]);
      const best = all.reduce(higher);
      // Where a bracket closed on a step of one ridge, another may reach on.
      const reachesOn = !arrived && w < goal;
      const done = !reachesOn && best.value < top.value + BESIDE;
      if (done || opened++ === MOST_OPENED) return last ? newton : theta;
      bracket.open();
      [top, peaks] = [best, all];
      ({ w, newton } = slopeFrom(theta, top));
    }
    bracket.see(theta, w);
    if (w <= goal && side * (theta - bracket.farthest) >= 0) return undefined;
    const next = bracket.next(newton);
    ridges =
      w < 0.15 * goal
        ? [line.holding(next, start) ?? line.freeOf(start)]
        : peaks.map((peak) => ahead(line, peak, next - theta));
    theta = next;
  }
  throw new Error(phrases.theProfilesEndWasNotFound(ROUNDS, from, theta));
}

/** By the curvature at the top; there σ² grows by 1 + w², and the locations go straight. */
function firstGuess(
  line: Line,
  start: Float64Array,
  side: -1 | 1,
  goal: number,
  n: number,
): { theta: number; ridges: Float64Array[] } {
  const from = line.thetaAt(start);
  const free = line.freeOf(start);
  const step = line.solve(line.evaluate(from, free));
  const reach = step && step.curvature < 0 ? goal * Math.sqrt(n / -step.curvature) : Infinity;
  if (!step || !(reach < FIRST_REACH)) {
    const out = from + side * FIRST_REACH;
    return { theta: out, ridges: [line.holding(out, start) ?? free] };
  }
  const last = free.length - 1;
  const tau = free[last] as number;
  const shrunk = tau / Math.sqrt(1 + goal * goal);
  // δ = βτ: the straight step of β, then the new τ.
  const guess = free.map((v, i) => ((v + side * reach * (step.alongRidge[i] as number)) / tau) * shrunk);
  guess[last] = shrunk;
  return { theta: from + side * reach, ridges: [guess] };
}
