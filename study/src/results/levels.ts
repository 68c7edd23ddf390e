import { separationAtM, type LevelReading } from '@urvek/core';
import type { Finding } from './findings.ts';
import { NEAREST_M, clipped } from './places.ts';

/** Levels that were logged on a path, for the fit of its exponent; a reading without a value was lost. */
export const loggedLevels = (findings: readonly Finding[], pathId: string): LevelReading[] =>
  findings
    .filter((f) => f.header.pathId === pathId)
    .flatMap((f) =>
      f.trace.measured.flatMap((m): LevelReading[] => {
        if (m.quantity !== 'level' || !m.position) return [];
        const distanceM = Math.max(NEAREST_M, separationAtM(f.path, clipped(f, m.position.travelledM)));
        return [m.value === undefined ? { distanceM, lost: true } : { distanceM, levelDbm: m.value }];
      }),
    );
