/** A place on a plane: metres east and north. */
export type PlanePoint = readonly [eastM: number, northM: number];

/** Distance of p from the segment a–b, and how far along it the nearest point lies (0 to 1). */
export function fromSegment(
  p: PlanePoint,
  a: PlanePoint,
  b: PlanePoint,
): { distanceM: number; along: number } {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length2 = dx * dx + dy * dy;
  const along =
    length2 === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length2));
  return { distanceM: Math.hypot(p[0] - a[0] - along * dx, p[1] - a[1] - along * dy), along };
}

/**
 * How far along a line of legs, travelled, the place nearest to p lies; and how far off it. `lengthsM`: one
 * a leg.
 */
export function nearestAlong(
  p: PlanePoint,
  points: readonly PlanePoint[],
  lengthsM: readonly number[],
): { travelledM: number; offM: number } {
  let [best, travelledM, atM] = [Infinity, 0, 0];
  points.slice(1).forEach((b, i) => {
    const { distanceM, along } = fromSegment(p, points[i] as PlanePoint, b);
    const lengthM = lengthsM[i] ?? 0;
    if (distanceM < best) [best, travelledM] = [distanceM, atM + along * lengthM];
    atM += lengthM;
  });
  return { travelledM, offM: best };
}
