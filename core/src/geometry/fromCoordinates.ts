import { geodesicBetween, geodesicTo, type Coordinate } from './geodesic.ts';
import type { Leg, Path } from './path.ts';
import { fromSegment, nearestAlong, type PlanePoint } from './segment.ts';

/** A fix counts only when it lies this far from the last that counted: twice the usual error of one (4 m). */
export const LEAST_STEP_M = 8;
/** The route may stray from the fixes by the usual error of one. */
export const TOLERANCE_M = 4;

/** East and north of an origin, good to a millimetre over the length of a walk. */
function onPlane(origin: Coordinate, place: Coordinate): PlanePoint {
  const { distanceM, bearingDeg } = geodesicBetween(origin, place);
  const bearing = (bearingDeg * Math.PI) / 180;
  return [distanceM * Math.sin(bearing), distanceM * Math.cos(bearing)];
}

/**
 * The fixes that make the route. Rule: fixes nearer than LEAST_STEP_M to the last one kept are dropped, so
 * that standing still adds nothing; of the rest, those that lie within TOLERANCE_M of the line between
 * their neighbours are dropped (Douglas and Peucker 1973), so that zigzag adds nothing. The first and the
 * last fix stay.
 */
export function routeOf(fixes: readonly Coordinate[]): Coordinate[] {
  const [first, last] = [fixes[0], fixes[fixes.length - 1]];
  if (!first || !last) return [];
  const points = fixes.map((fix) => onPlane(first, fix));
  const spaced = points.reduce<number[]>((kept, p, i) => {
    const before = points[kept.at(-1) ?? 0] as PlanePoint;
    return i === 0 || Math.hypot(p[0] - before[0], p[1] - before[1]) >= LEAST_STEP_M ? [...kept, i] : kept;
  }, []);
  const end = points.length - 1;
  // The end counts as a place of its own only when it is a step away; else it takes the place of the last
  // one kept.
  const indexes =
    spaced.at(-1) === end ? spaced : [...(spaced.length > 1 ? spaced.slice(0, -1) : spaced), end];
  const kept = new Set([0, indexes.length - 1]);
  const work: [number, number][] = [[0, indexes.length - 1]];
  for (let span = work.pop(); span; span = work.pop()) {
    const [from, to] = span;
    let [worst, at] = [TOLERANCE_M, -1];
    for (let i = from + 1; i < to; i++) {
      const { distanceM } = fromSegment(
        points[indexes[i] as number] as PlanePoint,
        points[indexes[from] as number] as PlanePoint,
        points[indexes[to] as number] as PlanePoint,
      );
      if (distanceM > worst) [worst, at] = [distanceM, i];
    }
    if (at === -1) continue;
    kept.add(at);
    work.push([from, at], [at, to]);
  }
  return indexes.filter((_, i) => kept.has(i)).map((i) => fixes[i] as Coordinate);
}

/**
 * Legs between the places of a route, along the slope where heights are known. Places on one spot make no
 * leg.
 */
export function legsOf(route: readonly Coordinate[]): Leg[] {
  return route.slice(1).flatMap((to, i) => {
    const from = route[i] as Coordinate;
    const { distanceM, bearingDeg } = geodesicBetween(from, to);
    const riseM = (to.heightM ?? 0) - (from.heightM ?? to.heightM ?? 0);
    return distanceM > 0
      ? [{ lengthM: Math.hypot(distanceM, riseM), bearingDeg, riseM, exposure: 'open' as const }]
      : [];
  });
}

/** How far along a route, travelled, the place nearest to a coordinate lies; and how far off it. */
export function placeOnRoute(
  route: readonly Coordinate[],
  place: Coordinate,
): { travelledM: number; offM: number } {
  const [origin] = route;
  if (!origin || route.length < 2) throw new RangeError(`invalid route of ${route.length} places`);
  const legs = legsOf(route);
  const points = route.map((c) => onPlane(origin, c));
  return nearestAlong(
    onPlane(origin, place),
    points,
    legs.map((l) => l.lengthM),
  );
}

/** The places of a path whose fixed end has a coordinate: the fixed end, and the end of each leg. */
export function coordinatesOf(path: Pick<Path, 'legs'>, fixedEnd: Coordinate): Coordinate[] {
  return path.legs.reduce<Coordinate[]>(
    (places, leg) => {
      const from = places[places.length - 1] as Coordinate;
      const to = geodesicTo(from, leg.bearingDeg, Math.sqrt(leg.lengthM ** 2 - leg.riseM ** 2));
      return [...places, from.heightM === undefined ? to : { ...to, heightM: from.heightM + leg.riseM }];
    },
    [fixedEnd],
  );
}

/** The coordinate of a place on the path by travelled distance. */
export const coordinateAt = (
  path: Pick<Path, 'legs'>,
  fixedEnd: Coordinate,
  travelledM: number,
): Coordinate => coordinatesOf({ legs: cutAt(path.legs, travelledM) }, fixedEnd).at(-1) as Coordinate;

/** The legs up to a travelled distance, the last one cut there. */
function cutAt(legs: readonly Leg[], travelledM: number): Leg[] {
  let left = travelledM;
  return legs.flatMap((leg) => {
    const share = Math.min(1, Math.max(0, left / leg.lengthM));
    left -= leg.lengthM;
    return share > 0 ? [{ ...leg, lengthM: leg.lengthM * share, riseM: leg.riseM * share }] : [];
  });
}
