import { maximise } from '../../numeric/maximise.ts';
import { studentQuantile, studentTwoSidedP } from '../../numeric/student.ts';
import { COARSE_ALLOWANCE, coarseness } from './coarseness.ts';
import { isFit, LEAST_TAU, type NoFit, type RangeFit } from './fit.ts';
import type { RangeModel } from './model.ts';
import { onLine, type Line, type LineEvaluation, type Target } from './profileLine.ts';

export type { Target } from './profileLine.ts';

/** Ends in ln units on the fit's centred scale; an absent end has no bound ("more than", "less than"). */
export interface ProfileInterval {
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** Beyond a factor of e¹² (160,000) from the estimate an end is called unbounded. */
const FAR = 12;

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

function workOutTop(fit: RangeFit | NoFit, level: number): Top | undefined {
  const { n, df } = sizeOf(fit);
  const { value, start } = isFit(fit)
    ? { value: fit.logLikelihood, start: parametersOf(fit) }
    : { value: fit.supremum, start: fit.near };
  if (df < 1 || value === undefined || !start) return undefined;
  const t = studentQuantile(0.5 + level / 2, df);
  const allowed = ((n * Math.log1p((t * t) / df)) / 2) * (1 + COARSE_ALLOWANCE * coarseness(fit));
  return { start, floor: value - allowed, allowed };
}

function parametersOf(fit: RangeFit): Float64Array {
  return Float64Array.from([...fit.beta.map((b) => b / fit.sigma), 1 / fit.sigma]);
}

const coveredBy = (line: Line, theta: number, top: Top): Constrained =>
  profileAt(line, theta, line.freeOf(top.start), top, 1);

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
const ROUNDS = 60;
/** Ends of ln distance nearer than this are one: the profile of brackets that touch falls in steps. */
const CLOSE = 1e-7;
const NEAR = 1e-8;
/**
 * A step of Newton's so small a share of the way from the top leaves an error of its square: a few times 10⁻⁸ of that way.
 */
const LAST_STEP = 2e-4;

/**
 * Where the profile falls to the floor on one side of the estimate. Followed is w(θ) = √(exp(2(ℓ̂ −
 * ℓ(θ))/n) − 1), which for uncensored normal data is linear in θ (it is |T|/√(n − p)), so that Newton's
 * method arrives in a few steps; its slope is known from the constrained optimum, and the next optimum is
 * looked for where the ridge points to (compare D. J. Venzon and S. H. Moolgavkar, Appl. Statist. 37
 * (1988)). Steps that leave what is bracketed are halved.
 */
function findEnd({ line, start, floor, allowed, n }: Search, side: -1 | 1): number | undefined {
  const from = line.thetaAt(start);
  const goal = Math.sqrt(Math.expm1((2 * allowed) / n));
  const w = (value: number): number => Math.sqrt(Math.expm1((2 * Math.max(0, floor + allowed - value)) / n));
  let [inside, outside] = [from, from + side * Infinity];
  let [wInside, wOutside] = [0, Infinity];
  let { theta, guess } = firstGuess(line, start, side, goal, n);
  for (let round = 0; round < ROUNDS; round++) {
    const top = profileAt(line, theta, guess, { floor, allowed }, ON_THE_TOP);
    const here = w(top.value);
    const off = here - goal;
    if (Math.abs(off) < NEAR * goal || Math.abs(outside - inside) < CLOSE) return theta;
    if (off > 0) [outside, wOutside] = [theta, here];
    else [inside, wInside] = [theta, here];
    if (off <= 0 && Math.abs(theta - from) >= FAR) return undefined;
    const step = line.solve(top.evaluation);
    const slope = step && here > 0 ? (-step.slope * (1 + here * here)) / (n * here) : 0;
    const newton = theta - off / slope;
    if (Math.abs(newton - theta) < LAST_STEP * Math.abs(theta - from)) return newton;
    // Where the ridge says nothing, along the straight line; every third time by halves, which always
    // arrives.
    const straight = inside + ((outside - inside) * (goal - wInside)) / (wOutside - wInside);
    const between = round % 3 === 2 || !(side * (straight - inside) > 0) ? (inside + outside) / 2 : straight;
    const next = within(newton, { from, inside, outside, between, side });
    const flat = here < 0.15 * goal;
    const free = flat ? (line.holding(next, start) ?? line.freeOf(start)) : line.freeOf(top.at);
    const ahead = !flat && step && free.map((v, i) => v + (next - theta) * (step.alongRidge[i] as number));
    guess = ahead && (ahead[ahead.length - 1] as number) > 0 ? ahead : free;
    theta = next;
  }
  return theta;
}

/** By the curvature at the top; there σ² grows by 1 + w², and the locations go straight. */
function firstGuess(
  line: Line,
  start: Float64Array,
  side: -1 | 1,
  goal: number,
  n: number,
): { theta: number; guess: Float64Array } {
  const from = line.thetaAt(start);
  const free = line.freeOf(start);
  const step = line.solve(line.evaluate(from, free));
  const reach = step && step.curvature < 0 ? goal * Math.sqrt(n / -step.curvature) : Infinity;
  if (!step || !(reach < FIRST_REACH)) {
    const out = from + side * FIRST_REACH;
    return { theta: out, guess: line.holding(out, start) ?? free };
  }
  const last = free.length - 1;
  const tau = free[last] as number;
  const shrunk = tau / Math.sqrt(1 + goal * goal);
  // δ = βτ: the straight step of β, then the new τ.
  const guess = free.map((v, i) => ((v + side * reach * (step.alongRidge[i] as number)) / tau) * shrunk);
  guess[last] = shrunk;
  return { theta: from + side * reach, guess };
}

/** Where the curvature says nothing, the first look is this far out (a factor of e^½). */
const FIRST_REACH = 0.5;

interface Bracketed {
  readonly from: number;
  readonly inside: number;
  readonly outside: number;
  readonly between: number;
  readonly side: -1 | 1;
}

/**
 * A step that stays between what is known to lie inside and outside; outwards at most three times as far as
 * before.
 */
function within(wanted: number, { from, inside, outside, between, side }: Bracketed): number {
  const bounded = Math.abs(outside) < Infinity;
  const farthest = bounded ? outside : from + side * Math.min(FAR, 3 * Math.abs(inside - from) + FIRST_REACH);
  if (side * (wanted - inside) > 0 && side * (farthest - wanted) > 0) return wanted;
  return bounded ? between : farthest;
}

/** Decrement at which a constrained optimum is good enough: what is left to gain is half of it. */
const SETTLED = 1e-11;

interface Constrained {
  readonly at: Float64Array;
  readonly value: number;
  readonly evaluation: LineEvaluation;
}

/**
 * Maximum of the likelihood where the target is θ, from a guess of the free parameters; no better than the
 * share `onTop` of the way from the floor.
 */
function profileAt(
  line: Line,
  theta: number,
  guess: Float64Array,
  { floor, allowed }: Pick<Top, 'floor' | 'allowed'>,
  onTop: number,
): Constrained {
  const poor = floor - 4 * allowed;
  const value = (free: Float64Array): number => line.evaluate(theta, free).value;
  // A guess with a spread far too small lies in a valley that Newton's method leaves by small steps only.
  let here = value(guess);
  for (let wider = guess; here < poor && (wider[wider.length - 1] as number) > LEAST_TAU;) {
    wider = wider.map((v) => v / 4);
    const there = value(wider);
    if (!(there > here)) break;
    [guess, here] = [wider, there];
  }
  const climb = (from: Float64Array) =>
    maximise((free) => line.evaluate(theta, free), from, SETTLED, floor + allowed * onTop);
  const narrow = climb(guess);
  const onIt = narrow.value >= floor + allowed * onTop;
  const wider = onIt ? undefined : widerStart(line, theta, guess);
  const broad = wider && climb(wider);
  const top = broad && broad.value > narrow.value ? broad : narrow;
  return { at: line.expand(theta, top.at), value: top.value, evaluation: top.evaluation };
}

/** How much wider a start is than the one before. */
const WIDER = 4;

/**
 * Where the spread is smaller than the errors of places, the likelihood is no longer concave: holds and fails that
 * nearly meet make a narrow peak there, and a broad one beside it. The best of some wider starts finds that one.
 * Undefined where the spread is wide enough.
 */
function widerStart(line: Line, theta: number, guess: Float64Array): Float64Array | undefined {
  const last = guess.length - 1;
  let best: { readonly at: Float64Array; readonly value: number } | undefined;
  for (let at = guess; (at[last] as number) > line.blurredFrom / WIDER ** 2;) {
    at = at.map((v) => v / WIDER);
    const { value } = line.evaluate(theta, at);
    if (!best || value > best.value) best = { at, value };
  }
  return best?.at;
}
