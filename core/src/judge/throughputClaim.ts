import type { Cap, ThroughputRow } from '../estimate/throughput/throughput.ts';
import { median } from '../numeric/median.ts';
import type { Verdict } from './claim.ts';

/** So many readings at the near point before their middle is believed (common practice). */
const LEAST_READINGS = 3;

/**
 * Judges "300 Mbit/s" by the readings at the nearest stand: the most that was to be had. A cap decides
 * nothing against the product, for it measures what is behind it; nor do fewer than three readings.
 */
export function judgeThroughputClaim(
  claim: { readonly entered: string; readonly mbps: number; readonly upTo: boolean },
  rows: readonly ThroughputRow[],
  cap: Cap | undefined,
): Verdict {
  const { entered, mbps, upTo } = claim;
  const caveats = ['Judged on the readings at the nearest stand, in the direction named on its curve.'];
  if (rows.length === 0)
    return {
      outcome: 'not tested',
      reason: 'No throughput was read.',
      next: 'Read it three times at the near point, after ten seconds to settle.',
      caveats,
    };
  const nearM = Math.min(...rows.map((r) => r.distanceM));
  const near = rows.filter((r) => r.distanceM === nearM).map((r) => r.mbps);
  const [middle, best] = [median(near), Math.max(...near)];
  const n = `${near.length} ${near.length === 1 ? 'reading' : 'readings'} at ${nearM.toFixed(0)} m`;
  const reached = upTo ? best : middle;
  if (reached >= mbps && near.length >= LEAST_READINGS)
    return {
      outcome: 'supported',
      reason: `${upTo ? 'The best' : 'The middle'} of ${n} is ${reached.toFixed(0)} Mbit/s; the claim is ${entered}.`,
      next: undefined,
      caveats,
    };
  if (cap)
    return {
      outcome: 'undecided',
      reason: `The nearest points all read about ${cap.levelMbps.toFixed(0)} Mbit/s: a cap, so the product gives at least that, and the claim of ${entered} is not settled.`,
      next: 'Measure what is behind it by cable, and test again where that is faster than the claim.',
      caveats,
    };
  if (near.length < LEAST_READINGS)
    return {
      outcome: 'undecided',
      reason: `${n}: too few to judge ${entered}.`,
      next: `Read it at least ${LEAST_READINGS} times at the near point.`,
      caveats,
    };
  return {
    outcome: 'refuted',
    reason: `${upTo ? 'Even the best' : 'The middle'} of ${n} is ${reached.toFixed(0)} Mbit/s; the claim is ${entered}.`,
    next: undefined,
    caveats,
  };
}
