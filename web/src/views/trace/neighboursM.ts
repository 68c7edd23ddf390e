import type { Finding } from '@urvek/study';

/** Distances of the two places that are nearest in time, but for the one of that time itself. */
export const neighboursM = (fixes: Finding['trace']['fixes'], atS: number): number[] =>
  fixes
    .filter((f) => Math.abs(f.atS - atS) > 0.05)
    .sort((a, b) => Math.abs(a.atS - atS) - Math.abs(b.atS - atS))
    .slice(0, 2)
    .map((f) => f.travelledM);
