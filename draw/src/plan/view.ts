import type { PlanPoint } from '@urvek/core';
import { planScale, type PlanExtent } from './planScene.ts';

/** How a picture is pulled up and moved: px of the view box, then times `k`. */
export interface View {
  readonly x: number;
  readonly y: number;
  readonly k: number;
}

/** The ground that is seen of an extent through a view. Its sides are those of the picture, so one scale holds. */
export function seenExtent(extent: PlanExtent, width: number, height: number, { x, y, k }: View): PlanExtent {
  const scale = planScale(extent, width, height);
  const [west, north] = scale.placeAt(-x / k, -y / k);
  const [east, south] = scale.placeAt((width - x) / k, (height - y) / k);
  return { west, east, south, north };
}

/** Where a thing that is drawn comes to lie, and what it keeps to. */
export interface Snapped {
  readonly at: PlanPoint;
  /** A place that is there; in line with one, east or north; or the grid. */
  readonly to: 'place' | 'line' | 'grid';
  /** The places that it lies in line with. */
  readonly by: readonly PlanPoint[];
}

/**
 * Snaps a place to what is drawn: to a place within `reachM`, else into line with the nearest ones east and north,
 * else to a grid of `gridM`.
 */
export function snapTo(at: PlanPoint, places: readonly PlanPoint[], reachM: number, gridM: number): Snapped {
  const nearest = (off: (p: PlanPoint) => number): PlanPoint | undefined => {
    const near = places.filter((p) => off(p) <= reachM);
    return near.toSorted((a, b) => off(a) - off(b))[0];
  };
  const place = nearest((p) => Math.hypot(p[0] - at[0], p[1] - at[1]));
  if (place) return { at: place, to: 'place', by: [place] };
  const [eastBy, northBy] = [
    nearest((p) => Math.abs(p[0] - at[0])),
    nearest((p) => Math.abs(p[1] - at[1])),
  ] as const;
  const grid = (m: number): number => Math.round(m / gridM) * gridM;
  return {
    at: [eastBy?.[0] ?? grid(at[0]), northBy?.[1] ?? grid(at[1])],
    to: eastBy || northBy ? 'line' : 'grid',
    by: [eastBy, northBy].filter((p) => p !== undefined),
  };
}
