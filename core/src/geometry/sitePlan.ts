import type { SlabMaterial } from './material.ts';
import type { Path, Leg } from './path.ts';
import { type PlanePoint, nearestAlong } from './segment.ts';
import { pathPoint } from './separation.ts';

/** A place on the plan, metres east and north of the fixed end. */
export type PlanPoint = PlanePoint;

export const FEATURE_KINDS = ['wall', 'hedge', 'trees', 'vehicle', 'floor', 'steps'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/** Drawn as a line; the others are areas. */
export const isLine = (kind: FeatureKind): boolean => kind === 'wall' || kind === 'hedge';

/**
 * Something that stands on the site. Wall: a slab of `material` and `thicknessM`, or a loss set by the
 * user. Hedge: foliage `thicknessM` deep. Trees: foliage. Vehicle: steel, so that what is left goes over
 * its edge. Floor: counts when the mobile end is in its area, above or below. Steps: drawn as a hazard,
 * without loss.
 */
export interface Feature {
  readonly id: string;
  readonly label: string;
  readonly kind: FeatureKind;
  readonly outline: readonly PlanPoint[];
  readonly material?: SlabMaterial;
  readonly thicknessM?: number;
  readonly heightM?: number;
  readonly lossDb?: number;
}

/** Depth of a hedge, height of a vehicle and loss of a floor where nothing is said (common practice). */
export const FEATURE_DEFAULTS = { hedgeM: 1, vehicleM: 2.5, floorDb: 14 } as const;

/** A feature that lies between the two ends. */
export interface Crossing {
  readonly feature: Feature;
  /** Horizontal distance from the fixed end at which the line between the ends meets it. */
  readonly atM: number;
  /** How far the line runs inside it. */
  readonly depthM: number;
}

const cross = (a: PlanPoint, b: PlanPoint): number => a[0] * b[1] - a[1] * b[0];
const minus = (a: PlanPoint, b: PlanPoint): PlanPoint => [a[0] - b[0], a[1] - b[1]];

/**
 * Shares of the way from the fixed end to `to` at which the line meets a segment; none when they are
 * parallel.
 */
function meets(to: PlanPoint, a: PlanPoint, b: PlanPoint): number[] {
  const along = minus(b, a);
  const turn = cross(to, along);
  if (Math.abs(turn) < 1e-12) return [];
  const share = cross(a, along) / turn;
  const on = cross(a, to) / turn;
  return share > 0 && share < 1 && on >= 0 && on <= 1 ? [share] : [];
}

type Edge = readonly [PlanPoint, PlanPoint];

/** Asked for at every place of a route: put together once an outline, the edge that closes it last. */
const edges = new WeakMap<readonly PlanPoint[], readonly Edge[]>();

function edgesOf(outline: readonly PlanPoint[], closed: boolean): readonly Edge[] {
  let all = edges.get(outline);
  if (!all)
    edges.set(outline, (all = outline.map((a, i) => [a, outline[i + 1] ?? (outline[0] as PlanPoint)])));
  return closed ? all : all.slice(0, -1);
}

/** Whether a place lies inside an outline (even-odd rule). */
export function isInside([x, y]: PlanPoint, outline: readonly PlanPoint[]): boolean {
  let inside = false;
  for (const [a, b] of edgesOf(outline, true))
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) inside = !inside;
  return inside;
}

/**
 * What lies between the fixed end and a place, nearest first. A line is met once a segment, an area once a
 * stretch inside.
 */
export function crossingsAt(features: readonly Feature[], to: PlanPoint): Crossing[] {
  const wayM = Math.hypot(...to);
  return features.flatMap((feature) => crossingsOf(feature, to, wayM)).sort((a, b) => a.atM - b.atM);
}

function crossingsOf(feature: Feature, to: PlanPoint, wayM: number): Crossing[] {
  const { kind, outline, thicknessM } = feature;
  if (wayM === 0 || kind === 'steps') return [];
  if (kind === 'floor')
    return isInside(to, outline) && !isInside([0, 0], outline) ? [{ feature, atM: wayM, depthM: 0 }] : [];
  if (isLine(kind)) {
    return edgesOf(outline, false).flatMap(([a, b]) =>
      meets(to, a, b).map((share) => {
        const along = minus(b, a);
        // Met at a slant the way through is longer; no longer than the stretch itself.
        const sine = Math.abs(cross(to, along)) / (wayM * Math.hypot(...along));
        const straightM = thicknessM ?? (kind === 'hedge' ? FEATURE_DEFAULTS.hedgeM : 0);
        return {
          feature,
          atM: share * wayM,
          depthM: Math.min(straightM / sine, Math.max(straightM, Math.hypot(...along))),
        };
      }),
    );
  }
  // Cut at every edge, then asked in the middle of each piece: a corner that the line just touches does not
  // count twice.
  const cuts = [0, ...edgesOf(outline, true).flatMap(([a, b]) => meets(to, a, b)), 1].sort((a, b) => a - b);
  return cuts.flatMap((from, i) => {
    const until = cuts[i + 1];
    if (until === undefined || !(until > from)) return [];
    const middle = (from + until) / 2;
    return isInside([to[0] * middle, to[1] * middle], outline)
      ? [{ feature, atM: from * wayM, depthM: (until - from) * wayM }]
      : [];
  });
}

/** The places of a route on the plan: the fixed end, and the end of each leg. */
export function planPoints(path: Pick<Path, 'legs'>): PlanPoint[] {
  let atM = 0;
  return [
    [0, 0],
    ...path.legs.map((leg): PlanPoint => {
      atM += leg.lengthM;
      const [east, north] = pathPoint(path, atM);
      return [east, north];
    }),
  ];
}

/** Travelled distance of the place of the route that is nearest to one on the plan. */
export const nearestOnRoute = (path: Pick<Path, 'legs'>, to: PlanPoint): number =>
  nearestAlong(
    to,
    planPoints(path),
    path.legs.map((l) => l.lengthM),
  ).travelledM;

const NEW_LEG = { riseM: 0, exposure: 'open' } as const;

/**
 * Legs through places drawn on the plan; rise and exposure stay with the leg of that number. Places on one
 * spot make no leg.
 */
export function legsThrough(points: readonly PlanPoint[], before: readonly Leg[]): Leg[] {
  return points.slice(1).flatMap((to, i) => {
    const along = minus(to, points[i] as PlanPoint);
    const horizontalM = Math.hypot(...along);
    const { riseM, exposure } = before[i] ?? {
      ...NEW_LEG,
      exposure: before.at(-1)?.exposure ?? NEW_LEG.exposure,
    };
    const bearingDeg = ((Math.atan2(along[0], along[1]) * 180) / Math.PI + 360) % 360;
    return horizontalM > 0 ? [{ lengthM: Math.hypot(horizontalM, riseM), bearingDeg, riseM, exposure }] : [];
  });
}
