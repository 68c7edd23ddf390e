import { byIdentity, isAtStand, mean, type Direction, type Grade } from '@urvek/core';
import type { PathRanges } from './ranges.ts';
import * as phrases from './phrases.ts';

/** One cell of the matrix of stands. */
export interface MatrixCell {
  readonly checkpoint: string;
  /** Travelled distance; absent where nobody knows it. */
  readonly atM: number | undefined;
  readonly product: string;
  readonly direction: Direction;
  /** One a walk. */
  readonly grades: readonly Grade[];
  readonly walkIds: readonly string[];
}

/** Usable one way at a stand, and not the other. */
export interface OneWayLink {
  readonly checkpoint: string;
  readonly product: string;
  /** The end that does not hear, or that the other's transmitter is too weak for. */
  readonly deaf: 'fixed end' | 'mobile end';
  /** By how many grades the two ways differ, walks averaged. */
  readonly gradesApart: number;
  readonly walkIds: readonly string[];
}

export interface CheckpointMatrix {
  readonly checkpoints: readonly { readonly name: string; readonly atM: number | undefined }[];
  readonly cells: readonly MatrixCell[];
  readonly oneWay: readonly OneWayLink[];
}

const USABLE = 3;
/** Stands nearer than this to a checkpoint are at it, m. */
const SAME_PLACE_M = 0.5;

/** Looks at stands of any mode: stands × products × directions, with the links that work one way only. */
export const checkpointMatrix = byIdentity(
  (range: Pick<PathRanges, 'path' | 'findings'>): CheckpointMatrix => {
    const named = (atM: number | undefined): string | undefined =>
      atM === undefined
        ? undefined
        : range.path.checkpoints.find((c) => Math.abs(c.atM - atM) <= SAME_PLACE_M)?.name;
    const looks = range.findings.flatMap((f) =>
      f.directions.flatMap((d) =>
        d.trace.looks.flatMap((l) => {
          if (!l.stand) return [];
          const atM = l.place?.travelledM;
          const called = d.trace.calls.find((c) => l.stand && isAtStand(l.stand, c.atS))?.checkpoint;
          const name =
            called ??
            l.stand.name ??
            named(atM) ??
            (atM === undefined ? phrases.placeUnknown : `${atM.toFixed(1)} m`);
          return [
            { name, atM, walkId: f.walkId, product: f.product, direction: l.direction, grade: l.worst },
          ];
        }),
      ),
    );
    const places = [...new Map(looks.map((l) => [l.name, { name: l.name, atM: l.atM }])).values()].sort(
      (a, b) => (a.atM ?? Infinity) - (b.atM ?? Infinity),
    );
    const products = [...new Set(looks.map((l) => l.product))];
    const cells = places.flatMap(({ name, atM }) =>
      products.flatMap((product) =>
        (['mobile-to-fixed', 'fixed-to-mobile'] as const).flatMap((direction): MatrixCell[] => {
          const own = looks.filter(
            (l) => l.name === name && l.product === product && l.direction === direction,
          );
          const grades = own.map((l) => l.grade);
          const walkIds = own.map((l) => l.walkId);
          return grades.length > 0 ? [{ checkpoint: name, atM, product, direction, grades, walkIds }] : [];
        }),
      ),
    );
    const oneWay = places.flatMap(({ name }) =>
      products.flatMap((product): OneWayLink[] => {
        const own = cells.filter((c) => c.checkpoint === name && c.product === product);
        const graded = (direction: Direction): number | undefined => {
          const cell = own.find((c) => c.direction === direction);
          return cell && mean(cell.grades);
        };
        const [toFixed, toMobile] = [graded('mobile-to-fixed'), graded('fixed-to-mobile')];
        if (
          toFixed === undefined ||
          toMobile === undefined ||
          Math.min(toFixed, toMobile) >= USABLE ||
          Math.max(toFixed, toMobile) < USABLE
        )
          return [];
        return [
          {
            checkpoint: name,
            product,
            deaf: toFixed < toMobile ? 'fixed end' : 'mobile end',
            gradesApart: Math.abs(toFixed - toMobile),
            walkIds: [...new Set(own.flatMap((c) => c.walkIds))],
          },
        ];
      }),
    );
    return { checkpoints: places, cells, oneWay };
  },
);
