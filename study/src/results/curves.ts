import type { Setup } from '@urvek/contract';
import { type ProductAvailability, availabilityOf } from './availability.ts';
import { productOf } from './findings.ts';
import { type HitsCurve, hitsCurves } from './hits.ts';
import { type HoldCurve, holdCurves } from './hold.ts';
import { type CheckpointMatrix, checkpointMatrix } from './matrix.ts';
import type { PathRanges, RangeView } from './ranges.ts';
import { rungRanges, type RungRange } from './rungs.ts';
import { type ThroughputFindings, throughputFindings } from './figures.ts';
import { figureRanges, figuresAsked, type FigureRange } from './figureRanges.ts';
import { speedPairs, type SpeedPair } from './speeds.ts';
import { standSets, type StandSet } from './standSets.ts';

/** What instruments read on one path, as findings. */
export interface PathFigures {
  readonly throughput: ThroughputFindings;
  /** What was read at each place, of every quantity. */
  readonly sets: readonly StandSet[];
  readonly speeds: readonly SpeedPair[];
  /** How far the figures reach that needs ask for. */
  readonly figures: readonly FigureRange[];
}

export const figuresOf = (
  setup: Setup,
  range: Pick<PathRanges, 'path' | 'findings' | 'kindId' | 'criterion' | 'side'>,
): PathFigures => ({
  throughput: throughputFindings(range),
  sets: standSets(range),
  speeds: speedPairs(range),
  figures: figuresAsked(setup, range.kindId).flatMap((f) => figureRanges(range, f)),
});

/** Everything that stage Ranges draws beside the tape of one path. */
export interface PathCurves extends PathFigures {
  readonly id: string;
  readonly hold: readonly HoldCurve[];
  readonly hits: readonly HitsCurve[];
  readonly availability: readonly ProductAvailability[];
  readonly matrix: CheckpointMatrix;
  /** Of a fallback ladder: a range a rung. */
  readonly rungs: readonly RungRange[];
}

export const pathCurves = (setup: Setup, range: PathRanges): PathCurves => ({
  id: range.id,
  hold: holdCurves(range),
  hits: hitsCurves(range),
  ...figuresOf(setup, range),
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
