import { maximise } from '../../numeric/maximise.ts';
import { LEAST_TAU } from './fit.ts';
import type { Line, LineEvaluation } from './profileLine.ts';
import * as phrases from './phrases.ts';

/** Decrement at which a constrained optimum is good enough: what is left to gain is half of it. */
export const SETTLED = 1e-11;
/** Where what is left to gain is added, it is known to this to the power of 1.5. */
export const NEARLY_SETTLED = 1e-6;
/** Two climbs to one peak end this near to each other. */
export const BESIDE = 1e-5;

export interface Constrained {
  readonly at: Float64Array;
  readonly value: number;
  readonly evaluation: LineEvaluation;
}

export const higher = (a: Constrained, b: Constrained): Constrained => (b.value > a.value ? b : a);

/** The highest few, highest first; climbs that ended on one peak are one. */
export const apart = (peaks: readonly Constrained[]): Constrained[] =>
  [...peaks]
    .sort((a, b) => b.value - a.value)
    .filter((peak, i, all) => i === 0 || (all[i - 1] as Constrained).value - peak.value > BESIDE)
    .slice(0, MOST_PEAKS);
const MOST_PEAKS = 3;

export interface Climb {
  /** Where the likelihood is highest: from there one climbs where a guess says nothing. */
  readonly start: Float64Array;
  /** How far below the top the interval reaches, and the value there. */
  readonly allowed: number;
  readonly floor: number;
  /** No better is looked for. */
  readonly enough: number;
  /** The decrement at which it ends. */
  readonly settled: number;
}

/** From a guess of the free parameters to a maximum of the likelihood where the target is θ. */
export const climbAt =
  (line: Line, theta: number, { start, floor, allowed, enough, settled }: Climb) =>
  (guess: Float64Array): Constrained => {
    const f = (free: Float64Array): LineEvaluation => line.evaluate(theta, free);
    const poor = floor - 4 * allowed;
    const { free, seen } =
      outOfValley(f, guess, poor) ??
      outOfValley(f, line.holding(theta, start) ?? line.freeOf(start), poor) ??
      outOfValley(f, line.freeOf(start), poor) ??
      noStart(theta);
    const { at, value, evaluation } = maximise(f, free, settled, enough, seen);
    return { at: line.expand(theta, at), value, evaluation };
  };

function noStart(theta: number): never {
  throw new Error(phrases.theLikelihoodIsNothingWhereverThe(theta));
}

/**
 * A guess with a spread far too small lies in a valley that Newton's method leaves by small steps only, or where
 * there is no likelihood at all: then the first wider one that is better. Undefined where there is none.
 */
function outOfValley(
  f: (free: Float64Array) => LineEvaluation,
  guess: Float64Array,
  poor: number,
): { readonly free: Float64Array; readonly seen: LineEvaluation } | undefined {
  const height = (seen: LineEvaluation): number => (Number.isFinite(seen.value) ? seen.value : -Infinity);
  let [free, seen] = [guess, f(guess)];
  for (let wider = guess; height(seen) < poor && (wider[wider.length - 1] as number) > LEAST_TAU;) {
    wider = wider.map((v) => v / WIDER);
    const there = f(wider);
    if (height(there) > height(seen)) [free, seen] = [wider, there];
    else if (height(seen) > -Infinity) break;
  }
  return height(seen) > -Infinity ? { free, seen } : undefined;
}

/** How much wider a start is than the one before. */
const WIDER = 4;

/**
 * Starts from which another peak may be reached. Where the spread is smaller than the errors of places, the likelihood
 * is no longer concave: holds and fails that nearly meet make a narrow peak there, and a broad one beside it. The
 * broad one is looked for from wide spreads inwards, the narrow one where the estimate is, from far less spread than
 * errors outwards. None where the spread is wide enough, or places have no errors.
 * @param thorough also where the likelihood only rises from there towards the known peak's spread
 */
export function besideOf(
  line: Line,
  theta: number,
  top: Constrained,
  start: Float64Array,
  thorough = false,
): Float64Array[] {
  const { blurredFrom } = line;
  if (blurredFrom === Infinity) return [];
  const free = line.freeOf(top.at);
  const tau = free[free.length - 1] as number;
  const wider: number[] = [];
  for (let t = tau; t > blurredFrom / WIDER ** 2; wider.unshift(t)) t /= WIDER;
  const sharper = [3, 2, 1].map((i) => blurredFrom * WIDER ** i).filter((t) => t > tau);
  return [
    ...firstRise(line, theta, free, wider, thorough),
    ...firstRise(line, theta, line.freeOf(start), sharper, thorough),
  ];
}

/** Of the points of a ray with these sharpnesses the first that is higher than the next; or else the last. */
function firstRise(
  line: Line,
  theta: number,
  ray: Float64Array,
  taus: readonly number[],
  orLast: boolean,
): Float64Array[] {
  const tau = ray[ray.length - 1] as number;
  let best: { readonly at: Float64Array; readonly value: number } | undefined;
  for (const t of taus) {
    const at = ray.map((v) => (v / tau) * t);
    const { value } = line.evaluate(theta, at);
    if (best && best.value > value) return [best.at];
    if (Number.isFinite(value)) best = { at, value };
  }
  return orLast && best ? [best.at] : [];
}

/** Where the ridge under a peak points to, θ being so much farther. */
export function ahead(line: Line, { at, evaluation }: Constrained, further: number): Float64Array {
  const free = line.freeOf(at);
  const step = line.solve(evaluation);
  const there =
    step && free.map((v, i) => v + (step.toRidge[i] as number) + further * (step.alongRidge[i] as number));
  return there && (there[there.length - 1] as number) > 0 ? there : free;
}
