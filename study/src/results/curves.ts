import type { Setup } from '@urvek/contract';
import { type ProductAvailability, availabilityOf } from './availability.ts';
import { productOf } from './findings.ts';
import { type HitsCurve, hitsCurves } from './hits.ts';
import { type HoldCurve, holdCurves } from './hold.ts';
import { type CheckpointMatrix, checkpointMatrix } from './matrix.ts';
import type { PathRanges, RangeView } from './ranges.ts';
import { rungRanges, type RungRange } from './rungs.ts';
import { type ThroughputFindings, throughputFindings } from './throughput.ts';

/** Everything that stage Ranges draws beside the tape of one path. */
export interface PathCurves {
  readonly id: string;
  readonly hold: readonly HoldCurve[];
  readonly hits: readonly HitsCurve[];
  readonly throughput: ThroughputFindings;
  readonly availability: readonly ProductAvailability[];
  readonly matrix: CheckpointMatrix;
  /** Of a fallback ladder: a range a rung. */
  readonly rungs: readonly RungRange[];
}

export const pathCurves = (range: PathRanges): PathCurves => ({
  id: range.id,
  hold: holdCurves(range),
  hits: hitsCurves(range),
  throughput: throughputFindings(range),
  availability: availabilityOf(range),
  matrix: checkpointMatrix(range),
  rungs: rungRanges(range),
});

/** Whether the products of a range come with a single unit each. */
export const unitsOf = (setup: Setup, range: Pick<RangeView, 'walks'>): Map<string, number> => {
  const units = new Map<string, Set<string>>();
  for (const walk of range.walks) {
    const product = productOf(setup, walk);
    const rig = product?.rigs.find((r) => r.id === walk.header.rigId);
    if (product && rig) units.set(walk.product, (units.get(walk.product) ?? new Set()).add(rig.unitMobileId));
  }
  return new Map([...units].map(([name, of]) => [name, of.size]));
};
