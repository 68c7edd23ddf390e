import { byDistance, type ThroughputRow } from './figureCurve.ts';

/** How much of what was read near by is left at the last place with a connection. */
export interface Fall {
  readonly nearM: number;
  readonly farM: number;
  readonly nearMbps: number;
  readonly farMbps: number;
  /** Share lost, 0 to 1; negative where it rose. Worked value: 620 to 300 is 0.516, 100 to 20 is 0.8. */
  readonly share: number;
}

/** From the nearest to the farthest distance with a connection; undefined with one only. */
export function fallOf(rows: readonly ThroughputRow[]): Fall | undefined {
  const stands = byDistance(rows);
  const [near, far] = [stands[0], stands.findLast((s) => s.medianMbps > 0)];
  if (!near || !far || near === far || near.medianMbps === 0) return undefined;
  return {
    nearM: near.distanceM,
    farM: far.distanceM,
    nearMbps: near.medianMbps,
    farMbps: far.medianMbps,
    share: 1 - far.medianMbps / near.medianMbps,
  };
}
