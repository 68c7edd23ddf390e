import { isotonicDecreasing } from '../../numeric/isotonic.ts';
import { median } from '../../numeric/median.ts';

export interface ThroughputRow {
  readonly distanceM: number;
  readonly mbps: number;
}

/**
 * What the nearest points measure when they all read the same: the backhaul, not the link. "At least", not
 * a value.
 */
export interface Cap {
  readonly levelMbps: number;
  readonly points: number;
  /**
   * What is behind it was measured by cable, and is what was read; otherwise the near points are flat, and what is
   * behind them may be why.
   */
  readonly measured: boolean;
}

/** Where a need is still met and where it no longer is; absent when it is never crossed. */
export interface NeedCrossing {
  readonly holdM: number | undefined;
  readonly failM: number | undefined;
  readonly distanceM: number | undefined;
}

/** Readings that lie within this share of each other are one level. */
const SAME = 0.05;
/** So many nearest points make a cap. */
const CAP_POINTS = 3;

interface Stand {
  readonly distanceM: number;
  readonly values: number[];
}

function standsOf(rows: readonly ThroughputRow[]): Stand[] {
  const stands = new Map<number, Stand>();
  for (const { distanceM, mbps } of rows) {
    if (!(distanceM >= 0 && Number.isFinite(distanceM)))
      throw new RangeError(`invalid distanceM: ${distanceM}`);
    if (!(mbps >= 0 && Number.isFinite(mbps))) throw new RangeError(`invalid mbps: ${mbps}`);
    const stand = stands.get(distanceM) ?? { distanceM, values: [] };
    stand.values.push(mbps);
    stands.set(distanceM, stand);
  }
  return [...stands.values()].sort((a, b) => a.distanceM - b.distanceM);
}

/**
 * The decreasing curve through all readings: rows at one distance enter as their mean, weighted by their
 * count.
 */
export function throughputCurve(rows: readonly ThroughputRow[]): ThroughputRow[] {
  const stands = standsOf(rows);
  const means = stands.map((s) => s.values.reduce((a, b) => a + b, 0) / s.values.length);
  const fitted = isotonicDecreasing(
    means,
    stands.map((s) => s.values.length),
  );
  return stands.map(({ distanceM }, i) => ({ distanceM, mbps: fitted[i] as number }));
}

/** Fitted values in the order of the rows. */
export function fittedInOrder(rows: readonly ThroughputRow[], curve: readonly ThroughputRow[]): number[] {
  const at = new Map(curve.map((c) => [c.distanceM, c.mbps]));
  return rows.map((r) => at.get(r.distanceM) as number);
}

/**
 * A cap: medians at three or more nearest points within 5 % of each other, or the nearest within 5 % of a
 * measured backhaul, or above it; where that is faster by more, flat points are the product's own. The farther
 * points that still read the same belong to it.
 */
export function capOf(rows: readonly ThroughputRow[], backhaulMbps?: number): Cap | undefined {
  const medians = standsOf(rows).map((s) => median(s.values));
  let points = 0;
  let [least, most] = [Infinity, 0];
  for (const m of medians) {
    const [low, high] = [Math.min(least, m), Math.max(most, m)];
    if (!(high > 0 && high - low <= SAME * high)) break;
    [least, most, points] = [low, high, points + 1];
  }
  const atBackhaul =
    backhaulMbps !== undefined && medians.length > 0 && (medians[0] as number) >= (1 - SAME) * backhaulMbps;
  return atBackhaul || (backhaulMbps === undefined && points >= CAP_POINTS)
    ? {
        levelMbps: median(medians.slice(0, Math.max(1, points))),
        points: Math.max(1, points),
        measured: atBackhaul,
      }
    : undefined;
}

/** Two products whose nearest medians are one measure the cap, not themselves. */
export function sharedCap(products: readonly (readonly ThroughputRow[])[]): Cap | undefined {
  const nearest = products
    .filter((rows) => rows.length > 0)
    .map((rows) => median((standsOf(rows)[0] as Stand).values));
  if (nearest.length < 2) return undefined;
  const [low, high] = [Math.min(...nearest), Math.max(...nearest)];
  return high > 0 && high - low <= SAME * high
    ? { levelMbps: median(nearest), points: nearest.length, measured: false }
    : undefined;
}

/** The need falls between the last point fitted at or above it and the first below, linear in between. */
export function crossNeed(curve: readonly ThroughputRow[], needMbps: number): NeedCrossing {
  if (!(needMbps > 0)) throw new RangeError(`invalid needMbps: ${needMbps}`);
  const below = curve.findIndex((c) => c.mbps < needMbps);
  const [hold, fail] = [
    curve[below === -1 ? curve.length - 1 : below - 1],
    below === -1 ? undefined : curve[below],
  ];
  if (!hold || !fail) return { holdM: hold?.distanceM, failM: fail?.distanceM, distanceM: undefined };
  const share = (hold.mbps - needMbps) / (hold.mbps - fail.mbps);
  return {
    holdM: hold.distanceM,
    failM: fail.distanceM,
    distanceM: hold.distanceM + share * (fail.distanceM - hold.distanceM),
  };
}

/** A reading with the band, channel or access point it came by. */
export interface NetworkedRow extends ThroughputRow {
  readonly network: string | undefined;
}

/**
 * A change of band, channel or access point in mid-walk splits the curve: readings in walking order, cut
 * where it changes.
 */
export function splitByNetwork<T extends NetworkedRow>(rows: readonly T[]): T[][] {
  return rows.reduce<T[][]>((parts, row) => {
    const last = parts.at(-1);
    if (last && (row.network ?? '') === (last.at(-1)?.network ?? '')) last.push(row);
    else parts.push([row]);
    return parts;
  }, []);
}
