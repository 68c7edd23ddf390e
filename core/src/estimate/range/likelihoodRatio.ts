import { chiSquareUpper } from '../../numeric/chiSquare.ts';
import { fUpper } from '../../numeric/fDistribution.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, isFit, type NoFit, type RangeFit } from './fit.ts';
import { EACH_CELL, PATHS_ONLY } from './levels.ts';

export interface ChiSquareTest {
  readonly statistic: number;
  readonly df: number;
  /** By χ², for many walks. */
  readonly pValue: number;
  /** By F, calibrated for few walks like the intervals: what is published. */
  readonly pCalibrated: number | undefined;
}

/**
 * A likelihood ratio of q restrictions against n ln(1 + q F/(n − p)), F on q and n − p degrees of freedom, p
 * the locations of the larger model: exact for uncensored normal data.
 */
function lrOf(statistic: number, df: number, larger: RangeFit): ChiSquareTest {
  const n = larger.model.informative;
  const left = n - larger.model.data.columns;
  return {
    statistic,
    df,
    pValue: chiSquareUpper(statistic, df),
    pCalibrated: left >= 1 ? fUpper((Math.expm1(statistic / n) * left) / df, df, left) : undefined,
  };
}

/**
 * Product within path against product plus path: twice the gain in log-likelihood, a degree of freedom a
 * cell beyond the sum.
 */
export function interactionTest(
  walks: readonly WalkInterval[],
  additive: RangeFit | NoFit,
): ChiSquareTest | undefined {
  if (!isFit(additive) || additive.model.informative < walks.length) return undefined;
  const { productLevels, pathLevels } = additive.model;
  const cells = new Set(walks.map((w) => JSON.stringify([w.product, w.path])));
  const df = cells.size - (productLevels.length + pathLevels.length - 1);
  if (df < 1) return undefined;
  const within = fitRanges(walks, EACH_CELL);
  if (!isFit(within) || within.model.informative < walks.length) return undefined;
  return lrOf(Math.max(0, 2 * (within.logLikelihood - additive.logLikelihood)), df, within);
}

/** Likelihood-ratio test of "all products reach equally far", path kept in the model. */
export function productTest(walks: readonly WalkInterval[], full: RangeFit): ChiSquareTest | undefined {
  const df = full.model.productLevels.length - 1;
  if (df === 0 || full.model.informative < walks.length) return undefined;
  const without = fitRanges(walks, PATHS_ONLY);
  if (!isFit(without)) return undefined;
  return lrOf(Math.max(0, 2 * (full.logLikelihood - without.logLikelihood)), df, full);
}
