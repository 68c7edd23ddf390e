import { RUNGS, type Direction, type EventBodies, type RangeSummary } from '@urvek/core';
import { ownIntervals, type Met } from './figureRanges.ts';
import { summarise } from './summarise.ts';
import type { PathRanges } from './ranges.ts';

type Rung = EventBodies['rung']['rung'];

/** How far each rung of a fallback ladder reaches, each way: a range a rung. */
export interface RungRange {
  readonly rung: Rung;
  readonly direction: Direction;
  readonly summary: RangeSummary;
}

/**
 * Between the last stand at which a rung worked and the first beyond it at which it did not, walk by walk; a
 * rung that was not tried at a stand says nothing there.
 */
export function rungRanges(range: PathRanges): RungRange[] {
  return RUNGS.flatMap((rung) =>
    (['fixed-to-mobile', 'mobile-to-fixed'] as const).flatMap((direction): RungRange[] => {
      const rows = ownIntervals(range, (f) =>
        f.directions
          .flatMap((d) => d.trace.rungs)
          .flatMap((r): Met[] =>
            r.rung === rung && r.direction === direction && r.position
              ? [
                  {
                    met: r.worked,
                    fromM: r.position.travelledM,
                    toM: r.position.travelledM,
                    uncertaintyM: r.position.uncertaintyM,
                  },
                ]
              : [],
          ),
      );
      return rows.length > 0 ? [{ rung, direction, summary: summarise(rows) }] : [];
    }),
  );
}
