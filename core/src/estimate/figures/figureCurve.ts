import { isotonicDecreasing } from '../../numeric/isotonic.ts';
import { median } from '../../numeric/median.ts';
import * as phrases from './phrases.ts';

export interface ThroughputRow {
  readonly distanceM: number;
  readonly mbps: number;
}

/** Where a need is still met and where it no longer is; absent when it is never crossed. */
export interface NeedCrossing {
  readonly holdM: number | undefined;
  readonly failM: number | undefined;
  readonly distanceM: number | undefined;
}

/** What was read at one distance. */
export interface DistanceReadings {
  readonly distanceM: number;
  readonly values: readonly number[];
  readonly medianMbps: number;
}

/** Readings by distance, nearest first. @throws RangeError for a distance or a rate that cannot be */
export function byDistance(rows: readonly ThroughputRow[]): DistanceReadings[] {
  const stands = new Map<number, number[]>();
  for (const { distanceM, mbps } of rows) {
    if (!(distanceM >= 0 && Number.isFinite(distanceM)))
      throw new RangeError(phrases.invalidDistancem(distanceM));
    if (!(mbps >= 0 && Number.isFinite(mbps))) throw new RangeError(phrases.invalidMbps(mbps));
    const values = stands.get(distanceM);
    if (values) values.push(mbps);
    else stands.set(distanceM, [mbps]);
  }
  return [...stands]
    .sort(([a], [b]) => a - b)
    .map(([distanceM, values]) => ({ distanceM, values, medianMbps: median(values) }));
}

/**
 * The decreasing curve through all readings: rows at one distance enter as their mean, weighted by their
 * count.
 */
export function throughputCurve(rows: readonly ThroughputRow[]): ThroughputRow[] {
  const stands = byDistance(rows);
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

/** The need falls between the last point fitted at or above it and the first below, linear in between. */
export function crossNeed(curve: readonly ThroughputRow[], needMbps: number): NeedCrossing {
  if (!(needMbps > 0)) throw new RangeError(phrases.invalidNeedmbps(needMbps));
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
