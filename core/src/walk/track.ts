import type { DistanceMethod } from '../quantity/distanceMethod.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { isAtStand, standAt, type Stand } from './stand.ts';

/** A moment at which the position along the path is known. */
export interface Fix {
  readonly atS: number;
  readonly travelledM: number;
  /** Independent standard uncertainty. */
  readonly uncertaintyM: number;
  readonly method: DistanceMethod;
}

export interface Position {
  readonly travelledM: number;
  readonly uncertaintyM: number;
  readonly speedMps: number;
}

/** Where a walk was, as far as its marks tell. */
export interface Track {
  /** In order of time. */
  readonly fixes: readonly Fix[];
  readonly stands: readonly Stand[];
}

/** Wander of a walker's speed: variance per second, m²/s (speed s.d. 0.15 m/s over 10 s; common practice). */
const WANDER_M2_PER_S = 0.45;
/** One stride at walking pace: how far beyond the outermost marks a position is still given. */
const STRIDE_M = 0.75;

/** Place at a moment: the stand's, at a stand; interpolated, on the move; undefined where nobody knows. */
export function placeAt({ fixes, stands }: Track, atS: number): Position | undefined {
  const stand = standAt(stands, atS);
  if (!stand) return positionAt(fixes, atS);
  const place = stand.place ?? locatedAt(fixes, stand);
  return place && { travelledM: place.travelledM, uncertaintyM: place.uncertaintyM, speedMps: 0 };
}

/** The best of the device's own locations while one stood there. */
const locatedAt = (fixes: readonly Fix[], stand: Stand): Fix | undefined =>
  fixes
    .filter((f) => f.method === 'satellite' && isAtStand(stand, f.atS))
    .reduce<Fix | undefined>((a, b) => (a && a.uncertaintyM <= b.uncertaintyM ? a : b), undefined);

/**
 * Position at a moment, by linear (so monotone) interpolation in time between the marks around it. The
 * variance is that of the marks, interpolated, plus that of a walker pinned at both marks, q·τ(T − τ)/T,
 * capped at the rectangular (gap)²/12. Undefined more than one stride outside the marks. Worked value: a
 * gap of 71 s leaves 2.8 m in its middle.
 * @param fixes in order of time.
 */
export function positionAt(fixes: readonly Fix[], atS: number): Position | undefined {
  const [first, last] = [fixes[0], fixes[fixes.length - 1]];
  if (!first || !last) return undefined;
  if (atS < first.atS || atS >= last.atS) return beyond(atS < first.atS ? first : last, atS);
  const next = firstAfter(fixes, atS);
  const [a, b] = [fixes[next - 1] as Fix, fixes[next] as Fix];
  const spanS = b.atS - a.atS;
  const f = (atS - a.atS) / spanS;
  const gapM = Math.abs(b.travelledM - a.travelledM);
  const wander = Math.min(WANDER_M2_PER_S * f * (1 - f) * spanS, gapM ** 2 / 12);
  return {
    travelledM: a.travelledM + f * (b.travelledM - a.travelledM),
    uncertaintyM: Math.sqrt((1 - f) * a.uncertaintyM ** 2 + f * b.uncertaintyM ** 2 + wander),
    speedMps: gapM / spanS,
  };
}

/** The marks before and after a moment; a moment of a mark lies between it and the next. */
export function marksAround(
  fixes: readonly Fix[],
  atS: number,
): { readonly before: Fix | undefined; readonly after: Fix | undefined } {
  const last = fixes[fixes.length - 1];
  if (!last || atS >= last.atS) return { before: last, after: undefined };
  const next = firstAfter(fixes, atS);
  return { before: fixes[next - 1], after: fixes[next] };
}

function beyond(mark: Fix, atS: number): Position | undefined {
  const reachM = Math.abs(atS - mark.atS) * WALKING_MPS;
  if (reachM > STRIDE_M) return undefined;
  return {
    travelledM: mark.travelledM,
    uncertaintyM: Math.hypot(mark.uncertaintyM, reachM),
    speedMps: reachM === 0 ? 0 : WALKING_MPS,
  };
}

/** Index of the first fix later than `atS`, by bisection. */
function firstAfter(fixes: readonly Fix[], atS: number): number {
  let [low, high] = [0, fixes.length - 1];
  while (low < high) {
    const mid = (low + high) >> 1;
    if ((fixes[mid] as Fix).atS > atS) high = mid;
    else low = mid + 1;
  }
  return low;
}
