import { Z90 } from '../numeric/normal.ts';
import type { Ends } from '../estimate/range/ends.ts';
import { cellBasis } from '../estimate/range/basis.ts';
import { aboutText, byMethod, scaleText } from '../estimate/range/scaleError.ts';
import type { CellFinding } from '../estimate/range/cellFinding.ts';
import type { Criterion } from '../grade/criterion.ts';
import { formatLength } from '../quantity/length.ts';
import { MOST_WALKS, walksToTell } from '../numeric/walksToTell.ts';
import { walksFor } from './walksFor.ts';
import * as phrases from './phrases.ts';

/** What the maker or folklore says of a product's range. */
export interface Claim {
  /** As it was written, in its own unit: "100 m", "328 ft". */
  readonly entered: string;
  readonly distanceM: number;
  readonly upTo: boolean;
  readonly condition: 'open' | 'obstructed' | 'unstated';
}

/** The walks of one product that can speak to a claim. */
export interface Evidence {
  readonly criterion: Criterion;
  /** Absent when no walk was made in the claim's condition. */
  readonly cell: CellFinding | undefined;
  readonly unitsTested: number;
  /** Greatest separation on the paths of this condition; absent when there is none. */
  readonly pathReachM: number | undefined;
}

export type VerdictOutcome = 'supported' | 'refuted' | 'undecided' | 'not tested';

export interface Verdict {
  readonly outcome: VerdictOutcome;
  /** One sentence, with figures. */
  readonly reason: string;
  /** The cheapest next measurement that would decide; absent when it is decided. */
  readonly next: string | undefined;
  /** That in two or three words, where a line has room for no more. */
  readonly step?: string;
  /** What was found, as it is written, where that is no distance: the figure, its 95 % interval, and of how many. */
  readonly found?: FoundFigures;
  readonly caveats: readonly string[];
}

export interface FoundFigures {
  readonly figure: string | undefined;
  readonly interval: string | undefined;
  readonly n: string;
}

/** A next step, in a sentence and in two or three words. */
export interface Next {
  readonly next: string;
  readonly step: string;
}

const WALKS_FOR_MEDIAN = walksFor(0.5);
const WALKS_FOR_P90 = walksFor(0.9);

/**
 * Judges a distance claim on the median of its criterion. "Up to X" is refuted only when even the 90th
 * percentile stays below X; any other claim, when the median's upper bound does.
 */
export function judgeClaim(claim: Claim, evidence: Evidence): Verdict {
  const caveats = caveatsOf(claim, evidence);
  const { cell } = evidence;
  if (!cell || cell.walks === 0)
    return {
      outcome: 'not tested',
      reason: notTested(claim, evidence),
      next: nextPath(claim),
      step: phrases.walkIt,
      caveats,
    };
  const known = knownOf(claim, cell, cell.withScale95M, cell.withScale95M.allHeldToM);
  const n = cellBasis(cell);
  if (known.low !== undefined && known.low >= claim.distanceM)
    return {
      outcome: 'supported',
      reason: phrases.theMedianLiesBeyondWith95(
        evidence.criterion,
        formatLength(known.low),
        n,
        claim.entered,
      ),
      next: undefined,
      caveats,
    };
  if (known.above !== undefined && known.above < claim.distanceM) {
    const what = claim.upTo ? phrases.evenTheBestTenthOfWalks : phrases.theMedianLies;
    return {
      outcome: 'refuted',
      reason: phrases.beforeWith95PercentConfidenceThe(
        what,
        formatLength(known.above),
        evidence.criterion,
        n,
        claim.upTo ? phrases.upTo : '',
        claim.entered,
      ),
      next: undefined,
      caveats,
    };
  }
  return {
    outcome: 'undecided',
    reason: undecided(claim, cell, known),
    ...nextMeasurement(claim, evidence, cell),
    caveats,
  };
}

/** What the walks bound: the median from below and above, and what "up to" is refuted by. */
interface Known extends Ends {
  readonly above: number | undefined;
}

function knownOf(
  claim: Claim,
  cell: CellFinding,
  { median, p90 }: Pick<CellFinding['withScale95M'], 'median' | 'p90'>,
  allHeldToM: number | undefined,
): Known {
  // What walks that never failed bound without a model.
  const allHeld = cell.failures === 0 && cell.walks >= WALKS_FOR_MEDIAN ? allHeldToM : undefined;
  const high = median?.high ?? allFailed(cell, WALKS_FOR_MEDIAN);
  return {
    low: median ? median.low : allHeld,
    high,
    above: claim.upTo ? (p90?.high ?? allFailed(cell, WALKS_FOR_P90)) : high,
  };
}

const decides = (claim: Claim, { low, above }: Known): boolean =>
  (low !== undefined && low >= claim.distanceM) || (above !== undefined && above < claim.distanceM);

const walksText = (n: number): string => phrases.countedWalks(n);

const allFailed = (cell: CellFinding, walks: number): number | undefined =>
  cell.walks >= walks ? cell.withScale95M.allFailedByM : undefined;

function undecided(claim: Claim, cell: CellFinding, { low, high, above }: Known): string {
  const show = (m: number): string => formatLength(m);
  const n = cellBasis(cell);
  const { bounds, walks } = cell;
  if (bounds && cell.failures === 0 && !cell.estimable)
    return (
      `${heldText(cell)}: a bound, not a range, and ` +
      (walks < WALKS_FOR_MEDIAN
        ? phrases.fewerThanTheWalksThatWould(WALKS_FOR_MEDIAN)
        : phrases.shortOf(claim.entered)) +
      '.'
    );
  if (low === undefined && high === undefined)
    return phrases.noMedian(n, walks, cell.reason ?? phrases.tooFewForAnInterval);
  const upper = claim.upTo ? above : high;
  return phrases.theClaimOfLiesBetweenThe(
    claim.entered,
    low === undefined ? 'none' : show(low),
    claim.upTo ? phrases.theUpperBoundOfTheBest : phrases.theMediansUpperBound,
    upper === undefined ? 'none' : show(upper),
    n,
  );
}

/** "Held to the end, about 90 m by eye: at least 58 m, in 1 of 1 walk". */
export function heldText({ bounds, walks, scale, withScale95M }: CellFinding): string {
  const toM = bounds?.allHeldToM ?? 0;
  const held = phrases.inOf(walks, walksText(walks));
  return scaleText(scale) === undefined || withScale95M.allHeldToM === undefined
    ? phrases.heldTo(formatLength(toM), held)
    : phrases.heldToTheEndAtLeast(
        aboutText(formatLength(toM), scale),
        formatLength(withScale95M.allHeldToM),
        held,
      );
}

function notTested(claim: Claim, { pathReachM }: Evidence): string {
  if (claim.condition === 'unstated') return phrases.noWalkOfThisProductHas;
  return pathReachM === undefined
    ? phrases.noPathHereIsWalksElsewhere(claim.condition)
    : phrases.noWalkOfThisProductOn(claim.condition);
}

const nextPath = (claim: Claim): string =>
  phrases.walkItOnOfAtLeast(
    claim.condition === 'unstated' ? phrases.aPath : phrases.anPath(claim.condition),
    formatLength(1.5 * claim.distanceM),
  );

/**
 * The cheapest next step: a longer path when this one cannot settle it, else more walks, with marks about
 * the claim.
 */
function nextMeasurement(claim: Claim, { pathReachM }: Evidence, cell: CellFinding): Next {
  const exact = knownOf(
    claim,
    cell,
    { median: cell.interval95M.median, p90: cell.own?.p90?.interval95M },
    cell.bounds?.allHeldToM,
  );
  if (decides(claim, exact) && cell.scale.additive)
    return {
      step: phrases.measureTheFixedEnd,
      next: phrases.measureWhereTheFixedEndStands,
    };
  if (decides(claim, exact))
    return {
      step: phrases.measureTheDistance,
      next: phrases.measureTheDistanceTheWalksWould(byMethod(cell.scale.method ?? phrases.thisMethod)),
    };
  if (pathReachM !== undefined && pathReachM <= claim.distanceM)
    return {
      step: phrases.longerPath,
      next: phrases.thisPathEndsAtAndCould(
        formatLength(pathReachM),
        claim.entered,
        nextPath(claim).toLowerCase(),
      ),
    };
  const points = [0.97, 1, 1.03]
    .map((r) => Math.round(claim.distanceM * r))
    .filter((m) => pathReachM === undefined || m <= pathReachM);
  const marks = phrases.withMarksAtM(points.join(', '));
  const more = walksWanted(claim, cell);
  if (more === undefined) return { step: phrases.n1MoreWalk, next: phrases.oneMoreWalkThenLookAgain(marks) };
  return more > 30
    ? {
        step: phrases.tooCloseToTell,
        next: phrases.theClaimLiesTooCloseTo(more),
      }
    : {
        step: phrases.more(more),
        next: phrases.aboutMoreIfTheMedianStays(more, marks),
      };
}

/** Walks beyond those made that settle it in 80 % of cases, by the noncentral t; undefined without a σ. */
function walksWanted(claim: Claim, { median, own, walks }: CellFinding): number | undefined {
  const sigma = own?.sigma;
  if (!median || sigma === undefined || !(sigma > 0)) return undefined;
  const gap =
    Math.abs(Math.log(claim.distanceM / median.estimateM)) -
    (claim.upTo && claim.distanceM > median.estimateM ? Z90 * sigma : 0);
  if (!(gap > 0)) return undefined;
  const all = walksToTell(gap, sigma);
  return all === undefined ? MOST_WALKS : Math.max(1, all - walks);
}

function caveatsOf(claim: Claim, { unitsTested, criterion }: Evidence): string[] {
  return [
    phrases.judgedOnTheMedianOf(criterion),
    ...(unitsTested <= 1 ? [phrases.oneUnitWasTestedTheResult] : []),
    ...(claim.condition === 'unstated' ? [phrases.theClaimStatesNoConditionIt] : []),
  ];
}
