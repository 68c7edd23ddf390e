import { coordinateAt } from '../geometry/fromCoordinates.ts';
import type { Coordinate } from '../geometry/geodesic.ts';
import { pathLengthM, type Path } from '../geometry/path.ts';
import { seeded } from '../random/seeded.ts';

/** A simulated satellite receiver. */
export interface SimulatedFix {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  /** 95 % radius, as a browser states it. */
  readonly accuracyM: number;
}

/**
 * Error of a usual receiver in the open: standard deviation a direction, and how long it stays alike
 * (common practice).
 */
const SD_M = 2.5;
const CORRELATED_S = 40;
/** A normal scatter in two dimensions: its 95 % radius in standard deviations. */
const RADIUS_95 = 2.45;
const METRES_PER_DEGREE = 111_320;

/**
 * Fixes of a walk along a path whose fixed end has a coordinate; the error wanders as a receiver's does
 * (first-order Gauss-Markov). Seeded.
 */
export function satelliteReceiver(
  path: Pick<Path, 'legs'>,
  fixedEnd: Coordinate,
  seed: string,
): (travelledM: number, atS: number) => SimulatedFix {
  const random = seeded('satellite', seed);
  let [east, north, lastS] = [SD_M * random.normal(), SD_M * random.normal(), 0];
  return (travelledM, atS) => {
    const keep = Math.exp(-Math.max(0, atS - lastS) / CORRELATED_S);
    const fresh = SD_M * Math.sqrt(1 - keep * keep);
    [east, north, lastS] = [
      keep * east + fresh * random.normal(),
      keep * north + fresh * random.normal(),
      atS,
    ];
    const { latitudeDeg, longitudeDeg } = coordinateAt(
      path,
      fixedEnd,
      Math.min(pathLengthM(path), Math.max(0, travelledM)),
    );
    return {
      latitudeDeg: latitudeDeg + north / METRES_PER_DEGREE,
      longitudeDeg: longitudeDeg + east / (METRES_PER_DEGREE * Math.cos((latitudeDeg * Math.PI) / 180)),
      accuracyM: Math.round(10 * SD_M * RADIUS_95 * (0.9 + 0.2 * random.uniform())) / 10,
    };
  };
}
