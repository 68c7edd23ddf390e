import { invertInformation } from '../../numeric/linear.ts';
import { maximise } from '../../numeric/maximise.ts';
import { censoringOf, type WalkInterval } from '../../walk/walkInterval.ts';
import { oneBracketFitsAll } from './commonBracket.ts';
import { evaluate } from './likelihood.ts';
import { buildModel, type RangeModel } from './model.ts';

/** Maximum-likelihood fit, on centred ln metres; parameters β then ln σ. */
export interface RangeFit {
  readonly model: RangeModel;
  readonly beta: readonly number[];
  readonly sigma: number;
  /** Log-likelihood as a density of metres where a row is exact (it holds −ln d, as survival packages report it). */
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

export function fitRanges(walks: readonly WalkInterval[], withProducts = true): RangeFit | NoFit {
  const kinds = walks.map(censoringOf);
  const model = buildModel(walks, withProducts);
  const rows =
    withProducts && model.informative.length === walks.length
      ? walks
      : model.informative.map(
          (i) => (withProducts ? walks[i] : { ...walks[i], product: '' }) as WalkInterval,
        );
  const none = (reason: string): NoFit => ({ model, reason, supremum: undefined, near: undefined });
  if (walks.length === 0) return none('no walk');
  if (kinds.every((k) => k === 'right')) return none('no failure in any walk');
  if (kinds.every((k) => k === 'left')) return none('every walk failed at its first point');
  if (rows.length === 0) return none('every product is censored on one side on every path');

  const degenerate = oneBracketFitsAll(rows);
  if (degenerate && rows.some((w) => w.heldM === w.failedM)) return none(degenerateReason(rows));
  const start = new Float64Array(model.data.columns + 1);
  start[model.data.columns] = 1 / Math.max(0.05, spread(model));
  const top = maximise((at) => evaluate(model.data, at), start);
  if (degenerate) return { model, reason: degenerateReason(rows), supremum: top.value, near: top.at };
  const tau = top.at[model.data.columns] as number;
  if (!(tau > 0) || !top.converged)
    return none('the walks do not bound the spread from above: none has both a hold and a fail');
  const exact = rows.filter((w) => w.heldM === w.failedM);
  return {
    model,
    beta: Array.from(top.at.subarray(0, model.data.columns), (d) => d / tau),
    sigma: 1 / tau,
    logLikelihood: top.value,
    loglik: exact.reduce((sum, w) => sum - Math.log(w.heldM), top.value),
    covariance: covarianceAt(top.at, top.evaluation.hessian),
  };
}

const degenerateReason = (rows: readonly WalkInterval[]): string =>
  rows.length === 1
    ? 'one walk: its interval and nothing else'
    : 'one bracket fits every walk: the spread between walks cannot be told from none';

/** Standard deviation of the finite ends: a scale to start from. */
function spread({ data }: RangeModel): number {
  const ends = [...data.low, ...data.high].filter(Number.isFinite);
  const mean = ends.reduce((a, b) => a + b, 0) / ends.length;
  return Math.sqrt(ends.reduce((sum, e) => sum + (e - mean) ** 2, 0) / ends.length);
}

/**
 * From the Hessian in (δ, τ) to the covariance of (β, ln σ): information JᵀHJ with δ = β/σ, τ = 1/σ. The gradient is
 * zero at the maximum, so that no second derivative of the map enters.
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
