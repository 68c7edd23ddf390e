import { pathPoint, type Direction } from '@urvek/core';
import { clipped } from './places.ts';
import type { Finding } from './findings.ts';

/** It failed on the way out, and was usable again farther on. */
export interface ComesBack {
  readonly product: string;
  readonly walk: string;
  readonly direction: Direction;
  readonly failedAtM: number;
  readonly backAtM: number;
  /** By how much the farther place stands higher, m; negative lower. */
  readonly higherM: number;
}

const USABLE = 3;

/**
 * Coverage that comes back, walk by walk: the last place that was usable again after a failure nearer by.
 * Travelled distances, with the rise of the path between the two.
 */
export const comesBack = (findings: readonly Finding[]): ComesBack[] =>
  findings.flatMap((f) =>
    f.directions.flatMap(({ direction, trace }): ComesBack[] => {
      if (trace.inwards) return [];
      const out = trace.stretches.filter((s) => !s.returning && s.stated && s.from);
      const failed = out.find((s) => s.grade < USABLE);
      const back = failed && out.findLast((s) => s.grade >= USABLE && s.fromS > failed.fromS);
      if (!failed?.from || !back?.from) return [];
      const [failedAtM, backAtM] = [failed.from.travelledM, back.from.travelledM];
      if (!(backAtM > failedAtM)) return [];
      const up = (m: number): number => pathPoint(f.path, clipped(f, m))[2];
      return [
        {
          product: f.product,
          walk: f.label,
          direction,
          failedAtM,
          backAtM,
          higherM: up(backAtM) - up(failedAtM),
        },
      ];
    }),
  );
