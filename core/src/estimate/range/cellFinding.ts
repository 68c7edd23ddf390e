import { Z90, Z95 } from '../../numeric/normal.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { boundsOf, type Bounds } from './commonBracket.ts';
import { boundedBy, observedOf, type Ends } from './ends.ts';
import { isFit, type NoFit, type RangeFit } from './fit.ts';
import { fitOneLocation } from './keptFits.ts';
import { medianOverGroups } from './nested.ts';
import { outingsOf, SAMPLE_OF_OUTINGS, type Outings } from './outings.ts';
import { ownSpread, type OwnSpread } from './ownSpread.ts';
import { profileInterval } from './profile.ts';
import { FLAT, inMetres, quantileEstimate, type QuantileEstimate } from './quantile.ts';
import {
  boundWithScaleError,
  scaleErrorOf,
  withOffset,
  withScaleError,
  type ScaleError,
} from './scaleError.ts';
import * as phrases from './phrases.ts';

export const MEDIAN_BY = ['shared spread', 'own spread', 'outings'] as const;
export type MedianBy = (typeof MEDIAN_BY)[number];

/** One product on one path: what its walks say. */
export interface CellFinding {
  readonly product: string;
  readonly path: string;
  readonly walks: number;
  readonly estimable: boolean;
  readonly reason: string | undefined;
  readonly bounds: Bounds | undefined;
  readonly median: QuantileEstimate | undefined;
  readonly p10: QuantileEstimate | undefined;
  /**
   * Calibrated profile intervals in metres; they exist for some sets whose σ is not estimable, too. The median's is
   * by the spread that the products of a fit share, by its own where spreads may differ, and by Student's t over
   * outings where there are three or more, some of them with several walks. p10 here is by the shared spread.
   */
  readonly interval95M: { readonly median: Ends | undefined; readonly p10: Ends | undefined };
  /** The median by the spread that the products of a fit share, whatever is published. */
  readonly shared: { readonly median: QuantileEstimate | undefined; readonly interval95M: Ends | undefined };
  /** What the published median rests on. */
  readonly medianBy: MedianBy;
  /** On how many outings it was walked; absent where not every walk says on which. */
  readonly outings: Outings | undefined;
  /** p10 and p90 by its own walks and their own spread: what needs, "up to" and reports speak of. */
  readonly own: OwnSpread | undefined;
  /** Walks that failed, known where or not; and those of them that nobody placed. */
  readonly failures: number;
  readonly unplaced: number;
  /**
   * The error that is common to their distances, and the intervals and bounds with it: what is judged on. The
   * median's spread is shared by the products of a fit, those of p10 and p90 are its own.
   */
  readonly scale: ScaleError;
  readonly withScale95M: {
    readonly median: Ends | undefined;
    readonly p10: Ends | undefined;
    readonly p90: Ends | undefined;
    readonly allHeldToM: number | undefined;
    readonly allFailedByM: number | undefined;
  };
}

/** What is costly and not always wanted: p10 by the shared spread, and what each cell's own walks say. */
export interface Wanted {
  readonly sharedP10?: boolean;
  readonly own?: boolean;
  /** The spreads of the products here may differ: each median by its own. */
  readonly ownMedian?: boolean;
}

export function cellFinding(
  fit: RangeFit | NoFit,
  all: readonly WalkInterval[],
  product: string,
  path: string,
  wanted: Wanted = {},
): CellFinding {
  const walks = all.filter((w) => w.product === product && w.path === path);
  const weights = fit.model.cell(product, path);
  const quantile = (z: number): QuantileEstimate | undefined =>
    isFit(fit) && weights ? quantileEstimate(fit, { weights, z }) : undefined;
  const outings = outingsOf(walks);
  const over = overOutings(walks, outings);
  const ownFit = wanted.own || wanted.ownMedian ? fitOneLocation(walks) : undefined;
  const alone = ownFit && wanted.ownMedian && walks.length >= 3 ? byItself(ownFit) : undefined;
  const median = over ? over.estimate : alone ? alone.estimate : quantile(0);
  const observed = observedOf(walks.length > 0 ? walks : all);
  const interval = (z: number): Ends | undefined => {
    const ends = weights && inMetres(profileInterval(fit, { weights, z }), fit.model.centre);
    return ends && boundedBy(ends, observed);
  };
  const p10 = median && quantile(-Z90);
  const shared = { median: quantile(0), interval95M: interval(0) };
  const interval95M = {
    median: over
      ? boundedBy(over.interval95M, observed)
      : alone
        ? alone.interval95M && boundedBy(alone.interval95M, observed)
        : shared.interval95M,
    p10: wanted.sharedP10 ? interval(-Z90) : undefined,
  };
  const bounds = walks.length > 0 ? boundsOf(walks) : undefined;
  const scale = withOffset(scaleErrorOf(walks), walks, median?.estimateM ?? (bounds && middleOf(bounds)));
  const own = wanted.own
    ? ownSpread(walks, outings && isSample(outings) ? outings.count : undefined, ownFit)
    : undefined;
  const ownEnds = (of: 'p10' | 'p90'): Ends | undefined => {
    const found = own?.[of];
    return found && widened(boundedBy(found.interval95M, observed), found.estimateM);
  };
  const widened = (ends: Ends | undefined, estimateM: number | undefined): Ends | undefined =>
    ends && withScaleError(ends, estimateM, scale.u);
  return {
    product,
    path,
    walks: walks.length,
    estimable: median !== undefined,
    reason: alone?.reason ?? (isFit(fit) && weights && !median ? FLAT : cellReason(fit, walks, weights)),
    bounds,
    median,
    p10,
    interval95M,
    shared,
    medianBy: over ? 'outings' : alone ? 'own spread' : 'shared spread',
    outings,
    own,
    failures: walks.filter(failed).length,
    unplaced: walks.filter((w) => w.unplaced).length,
    scale,
    withScale95M: {
      median: widened(interval95M.median, median?.estimateM),
      p10: ownEnds('p10'),
      p90: ownEnds('p90'),
      allHeldToM: bounds && boundWithScaleError(bounds.allHeldToM, -1, scale.u),
      allFailedByM: bounds?.allFailedByM && boundWithScaleError(bounds.allFailedByM, 1, scale.u),
    },
  };
}

const isSample = ({ count, repeated }: Outings): boolean => repeated && count >= SAMPLE_OF_OUTINGS;

/** Median over outings, where they are a sample and some hold several walks. */
function overOutings(
  walks: readonly WalkInterval[],
  outings: Outings | undefined,
): { readonly estimate: QuantileEstimate; readonly interval95M: Ends } | undefined {
  if (!outings || !isSample(outings)) return undefined;
  const found = medianOverGroups(walks, (w) => w.outing as string);
  if (!found) return undefined;
  const { estimateM, seLog, interval95M } = found;
  const at = (z: number): number => estimateM * Math.exp(z * seLog);
  return { estimate: { estimateM, seLog, wald95M: [at(-Z95), at(Z95)] }, interval95M };
}

/** Median by a product's own walks and their own spread. */
function byItself(fit: RangeFit | NoFit): {
  readonly estimate: QuantileEstimate | undefined;
  readonly interval95M: Ends | undefined;
  readonly reason: string | undefined;
} {
  const weights = fit.model.cell('', '');
  return {
    estimate: isFit(fit) && weights ? quantileEstimate(fit, { weights, z: 0 }) : undefined,
    interval95M: weights && inMetres(profileInterval(fit, { weights, z: 0 }), fit.model.centre),
    reason: isFit(fit) ? undefined : fit.reason,
  };
}

/** Where walks that have no median lie, roughly. */
export const middleOf = ({ allHeldToM, allFailedByM = allHeldToM }: Bounds): number | undefined =>
  allHeldToM > 0 ? Math.sqrt(allHeldToM * allFailedByM) : allFailedByM > 0 ? allFailedByM : undefined;

/** It failed, known where or not. */
const failed = (w: WalkInterval): boolean => w.failedM !== undefined || w.unplaced === true;

function cellReason(
  fit: RangeFit | NoFit,
  walks: readonly WalkInterval[],
  weights: number[] | undefined,
): string | undefined {
  if (weights === undefined || !isFit(fit)) {
    if (walks.length === 0) return phrases.noWalkHereAndNoneElsewhere;
    if (!walks.some(failed)) return phrases.noFailureInOfWalks(walks.length);
    if (walks.every((w) => w.failedM === undefined))
      return phrases.failedInOfWalksEachTime(walks.filter(failed).length, walks.length);
    if (walks.every((w) => w.heldM === 0)) return phrases.failedAtTheFirstPointIn(walks.length);
    if (walks.length === 1) return phrases.oneWalkItsIntervalAndNothing;
    return isFit(fit) ? phrases.censoredOnOneSide : fit.reason;
  }
  return walks.length === 0 ? phrases.noWalkHerePredictedFromThe : undefined;
}
