import { METRES_PER, type LengthUnit } from '@urvek/core';
import { farthestM, type ReachBoard, type ReachCell } from '@urvek/study';
import * as phrases from './phrases.ts';

/** Distances on one logarithmic scale for every cell of a board: claims a hundred times apart stand on it. */
export interface ReachScale {
  readonly leastM: number;
  readonly mostM: number;
  readonly width: number;
  /** px; what lies beyond stands at the edge. */
  x(metres: number): number;
  /** 1-2-5 of the reader's unit. */
  readonly ticks: readonly { readonly atM: number; readonly label: string }[];
}

/** Room at both ends for arrows, px. */
const MARGIN = 14;
/** A scale over more than this shows nothing any more. */
const MOST_SPAN = 5000;
/** px that a figure wants. */
const TICK_PX = 34;

/** @throws RangeError for distances that are none */
export function reachScale(leastM: number, mostM: number, width: number, unit: LengthUnit): ReachScale {
  if (!(leastM > 0 && mostM > leastM)) throw new RangeError(phrases.invalidLeastmMostm(leastM, mostM));
  const [from, to] = [Math.log(leastM), Math.log(mostM)];
  const x = (metres: number): number =>
    MARGIN +
    ((Math.min(to, Math.max(from, Math.log(Math.max(metres, leastM)))) - from) / (to - from)) *
      (width - 2 * MARGIN);
  const per = METRES_PER[unit];
  const decades = Array.from({ length: 9 }, (_, i) => 10 ** (i - 2));
  const all = decades
    .flatMap((d) => [1, 2, 5].map((m) => m * d))
    .filter((v) => v * per >= leastM && v * per <= mostM);
  // Ones first, then fives, then twos, each where it has room.
  const shown: number[] = [];
  for (const leading of [1, 5, 2])
    for (const v of all.filter((t) => leadingOf(t) === leading))
      if (shown.every((other) => Math.abs(x(v * per) - x(other * per)) >= TICK_PX)) shown.push(v);
  shown.sort((a, b) => a - b);
  return {
    ...{ leastM, mostM, width, x },
    ticks: shown.map((v) => ({ atM: v * per, label: String(v) })),
  };
}

const leadingOf = (v: number): number => Math.round(v / 10 ** Math.floor(Math.log10(v) + 1e-9));

const finite = (values: readonly (number | undefined)[]): number[] =>
  values.filter((v): v is number => v !== undefined && v > 0 && Number.isFinite(v));

/** What a cell wants to stand on the scale; its upper end may run off, with an arrow. */
const placesOf = ({ cell, brackets }: ReachCell): number[] =>
  finite([
    cell?.median?.estimateM,
    cell?.withScale95M.median?.low,
    ...brackets.flatMap((b) => [b.heldM, b.failedM]),
  ]);

/**
 * From just before the nearest to just beyond the farthest; of distances that are five thousand times apart, the far
 * ones.
 */
export function scaleFor(metres: readonly number[], width: number, unit: LengthUnit): ReachScale {
  const known = finite(metres);
  const [least, most] = known.length === 0 ? [10, 100] : [Math.min(...known), Math.max(...known)];
  return reachScale(Math.max(0.8 * Math.min(least, most / 4), most / MOST_SPAN), 1.3 * most, width, unit);
}

/** Of a board, the ends of its paths among them. */
export const scaleOfBoard = ({ paths, rows }: ReachBoard, width: number, unit: LengthUnit): ReachScale =>
  scaleFor(
    [...paths.map((p) => farthestM(p)), ...rows.flatMap((r) => r.cells.flatMap(placesOf))],
    width,
    unit,
  );
