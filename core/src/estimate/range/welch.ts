import { chiSquareUpper } from '../../numeric/chiSquare.ts';
import { welchT } from '../../numeric/welchT.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { Ends } from './ends.ts';
import { isFit, type RangeFit } from './fit.ts';
import { fitOneLocation, fitProducts } from './keptFits.ts';

/** Below this chance of equal spreads by the likelihood ratio they plainly differ. */
const PLAINLY = 0.05;

/** A ratio of medians where each product has its own spread. */
export interface WelchRatio {
  readonly ratio: number;
  readonly seLog: number;
  readonly interval95: Ends;
  readonly p: number;
  readonly df: number;
}

interface Own {
  readonly n: number;
  readonly mu: number;
  readonly logLikelihood: number;
  /** Squared standard error of the location, for so few walks: n/(n − 1) of the observed information's. */
  readonly squaredError: number;
}

function own(walks: readonly WalkInterval[]): Own | undefined {
  const fit = fitOneLocation(walks);
  const n = walks.length;
  if (!isFit(fit) || n < 3 || fit.model.informative < n) return undefined;
  return {
    n,
    mu: (fit.beta[0] as number) + fit.model.centre,
    logLikelihood: fit.logLikelihood,
    squaredError: (((fit.covariance[0] as number[])[0] as number) * n) / (n - 1),
  };
}

/**
 * Welch's t on the fitted locations, where the two spreads
 * plainly differ: by the likelihood ratio of one spread against two. Undefined where they do not, or where
 * one of them cannot be told from none. For exact walks it is Welch's t on ln distance, to the last digit.
 */
export function welchRatio(
  numerator: readonly WalkInterval[],
  denominator: readonly WalkInterval[],
): WelchRatio | undefined {
  const [a, b] = [own(numerator), own(denominator)];
  if (!a || !b) return undefined;
  const shared = fitProducts([...numerator, ...denominator]);
  if (!isFit(shared) || !spreadsDiffer(a, b, shared)) return undefined;
  const found = welchT({ ...a, mean: a.mu }, { ...b, mean: b.mu });
  const { difference: logRatio, half95, standardError, p, df } = found;
  return {
    ratio: Math.exp(logRatio),
    seLog: standardError,
    interval95: { low: Math.exp(logRatio - half95), high: Math.exp(logRatio + half95) },
    p,
    df,
  };
}

/**
 * Below this chance of equal spreads medians no longer share one: found by simulation (npm run bench:coverage), as
 * the least at which a loose product beside a tight one holds 93 % at three walks each.
 */
const DOUBTFUL = 0.4;

/**
 * Whether the spreads of products on one path differ too much for their medians to share one: by the
 * likelihood ratio of one for all against one each. Products of fewer than three walks, or whose walks bound
 * from one side only, do not tell.
 */
export function spreadsInDoubt(products: readonly (readonly WalkInterval[])[]): boolean {
  const telling = products.flatMap((walks) => {
    const fit = fitOneLocation(walks);
    const top = isFit(fit) ? fit.logLikelihood : fit.supremum;
    return walks.length >= 3 && fit.model.informative === walks.length && top !== undefined
      ? [{ walks, top }]
      : [];
  });
  if (telling.length < 2) return false;
  const shared = fitProducts(telling.flatMap(({ walks }) => walks));
  if (!isFit(shared)) return false;
  const gained = telling.reduce((sum, t) => sum + t.top, -shared.logLikelihood);
  return chiSquareUpper(Math.max(0, 2 * gained), telling.length - 1) < DOUBTFUL;
}

/** Centres differ between the fits, and a density does not mind. */
const spreadsDiffer = (a: Own, b: Own, shared: RangeFit): boolean =>
  chiSquareUpper(Math.max(0, 2 * (a.logLikelihood + b.logLikelihood - shared.logLikelihood)), 1) < PLAINLY;
