import {
  figureNeedText,
  holdAndFail,
  meetsNeed,
  parseFigureNeed,
  separationRangeM,
  type Direction,
  type FigureNeed,
  type RangeSummary,
  type WalkInterval,
} from '@urvek/core';
import type { Setup } from '@urvek/contract';
import { readingsOf, type PlacedReading } from './figures.ts';
import type { Finding } from './findings.ts';
import { clipped } from './places.ts';
import type { PathRanges } from './ranges.ts';
import { summarise } from './summarise.ts';
import { walkRows } from './walkRows.ts';

/** Something that was tried or read at a place, and whether it was enough. */
export interface Met {
  readonly met: boolean;
  /** From where to where: the same at a stand. */
  readonly fromM: number;
  readonly toM: number;
  readonly uncertaintyM: number;
}

/**
 * Walks as intervals of a criterion of one's own: between the last place where it was met and the first beyond it
 * where it was not.
 * @param marksOf in the order of the way out
 */
export function ownIntervals(
  { findings, criterion, side }: Pick<PathRanges, 'findings' | 'criterion' | 'side'>,
  marksOf: (finding: Finding) => readonly Met[],
): WalkInterval[] {
  const asWalked = new Map(walkRows(findings, criterion, side).map((r) => [r.finding.walkId, r]));
  return findings.flatMap((f): WalkInterval[] => {
    const { held, failed } = holdAndFail(marksOf(f));
    const apart = (m: number): number => separationRangeM(f.path, clipped(f, m), clipped(f, m)).leastM;
    const [heldM, failedM] = [held ? apart(held.fromM) : 0, failed && apart(failed.toM)];
    if (heldM === 0 && failedM === undefined) return [];
    const known = asWalked.get(f.walkId);
    return [
      {
        product: f.product,
        path: f.path.name,
        walk: f.label,
        heldM: Math.min(heldM, failedM ?? heldM),
        failedM,
        ...(held ? { heldUM: held.uncertaintyM } : {}),
        ...(failed ? { failedUM: failed.uncertaintyM } : {}),
        ...(known?.method === undefined ? {} : { method: known.method }),
        ...(known?.scaleU === undefined ? {} : { scaleU: known.scaleU }),
        ...(known?.outing === undefined ? {} : { outing: known.outing }),
      },
    ];
  });
}

/** How far a figure reaches, one way, by the range model: each walk one bracket. */
export interface FigureRange {
  /** "at least 40 Mbit/s". */
  readonly need: string;
  readonly figure: FigureNeed;
  readonly direction: Direction;
  readonly rows: readonly WalkInterval[];
  readonly summary: RangeSummary;
}

export function figureRange(
  range: Pick<PathRanges, 'findings' | 'criterion' | 'side'>,
  figure: FigureNeed,
  direction: Direction,
): FigureRange | undefined {
  const rows = ownIntervals(range, (f) => metMarks(f, figure, direction));
  return rows.length === 0
    ? undefined
    : { need: figureNeedText(figure), figure, direction, rows, summary: summarise(rows) };
}

/** Both ways. */
export const figureRanges = (
  range: Pick<PathRanges, 'findings' | 'criterion' | 'side'>,
  figure: FigureNeed,
): FigureRange[] =>
  (['fixed-to-mobile', 'mobile-to-fixed'] as const).flatMap(
    (direction) => figureRange(range, figure, direction) ?? [],
  );

/** Stands of the way out in their order, each by the median of its readings. */
function metMarks(finding: Finding, figure: FigureNeed, direction: Direction): Met[] {
  const stands: PlacedReading[][] = [];
  for (const reading of readingsOf(finding, figure.quantity)) {
    if (reading.returning || reading.measured.direction !== direction) continue;
    const before = stands.at(-1);
    const at = reading.measured.position?.travelledM;
    if (before && before[0]?.measured.position?.travelledM === at) before.push(reading);
    else stands.push([reading]);
  }
  return stands.flatMap((stand): Met[] => {
    const [{ measured }] = stand as [PlacedReading];
    const { position, span } = measured;
    const met = meetsNeed(
      stand.map((r) => r.measured),
      figure,
    );
    return met === undefined || !position
      ? []
      : [
          {
            met,
            fromM: span?.fromM ?? position.travelledM,
            toM: span?.toM ?? position.travelledM,
            // What lies between from and to stands in these already.
            uncertaintyM: span ? 0 : position.uncertaintyM,
          },
        ];
  });
}

/** Figures that the needs of a kind ask for, each once. */
export function figuresAsked({ needs = [] }: Setup, kindId: string): FigureNeed[] {
  const all = needs.flatMap((n) => (n.kindId === kindId && n.figure ? [parseFigureNeed(n.figure)] : []));
  return [...new Map(all.map((f) => [figureNeedText(f), f])).values()];
}
