import { medianRank } from '../../numeric/medianInterval.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { Ends } from './ends.ts';

/** Where a path changes: a corner, the end of a leg, an obstruction. In separation. */
export interface Boundary {
  readonly label: string;
  readonly atM: number;
}

/** Walks that end where the path changes: there the ground decides, and no smooth spread of distances. */
export interface Wall extends Boundary {
  /** Walks that end there, of all. */
  readonly walks: number;
  readonly of: number;
  /** Of the median, without a model; absent below six walks. */
  readonly median95M: Ends | undefined;
}

/** From so many walks on the median is bounded without a model. */
const LEAST_WALKS = 3;

/** Two standard uncertainties: about 95 %. */
const COVERAGE = 2;

/** Steps that differ by less than a tenth are alike. */
const ALIKE = 1.1;

/**
 * The boundary in whose bracket half of the walks or more end, where that bracket is no coarser than the steps
 * beside it, which alone would gather walks. Undefined where there is none, or fewer than three walks.
 * @param standsM separations of the stands of the path, ascending; without any every bracket is taken
 */
export function wallOf(
  walks: readonly WalkInterval[],
  boundaries: readonly Boundary[],
  standsM: readonly number[],
): Wall | undefined {
  if (walks.length < LEAST_WALKS) return undefined;
  const brackets = walks.flatMap(({ heldM, failedM, heldUM = 0, failedUM = 0, unplaced }) =>
    failedM === undefined || unplaced
      ? []
      : [{ fromM: heldM - COVERAGE * heldUM, toM: failedM + COVERAGE * failedUM, stepped: failedM > heldM }],
  );
  const counted = boundaries
    .map((boundary) => ({
      boundary,
      ending: brackets.filter((b) => b.fromM <= boundary.atM && boundary.atM <= b.toM),
    }))
    .sort((a, b) => b.ending.length - a.ending.length)[0];
  if (!counted || 2 * counted.ending.length < walks.length) return undefined;
  const { boundary, ending } = counted;
  if (ending.some((b) => b.stepped) && coarserThanBeside(boundary.atM, standsM)) return undefined;
  return { ...boundary, walks: ending.length, of: walks.length, median95M: withoutModel(walks) };
}

function coarserThanBeside(atM: number, standsM: readonly number[]): boolean {
  const next = standsM.findIndex((m) => m >= atM);
  const step = (i: number): number => (standsM[i] ?? Number.NaN) - (standsM[i - 1] ?? Number.NaN);
  // Equal steps and steps of one ratio are no coarser than both of their neighbours.
  const beside = [step(next - 1), step(next + 1)].filter((m) => m > 0);
  return beside.length > 0 && step(next) > ALIKE * Math.max(...beside);
}

/** The k-th least hold and the k-th greatest fail, k by the sign test: at least 95 %, whatever the spread. */
function withoutModel(walks: readonly WalkInterval[]): Ends | undefined {
  const k = medianRank(walks.length);
  if (k === 0) return undefined;
  const holds = walks.map((w) => w.heldM).sort((a, b) => a - b);
  const fails = walks.map((w) => w.failedM ?? Infinity).sort((a, b) => a - b);
  const [low, high] = [holds[k - 1] as number, fails[walks.length - k] as number];
  return { low: low > 0 ? low : undefined, high: high < Infinity ? high : undefined };
}
