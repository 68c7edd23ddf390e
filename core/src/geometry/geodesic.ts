import geodesic from 'geographiclib-geodesic';

/** A place on the WGS84 ellipsoid; height above it where known. */
export interface Coordinate {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly heightM?: number;
}

const WGS84 = geodesic.Geodesic.WGS84;

/** @throws RangeError for what is no place. */
export function checkCoordinate({ latitudeDeg, longitudeDeg }: Coordinate): void {
  if (!(Math.abs(latitudeDeg) <= 90)) throw new RangeError(`invalid latitudeDeg: ${latitudeDeg}`);
  if (!(Math.abs(longitudeDeg) <= 180)) throw new RangeError(`invalid longitudeDeg: ${longitudeDeg}`);
}

/**
 * Length of the geodesic and its bearing at the start (C. F. F. Karney, J. Geodesy 87 (2013), by his
 * library).
 */
export function geodesicBetween(from: Coordinate, to: Coordinate): { distanceM: number; bearingDeg: number } {
  checkCoordinate(from);
  checkCoordinate(to);
  const { s12, azi1 } = WGS84.Inverse(from.latitudeDeg, from.longitudeDeg, to.latitudeDeg, to.longitudeDeg);
  return { distanceM: s12 as number, bearingDeg: ((azi1 as number) + 360) % 360 };
}

/** Where one comes to from a place on a bearing. */
export function geodesicTo(from: Coordinate, bearingDeg: number, distanceM: number): Coordinate {
  checkCoordinate(from);
  const { lat2, lon2 } = WGS84.Direct(from.latitudeDeg, from.longitudeDeg, bearingDeg, distanceM);
  return { latitudeDeg: lat2 as number, longitudeDeg: lon2 as number };
}

/** Reads "52.9712, -4.0231": latitude and longitude in degrees. Undefined when it is no place. */
export function parseCoordinate(text: string): Coordinate | undefined {
  const match = /^\s*([+-]?\d+(?:\.\d+)?)\s*°?\s*[,;\s]\s*([+-]?\d+(?:\.\d+)?)\s*°?\s*$/.exec(text);
  if (!match) return undefined;
  const [latitudeDeg, longitudeDeg] = [Number(match[1]), Number(match[2])];
  return Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180
    ? { latitudeDeg, longitudeDeg }
    : undefined;
}
