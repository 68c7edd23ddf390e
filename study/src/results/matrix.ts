import { mean, type Direction, type Grade } from '@urvek/core';
import type { PathRanges } from './ranges.ts';

/** One cell of the checkpoint matrix. */
export interface MatrixCell {
  readonly checkpoint: string;
  readonly atM: number;
  readonly product: string;
  readonly direction: Direction;
  /** One a walk. */
  readonly grades: readonly Grade[];
}

export interface OneWayLink {
  readonly checkpoint: string;
  readonly product: string;
  readonly deaf: 'fixed end' | 'mobile end';
}

export interface CheckpointMatrix {
  readonly checkpoints: readonly { readonly name: string; readonly atM: number }[];
  readonly cells: readonly MatrixCell[];
  readonly oneWay: readonly OneWayLink[];
}

/**
 * Grades called at checkpoints: products × checkpoints × directions, with the links that work one way only.
 */
export function checkpointMatrix(range: PathRanges): CheckpointMatrix {
  const calls = range.findings.flatMap((f) =>
    f.directions.flatMap((d) => d.trace.calls.map((c) => ({ ...c, product: f.product }))),
  );
  const places = range.path.checkpoints.filter((c) => calls.some((call) => call.checkpoint === c.name));
  const products = [...new Set(calls.map((c) => c.product))];
  const cells = places.flatMap(({ name, atM }) =>
    products.flatMap((product) =>
      (['mobile-to-fixed', 'fixed-to-mobile'] as const).flatMap((direction): MatrixCell[] => {
        const grades = calls
          .filter((c) => c.checkpoint === name && c.product === product && c.direction === direction)
          .map((c) => c.grade);
        return grades.length > 0 ? [{ checkpoint: name, atM, product, direction, grades }] : [];
      }),
    ),
  );
  const oneWay = places.flatMap(({ name }) =>
    products.flatMap((product): OneWayLink[] => {
      const graded = (direction: Direction): number | undefined => {
        const cell = cells.find(
          (c) => c.checkpoint === name && c.product === product && c.direction === direction,
        );
        return cell && mean(cell.grades);
      };
      const [toFixed, toMobile] = [graded('mobile-to-fixed'), graded('fixed-to-mobile')];
      if (
        toFixed === undefined ||
        toMobile === undefined ||
        Math.min(toFixed, toMobile) >= 2 ||
        Math.max(toFixed, toMobile) < 3
      )
        return [];
      return [{ checkpoint: name, product, deaf: toFixed < toMobile ? 'fixed end' : 'mobile end' }];
    }),
  );
  return { checkpoints: places, cells, oneWay };
}
