import type { Evaluation } from '../../numeric/evaluation.ts';
import { maximise } from '../../numeric/maximise.ts';
import { falsePosition } from '../../numeric/root.ts';
import { studentQuantile, studentTwoSidedP } from '../../numeric/student.ts';
import { COARSE_ALLOWANCE, coarseness } from './coarseness.ts';
import { type NoFit, type RangeFit, isFit } from './fit.ts';
import { evaluate } from './likelihood.ts';
import type { RangeModel } from './model.ts';

/** A linear target θ = weights·β + z·σ: z 0 for a median or a ratio, the normal quantile of p for another quantile. */
export interface Target {
  readonly weights: readonly number[];
  readonly z: number;
}

/** Ends in ln units on the fit's centred scale; an absent end has no bound ("more than", "less than"). */
export interface ProfileInterval {
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** Beyond a factor of e¹² (160,000) from the estimate an end is called unbounded. */
const FAR = 12;

/**
 * Profile-likelihood interval, calibrated for few walks: the drop n·ln(1 + t²/(n − p)) in place of χ², with t the
 * two-sided quantile of Student's t on n − p degrees of freedom, p location parameters. Exact for location contrasts
 * of uncensored normal data: there 2(ℓ̂ − ℓ(θ)) = n·ln(1 + T²/(n − p)). Brackets that are coarse against the spread between
 * walks raise the drop (see coarseness).
 * Undefined (absent) for n ≤ p, or where the likelihood has no bound.
 */
export function profileInterval(
  fit: RangeFit | NoFit,
  target: Target,
  level = 0.95,
): ProfileInterval | undefined {
  const top = calibratedTop(fit, level);
  if (!top) return undefined;
  const search = { ...top, model: fit.model, target, from: valueAt(target, top.start) };
  return { low: findEnd(search, -1), high: findEnd(search, 1) };
}

/** Whether the interval of `profileInterval` holds θ, without finding its ends: one restricted fit. Undefined where there is no interval. */
export function intervalCovers(
  fit: RangeFit | NoFit,
  target: Target,
  theta: number,
  level = 0.95,
): boolean | undefined {
  const top = calibratedTop(fit, level);
  return top && profileAt(fit.model, target, theta, top.start).value >= top.floor;
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
  const drop =
    (2 * Math.max(0, top.floor + top.allowed - profileAt(fit.model, target, theta, top.start).value)) /
    raised;
  return studentTwoSidedP(Math.sqrt(df * Math.expm1(drop / n)), df);
}

const sizeOf = ({ model }: RangeFit | NoFit): { n: number; df: number } => ({
  n: model.informative.length,
  df: model.informative.length - model.data.columns,
});

/** The top of the likelihood and how far below it the interval reaches; undefined where there is no interval. */
function calibratedTop(
  fit: RangeFit | NoFit,
  level: number,
): { start: Float64Array; floor: number; allowed: number } | undefined {
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

function valueAt(target: Target, at: Float64Array): number {
  const tau = at[target.weights.length] as number;
  return (target.weights.reduce((sum, w, j) => sum + w * (at[j] as number), 0) + target.z) / tau;
}

interface Search {
  readonly model: RangeModel;
  readonly target: Target;
  readonly from: number;
  readonly start: Float64Array;
  readonly floor: number;
  readonly allowed: number;
}

/** Steps outwards until the profile falls below the floor, then closes in on √(drop), which is nearly linear in θ. */
function findEnd({ model, target, from, start, floor, allowed }: Search, side: -1 | 1): number | undefined {
  let near = start;
  const excess = (theta: number): number => {
    const top = profileAt(model, target, theta, near);
    near = top.at;
    return Math.sqrt(Math.max(0, floor + allowed - top.value)) - Math.sqrt(allowed);
  };
  let [inside, outside] = [from, from];
  let [fInside, fOutside] = [-Math.sqrt(allowed), 0];
  for (let step = 0.02; ; step *= 2) {
    outside = from + side * step;
    fOutside = excess(outside);
    if (fOutside > 0) break;
    if (step > FAR) return undefined;
    [inside, fInside] = [outside, fOutside];
  }
  return falsePosition(excess, inside, fInside, outside, fOutside);
}

/** Maximum of the likelihood on the line θ: there weights·δ = θτ − z, which is linear, so that concavity is kept. */
function profileAt(
  model: RangeModel,
  target: Target,
  theta: number,
  start: Float64Array,
): { at: Float64Array; value: number } {
  const size = start.length;
  const { weights, z } = target;
  const pivot = weights.reduce(
    (best, w, j) => (Math.abs(w) > Math.abs(weights[best] as number) ? j : best),
    0,
  );
  const pivotWeight = weights[pivot] as number;
  // parameters = map · free + offset, with the pivot's parameter written in the others.
  const slope = (i: number): number => (i === size - 1 ? theta : -(weights[i] as number)) / pivotWeight;
  const free = Array.from({ length: size }, (_, i) => i).filter((i) => i !== pivot);
  const expand = (at: Float64Array): Float64Array => {
    const full = new Float64Array(size);
    let value = -z / pivotWeight;
    free.forEach((i, k) => {
      full[i] = at[k] as number;
      value += slope(i) * (at[k] as number);
    });
    full[pivot] = value;
    return full;
  };
  const top = maximise(
    (at) => restrict(evaluate(model.data, expand(at)), free, pivot, slope),
    Float64Array.from(free, (i) => start[i] as number),
  );
  return { at: expand(top.at), value: top.value };
}

function restrict(
  full: Evaluation,
  free: readonly number[],
  pivot: number,
  slope: (i: number) => number,
): Evaluation {
  const size = full.gradient.length;
  const h = (i: number, j: number): number => full.hessian[i * size + j] as number;
  const gPivot = full.gradient[pivot] as number;
  return {
    value: full.value,
    gradient: Float64Array.from(free, (i) => (full.gradient[i] as number) + slope(i) * gPivot),
    hessian: Float64Array.from(
      free.flatMap((i) =>
        free.map(
          (j) =>
            h(i, j) + slope(i) * h(pivot, j) + slope(j) * h(i, pivot) + slope(i) * slope(j) * h(pivot, pivot),
        ),
      ),
    ),
  };
}
