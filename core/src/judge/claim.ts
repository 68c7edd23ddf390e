import { Z90 } from '../numeric/normal.ts';
import type { CellFinding, Ends } from '../estimate/range/summarise.ts';
import type { Criterion } from '../grade/criterion.ts';
import { formatLength } from '../quantity/length.ts';
import { walksFor } from './walksFor.ts';

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
  readonly caveats: readonly string[];
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
    return { outcome: 'not tested', reason: notTested(claim, evidence), next: nextPath(claim), caveats };
  const median = lowerFirst(cell, cell.interval95M.median);
  const above = claim.upTo
    ? (cell.interval95M.p90?.high ?? allFailed(cell, WALKS_FOR_P90))
    : (median.high ?? allFailed(cell, WALKS_FOR_MEDIAN));
  const show = (m: number): string => formatLength(m);
  const n = walksText(cell.walks);
  if (median.low !== undefined && median.low >= claim.distanceM) {
    return {
      outcome: 'supported',
      reason: `The median ${evidence.criterion} lies beyond ${show(median.low)} with 95 % confidence (${n}); the claim is ${claim.entered}.`,
      next: undefined,
      caveats,
    };
  }
  if (above !== undefined && above < claim.distanceM) {
    const what = claim.upTo ? 'Even the best tenth of walks ends' : 'The median lies';
    return {
      outcome: 'refuted',
      reason: `${what} before ${show(above)} with 95 % confidence (${evidence.criterion}, ${n}); the claim is ${claim.upTo ? 'up to ' : ''}${claim.entered}.`,
      next: undefined,
      caveats,
    };
  }
  return {
    outcome: 'undecided',
    reason: undecided(claim, cell, median, above),
    next: nextMeasurement(claim, evidence, cell),
    caveats,
  };
}

const walksText = (n: number): string => `${n} ${n === 1 ? 'walk' : 'walks'}`;

/** The median's interval, or what walks that never failed bound without a model. */
function lowerFirst(cell: CellFinding, interval: Ends | undefined): Ends {
  const allHeld = cell.walks >= WALKS_FOR_MEDIAN ? cell.bounds?.allHeldToM : undefined;
  return { low: interval ? interval.low : allHeld, high: interval?.high };
}

const allFailed = (cell: CellFinding, walks: number): number | undefined =>
  cell.walks >= walks ? cell.bounds?.allFailedByM : undefined;

function undecided(claim: Claim, cell: CellFinding, median: Ends, above: number | undefined): string {
  const show = (m: number): string => formatLength(m);
  const n = walksText(cell.walks);
  const { bounds } = cell;
  if (bounds && bounds.allFailedByM === undefined && !cell.estimable) {
    return `Held to ${show(bounds.allHeldToM)} in ${cell.walks} of ${n}: a bound, not a range, and ${cell.walks < WALKS_FOR_MEDIAN ? `fewer than the ${WALKS_FOR_MEDIAN} walks that would bound the median` : `short of ${claim.entered}`}.`;
  }
  if (median.low === undefined && median.high === undefined)
    return `${n} ${cell.walks === 1 ? 'bounds' : 'bound'} no median: ${cell.reason ?? 'too few for an interval'}.`;
  const upper = claim.upTo ? above : median.high;
  return `The claim of ${claim.entered} lies between the median's lower bound, ${median.low === undefined ? 'none' : show(median.low)}, and ${claim.upTo ? 'the upper bound of the best tenth of walks' : "the median's upper bound"}, ${upper === undefined ? 'none' : show(upper)} (${n}).`;
}

function notTested(claim: Claim, { pathReachM }: Evidence): string {
  if (claim.condition === 'unstated') return 'No walk of this product has an outcome.';
  return pathReachM === undefined
    ? `No path here is ${claim.condition}: walks elsewhere say nothing on this claim.`
    : `No walk of this product on the ${claim.condition} path has an outcome.`;
}

const nextPath = (claim: Claim): string =>
  `Walk it on ${claim.condition === 'unstated' ? 'a path' : `an ${claim.condition} path`} of at least ${formatLength(1.5 * claim.distanceM)}.`;

/**
 * The cheapest next step: a longer path when this one cannot settle it, else more walks, with marks about
 * the claim.
 */
function nextMeasurement(claim: Claim, { pathReachM }: Evidence, cell: CellFinding): string {
  if (pathReachM !== undefined && pathReachM <= claim.distanceM)
    return `This path ends at ${formatLength(pathReachM)} and could never settle ${claim.entered}: ${nextPath(claim).toLowerCase()}`;
  const marks = [0.97, 1, 1.03].map((r) => Math.round(claim.distanceM * r)).join(', ');
  const more = walksWanted(claim, cell);
  if (more === undefined) return `One more walk, with marks at ${marks} m; then look again.`;
  return more > 30
    ? `The claim lies too close to the median for a practicable number of walks (about ${more} more).`
    : `About ${more} more ${more === 1 ? 'walk' : 'walks'}, with marks at ${marks} m, if the median stays where it is.`;
}

/**
 * First guess by the normal approximation: an interval of ±2σ/√n that clears the claim. Undefined without a
 * σ.
 */
function walksWanted(claim: Claim, cell: CellFinding): number | undefined {
  const { median, p10 } = cell;
  if (!median || !p10) return undefined;
  const sigma = Math.log(median.estimateM / p10.estimateM) / Z90;
  const gap =
    Math.abs(Math.log(claim.distanceM / median.estimateM)) -
    (claim.upTo && claim.distanceM > median.estimateM ? Z90 * sigma : 0);
  if (!(gap > 0)) return undefined;
  return Math.max(1, Math.ceil(((2 * sigma) / gap) ** 2 - cell.walks));
}

function caveatsOf(claim: Claim, { unitsTested, criterion }: Evidence): string[] {
  return [
    `Judged on the median of "${criterion}".`,
    ...(unitsTested <= 1
      ? ['One unit was tested: the result speaks for that unit, the claim for the model.']
      : []),
    ...(claim.condition === 'unstated'
      ? ['The claim states no condition: it is judged on every path walked.']
      : []),
  ];
}
