import { RUNGS, separationRangeM, type Direction, type EventBodies, type RangeSummary } from '@urvek/core';
import { summarise } from './summarise.ts';
import type { PathRanges } from './ranges.ts';
import { walkRows } from './walkRows.ts';

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
export function rungRanges({ findings, criterion, side }: PathRanges): RungRange[] {
  const asWalked = new Map(walkRows(findings, criterion, side).map((r) => [r.finding.walkId, r]));
  return RUNGS.flatMap((rung) =>
    (['fixed-to-mobile', 'mobile-to-fixed'] as const).flatMap((direction): RungRange[] => {
      const rows = findings.flatMap((f) => {
        const tried = f.directions
          .flatMap((d) => d.trace.rungs)
          .filter((r) => r.rung === rung && r.direction === direction && r.position)
          .map((r) => ({ worked: r.worked, at: r.position as NonNullable<typeof r.position> }));
        const last = tried.findLastIndex((t) => t.worked);
        const [held, failed] = [tried[last], tried.slice(last + 1).find((t) => !t.worked)];
        if (!held && !failed) return [];
        const apart = (t: typeof held): number | undefined =>
          t && separationRangeM(f.path, t.at.travelledM, t.at.travelledM).leastM;
        const [heldM, failedM] = [apart(held) ?? 0, apart(failed)];
        const known = asWalked.get(f.walkId);
        return heldM === 0 && failedM === undefined
          ? []
          : [
              {
                product: f.product,
                path: f.path.name,
                walk: f.label,
                heldM: Math.min(heldM, failedM ?? heldM),
                failedM,
                ...(held ? { heldUM: held.at.uncertaintyM } : {}),
                ...(failed ? { failedUM: failed.at.uncertaintyM } : {}),
                ...(known?.method === undefined ? {} : { method: known.method }),
                ...(known?.scaleU === undefined ? {} : { scaleU: known.scaleU }),
                ...(known?.outing === undefined ? {} : { outing: known.outing }),
              },
            ];
      });
      return rows.length > 0 ? [{ rung, direction, summary: summarise(rows) }] : [];
    }),
  );
}
