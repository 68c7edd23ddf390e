import type { Direction } from '../grade/direction.ts';
import type { Grade } from '../grade/grade.ts';
import type { WalkEvent } from '../log/event.ts';

/** Share of a baseline, or of presses, that each grade asks for (the scales of router and remote). */
const LEAST_SHARE: readonly (readonly [Grade, number])[] = [
  [5, 0.9],
  [4, 0.5],
  [3, 0.1],
];

/** Grade of k hits of n presses: all, at least 90 %, at least 50 %, some, none. */
export function gradeOfHits(hits: number, presses: number): Grade {
  if (!(presses > 0 && hits >= 0 && hits <= presses))
    throw new RangeError(`invalid hits: ${hits} of ${presses}`);
  if (hits === presses) return 5;
  if (hits === 0) return 1;
  return hits / presses >= 0.9 ? 4 : hits / presses >= 0.5 ? 3 : 2;
}

/** Grade of a throughput against the baseline at the near point; nothing received is grade 1. */
export function gradeOfThroughput(mbps: number | undefined, baselineMbps: number): Grade {
  if (!(baselineMbps > 0)) throw new RangeError(`invalid baselineMbps: ${baselineMbps}`);
  if (mbps === undefined) return 1;
  return LEAST_SHARE.find(([, least]) => mbps / baselineMbps >= least)?.[0] ?? 2;
}

/** A grade seen at a stand, in one direction. Between two of them nobody looked. */
export interface Observation {
  readonly atS: number;
  readonly grade: Grade;
  readonly direction: Direction;
}

/** Grades seen at stands: calls, hits, and throughput against the first reading of its direction. */
export function observationsOf(events: readonly WalkEvent[], main: Direction): Observation[] {
  const baseline = new Map<Direction, number>();
  // A walk that is watched has none of these, and thousands of others.
  return events
    .filter((e) => e.kind === 'call' || e.kind === 'hits' || e.kind === 'measured')
    .flatMap((event): Observation[] => {
      const { walkS: atS } = event.time;
      if (event.kind === 'call') return [{ atS, grade: event.body.grade, direction: event.body.direction }];
      if (event.kind === 'hits')
        return [{ atS, grade: gradeOfHits(event.body.hits, event.body.presses), direction: main }];
      if (event.kind !== 'measured' || event.body.quantity !== 'throughput') return [];
      const { value, direction } = event.body;
      const first = baseline.get(direction) ?? value;
      if (first === undefined || !(first > 0)) return [];
      baseline.set(direction, first);
      return [{ atS, grade: gradeOfThroughput(value, first), direction }];
    });
}
