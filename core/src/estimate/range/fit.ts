import { invertInformation, solveNearlyPositive } from '../../numeric/linear.ts';
import { maximise } from '../../numeric/maximise.ts';
import { censoringOf, type WalkInterval } from '../../walk/walkInterval.ts';
import { agreementOf, type Agreement } from './commonBracket.ts';
import { AS_STATED, type Levels } from './levels.ts';
import { evaluate, type LikelihoodData } from './likelihood.ts';
import { buildModel, type RangeModel } from './model.ts';
import * as phrases from './phrases.ts';

/** Maximum-likelihood fit, on centred ln metres; parameters β then ln σ. */
export interface RangeFit {
  readonly model: RangeModel;
  readonly beta: readonly number[];
  readonly sigma: number;
  /**
   * Log-likelihood as a density of metres where a row is exact (it holds −ln d, as survival packages report
   * it).
   */
  readonly loglik: number;
  /** The same without the −ln d: what profiles are compared with. */
  readonly logLikelihood: number;
  /** Inverse observed information of (β, ln σ). */
  readonly covariance: readonly (readonly number[])[];
}

/** Why no σ can be had. The supremum of the likelihood is kept: it is what profiles are compared with. */
export interface NoFit {
  readonly model: RangeModel;
  readonly reason: string;
  readonly supremum: number | undefined;
  /** A point near the supremum, (δ, τ), to start profiles from. */
  readonly near: Float64Array | undefined;
}

export const isFit = (fit: RangeFit | NoFit): fit is RangeFit => 'sigma' in fit;

export function fitRanges(walks: readonly WalkInterval[], levels: Levels = AS_STATED): RangeFit | NoFit {
  const kinds = walks.map(censoringOf);
  const model = buildModel(walks, levels);
  const rows = model.cells.flatMap((c) => c.rows);
  const none = (reason: string): NoFit => ({ model, reason, supremum: undefined, near: undefined });
  if (walks.length === 0) return none(phrases.noWalk);
  if (kinds.every((k) => k === 'right')) return none(phrases.noFailureInAnyWalk);
  if (kinds.every((k) => k === 'left')) return none(phrases.everyWalkFailedAtItsFirst);
  if (rows.length === 0) return none(phrases.everyProductIsCensoredOnOne);

  const places = rows.filter(({ walk }) => walk.heldM === walk.failedM);
  const agreement = agreementOf(model.cells, places.length > 0);
  const degenerate = agreement !== 'apart';
  // Bounds that meet at one place agree with every spread.
  if (degenerate && rows.every(({ walk }) => walk.heldM === 0 || walk.failedM === undefined))
    return none(degenerateReason(model.informative, agreement));
  // Places without an error that agree exactly have a likelihood without bound.
  if (degenerate && places.some((row) => row.uM === 0))
    return none(degenerateReason(model.informative, agreement));
  const start = startOf(model.data);
  const top = maximise((at) => evaluate(model.data, at), start);
  const spread = 1 / (top.at[model.data.columns] as number);
  const withinErrors = !degenerate && spread >= 0 && spread < LEAST_SPREAD;
  // One place without an error, met exactly, lets the likelihood of no spread grow without bound.
  if (withinErrors && places.some((row) => row.uM === 0)) return none(WITHIN_ERRORS);
  if (degenerate || withinErrors)
    return {
      model,
      reason: withinErrors ? WITHIN_ERRORS : degenerateReason(model.informative, agreement),
      supremum: top.value,
      near: withdrawn(model.data, top.at, top.value),
    };
  const tau = top.at[model.data.columns] as number;
  if (!(tau > 0) || !top.converged) return none(phrases.theWalksDoNotBoundThe);
  return {
    model,
    beta: Array.from(top.at.subarray(0, model.data.columns), (d) => d / tau),
    sigma: 1 / tau,
    logLikelihood: top.value,
    loglik: places.reduce((sum, { walk, count }) => sum - count * Math.log(walk.heldM), top.value),
    covariance: covarianceAt(top.at, top.evaluation.hessian),
  };
}

/** A spread of ln distance below this is none: the errors of the places are all that the walks differ by. */
const LEAST_SPREAD = 1e-6;
const WITHIN_ERRORS = phrases.theWalksDifferByNoMore;

const degenerateReason = (walks: number, agreement: Agreement): string =>
  walks === 1
    ? phrases.oneWalkItsIntervalAndNothing
    : agreement === 'adjoining'
      ? phrases.theBracketsAdjoinAtOnePlace
      : phrases.oneBracketFitsEveryWalkThe;

/** No sharpness is looked for below this: walks that spread by a factor of e^1000 bound nothing. */
export const LEAST_TAU = 1e-3;

/**
 * From a point at the supremum, where σ is next to nothing, back along its ray (the locations stay) to
 * where the likelihood begins to fall: from there Newton's method goes anywhere, from the supremum nowhere.
 */
function withdrawn(data: LikelihoodData, at: Float64Array, supremum: number): Float64Array {
  let near = at;
  for (;;) {
    const wider = near.map((v) => v / 2);
    if (!(evaluate(data, wider).value > supremum - 0.01)) return near;
    near = wider;
  }
}

/** No start has a smaller spread: the likelihood must be finite there. */
const LEAST_START_SIGMA = 0.05;

/**
 * Least squares through the middles of the brackets, and the spread about it: near enough for Newton's
 * method.
 */
function startOf({ low, high, count, starts, design, columns }: LikelihoodData): Float64Array {
  const normal = new Float64Array(columns * columns);
  const right = new Float64Array(columns);
  const middle = (i: number): number => {
    const [a, b] = [low[i] as number, high[i] as number];
    return a === -Infinity ? b : b === Infinity ? a : (a + b) / 2;
  };
  for (let c = 0, at = 0; c + 1 < starts.length; c++, at += columns) {
    let [n, sum] = [0, 0];
    for (let i = starts[c] as number; i < (starts[c + 1] as number); i++) {
      n += count[i] as number;
      sum += (count[i] as number) * middle(i);
    }
    for (let j = 0; j < columns; j++) {
      const x = design[at + j] as number;
      right[j] = (right[j] as number) + x * sum;
      for (let k = 0; k < columns; k++)
        normal[j * columns + k] = (normal[j * columns + k] as number) + n * x * (design[at + k] as number);
    }
  }
  const beta = columns === 0 ? right : (solveNearlyPositive(normal, right) ?? right.fill(0));
  let [n, squares] = [0, 0];
  for (let c = 0, at = 0; c + 1 < starts.length; c++, at += columns) {
    let fitted = 0;
    for (let j = 0; j < columns; j++) fitted += (design[at + j] as number) * (beta[j] as number);
    for (let i = starts[c] as number; i < (starts[c + 1] as number); i++) {
      n += count[i] as number;
      squares += (count[i] as number) * (middle(i) - fitted) ** 2;
    }
  }
  const sigma = Math.max(LEAST_START_SIGMA, Math.sqrt(squares / n));
  return Float64Array.from([...beta, 1], (b, j) => (j === columns ? 1 : b) / sigma);
}

/**
 * From the Hessian in (δ, τ) to the covariance of (β, ln σ): information JᵀHJ with δ = β/σ, τ = 1/σ. The
 * gradient is zero at the maximum, so that no second derivative of the map enters.
 */
function covarianceAt(at: Float64Array, hessian: Float64Array): number[][] {
  const size = at.length;
  const last = size - 1;
  const tau = at[last] as number;
  const jacobian = (i: number, j: number): number => (j === last ? -(at[i] as number) : i === j ? tau : 0);
  const information = new Float64Array(size * size);
  for (let a = 0; a < size; a++) {
    for (let b = 0; b < size; b++) {
      let sum = 0;
      for (let i = 0; i < size; i++)
        for (let j = 0; j < size; j++)
          sum -= jacobian(i, a) * (hessian[i * size + j] as number) * jacobian(j, b);
      information[a * size + b] = sum;
    }
  }
  return invertInformation(information, size);
}
