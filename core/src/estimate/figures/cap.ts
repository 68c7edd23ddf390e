import { median } from '../../numeric/median.ts';
import { byDistance, type DistanceReadings, type ThroughputRow } from './figureCurve.ts';

/**
 * What the nearest points measure when they all read the same: the backhaul, not the link. "At least", not
 * a value.
 */
export interface Cap {
  readonly levelMbps: number;
  /** Nearest points that read it. */
  readonly points: number;
  /** The farthest of them, m: up to there nothing of the link was seen. */
  readonly toM: number;
  /**
   * What is behind it was measured by cable, and is what was read; otherwise the near points are flat, and what is
   * behind them may be why.
   */
  readonly measured: boolean;
}

/** A rate as it was sold or measured: "150 to 200". */
export interface RateRange {
  readonly leastMbps: number;
  readonly mostMbps: number;
}

/** Readings that lie within this share of each other are one level. */
export const SAME_LEVEL = 0.05;
/** So many nearest points make a cap. */
const CAP_POINTS = 3;

const alike = (a: number, b: number): boolean =>
  Math.max(a, b) > 0 && Math.abs(a - b) <= SAME_LEVEL * Math.max(a, b);

/** Nearest points that all read alike, or as what is behind them. */
function flatPoints(stands: readonly DistanceReadings[], isCap: (mbps: number) => boolean): number {
  const [first] = stands;
  if (!first || first.medianMbps === 0) return 0;
  let [least, most] = [first.medianMbps, first.medianMbps];
  const end = stands.findIndex(({ medianMbps }) => {
    if (isCap(medianMbps)) return false;
    [least, most] = [Math.min(least, medianMbps), Math.max(most, medianMbps)];
    return !alike(least, most);
  });
  return end === -1 ? stands.length : end;
}

/**
 * A cap: medians at three or more nearest points within 5 % of each other, or the nearest
 * within 5 % of a measured backhaul, or above its least; where that is faster by more, flat points are the product's
 * own. The farther points that still read the same belong to it.
 */
export function capOf(rows: readonly ThroughputRow[], backhaul?: RateRange): Cap | undefined {
  const stands = byDistance(rows);
  const isBackhaul = (mbps: number): boolean =>
    backhaul !== undefined && mbps >= (1 - SAME_LEVEL) * backhaul.leastMbps;
  const points = flatPoints(stands, isBackhaul);
  const measured = points > 0 && isBackhaul((stands[0] as DistanceReadings).medianMbps);
  if (!measured && (backhaul !== undefined || points < CAP_POINTS)) return undefined;
  const flat = stands.slice(0, points);
  return {
    levelMbps: median(flat.map((s) => s.medianMbps)),
    points,
    toM: (flat.at(-1) as DistanceReadings).distanceM,
    measured,
  };
}

/** Two products whose nearest medians are one measure the cap, not themselves. */
export function sharedCap(products: readonly (readonly ThroughputRow[])[]): Cap | undefined {
  const nearest = products.flatMap((rows) => byDistance(rows)[0] ?? []);
  if (nearest.length < 2) return undefined;
  const medians = nearest.map((s) => s.medianMbps);
  return alike(Math.min(...medians), Math.max(...medians))
    ? {
        levelMbps: median(medians),
        points: nearest.length,
        toM: Math.max(...nearest.map((s) => s.distanceM)),
        measured: false,
      }
    : undefined;
}
