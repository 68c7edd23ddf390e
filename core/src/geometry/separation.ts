import { pathLengthM, type Leg, type Path } from './path.ts';

/** East, north, up from the fixed end, in metres. */
export type Point = readonly [eastM: number, northM: number, upM: number];

interface Segment {
  readonly from: Point;
  readonly to: Point;
  readonly startM: number;
  readonly endM: number;
}

/** @throws RangeError when a leg rises more than it is long. */
function advance([east, north, up]: Point, leg: Leg): Point {
  if (!(leg.lengthM > 0)) throw new RangeError(`invalid lengthM: ${leg.lengthM}`);
  if (!(Math.abs(leg.riseM) <= leg.lengthM))
    throw new RangeError(`invalid riseM: ${leg.riseM} over ${leg.lengthM} m`);
  const horizontal = Math.sqrt(leg.lengthM ** 2 - leg.riseM ** 2);
  const bearing = (leg.bearingDeg * Math.PI) / 180;
  return [east + horizontal * Math.sin(bearing), north + horizontal * Math.cos(bearing), up + leg.riseM];
}

function segmentsOf(path: Pick<Path, 'legs'>): Segment[] {
  let from: Point = [0, 0, 0];
  let startM = 0;
  return path.legs.map((leg) => {
    const segment = { from, to: advance(from, leg), startM, endM: startM + leg.lengthM };
    from = segment.to;
    startM = segment.endM;
    return segment;
  });
}

const norm = (p: Point): number => Math.hypot(...p);
const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const between = (a: Point, b: Point, f: number): Point => [
  a[0] + f * (b[0] - a[0]),
  a[1] + f * (b[1] - a[1]),
  a[2] + f * (b[2] - a[2]),
];

/** Any place of a route, the legs worked out once: see pathPoint. */
export function pathPointsOf(path: Pick<Path, 'legs'>): (travelledM: number) => Point {
  const totalM = pathLengthM(path);
  const segments = segmentsOf(path);
  return (travelledM) => {
    if (!(travelledM >= -1e-6 && travelledM <= totalM + 1e-6))
      throw new RangeError(`invalid travelledM: ${travelledM} on a path of ${totalM} m`);
    const segment = segments.find((s) => travelledM <= s.endM) ?? segments[segments.length - 1];
    if (!segment) return [0, 0, 0];
    return between(
      segment.from,
      segment.to,
      Math.min(1, Math.max(0, (travelledM - segment.startM) / (segment.endM - segment.startM))),
    );
  };
}

/**
 * Where the route is after `travelledM`, ends included to a micrometre.
 * @throws RangeError off the path.
 */
export const pathPoint = (path: Pick<Path, 'legs'>, travelledM: number): Point =>
  pathPointsOf(path)(travelledM);

/**
 * Straight line in three dimensions between the fixed end and the point `travelledM` along the path; the
 * fixed end stands at the path's zero, or at `fixedM` of it, where it was moved to.
 */
export function separationAtM(path: Pick<Path, 'legs'>, travelledM: number, fixedM = 0): number {
  const at = pathPointsOf(path);
  return apart(at(fixedM), at(travelledM));
}

/** The same for many places of one route, each brought onto it: a wheel can read a little more than the path has. */
export function separationsOf(path: Pick<Path, 'legs'>): (travelledM: number, fixedM?: number) => number {
  const totalM = pathLengthM(path);
  const onPath = (m: number): number => Math.min(totalM, Math.max(0, m));
  const at = pathPointsOf(path);
  const zero = at(0);
  return (travelledM, fixedM) =>
    apart(fixedM === undefined ? zero : at(onPath(fixedM)), at(onPath(travelledM)));
}

/**
 * Least and greatest separation met between two travelled distances. On a bent path these need not lie at
 * the ends; `monotonic` says whether separation rises all the way.
 */
export function separationRangeM(
  path: Pick<Path, 'legs'>,
  fromM: number,
  toM: number,
  fixedM = 0,
): { leastM: number; greatestM: number; monotonic: boolean } {
  const totalM = pathLengthM(path);
  // A wheel can read a little more than the path has.
  const onPath = (m: number): number => Math.min(totalM, Math.max(0, m));
  const [start, end] = [onPath(Math.min(fromM, toM)), onPath(Math.max(fromM, toM))];
  const at = pathPointsOf(path);
  const fixed = at(onPath(fixedM));
  const turns = segmentsOf(path)
    .flatMap((s) => [s.startM, nearestM(s, fixed)])
    .filter((s) => s > start && s < end);
  const values = [start, ...turns.sort((a, b) => a - b), end].map((s) => apart(fixed, at(s)));
  return {
    leastM: Math.min(...values),
    greatestM: Math.max(...values),
    monotonic: values.every((v, i) => i === 0 || v >= (values[i - 1] as number) - 1e-9),
  };
}

/** Travelled distance at which a segment passes nearest to a point. */
function nearestM({ from, to, startM, endM }: Segment, [east, north, up]: Point): number {
  const along: Point = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const f =
    ((east - from[0]) * along[0] + (north - from[1]) * along[1] + (up - from[2]) * along[2]) /
    norm(along) ** 2;
  return startM + Math.min(1, Math.max(0, f)) * (endM - startM);
}
