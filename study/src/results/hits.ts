import {
  distanceOverWalks,
  type OverWalks,
  type TrialDistance,
  type TrialRow,
  distanceOf,
  firth,
  pooled,
  separationAtM,
  type TrialWalk,
} from '@urvek/core';
import { byProduct, NEAREST_M, clipped } from './places.ts';
import type { PathRanges } from './ranges.ts';

/** Presses and answers of a product over separation. */
export interface HitsCurve {
  readonly product: string;
  readonly walks: number;
  readonly rows: readonly TrialRow[];
  readonly coefficients: readonly [number, number] | undefined;
  readonly d50: TrialDistance | undefined;
  readonly d90: TrialDistance | undefined;
  /** With the walk as the unit of evidence: what is published; or why there is no interval. */
  readonly overWalks50: OverWalks;
  readonly overWalks90: OverWalks;
}

export function hitsCurves(range: PathRanges): HitsCurve[] {
  return byProduct(range.findings).flatMap(([product, findings]): HitsCurve[] => {
    const walks = findings.flatMap((f): TrialWalk[] => {
      const rows = f.trace.hits.flatMap((h): TrialRow[] =>
        h.position
          ? [
              {
                distanceM: Math.max(NEAREST_M, separationAtM(f.path, clipped(f, h.position.travelledM))),
                trials: h.presses,
                successes: h.hits,
              },
            ]
          : [],
      );
      return rows.length > 0 ? [{ walk: f.label, rows }] : [];
    });
    if (walks.length === 0) return [];
    const rows = pooled(walks);
    const fit = firth(rows);
    return [
      {
        product,
        walks: walks.length,
        rows,
        coefficients: fit?.coefficients,
        d50: fit && distanceOf(rows, fit, 0.5),
        d90: fit && distanceOf(rows, fit, 0.9),
        overWalks50: distanceOverWalks(walks, 0.5),
        overWalks90: distanceOverWalks(walks, 0.9),
      },
    ];
  });
}
