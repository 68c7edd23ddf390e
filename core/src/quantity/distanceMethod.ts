/** How a distance was come by, and how well that is known. */
export const DISTANCE_METHODS = [
  'marked line',
  'laser',
  'wheel',
  'satellite',
  'satellite watch',
  'paces',
  'map',
  'odometer',
  'by eye',
] as const;
export type DistanceMethod = (typeof DISTANCE_METHODS)[number];

/**
 * Standard uncertainty of one reading, split in two: the independent part, and the scale part, which is
 * common to all marks of a method, does not average out, and cancels in ratios by the same method on the
 * same path. Defaults are common practice (no source).
 */
export interface MethodUncertainty {
  readonly independentM: number;
  readonly scale: number;
}

/** A trip odometer steps by a tenth of a mile. */
const ODOMETER_STEP_M = 160.9344;
/** A satellite fix, at each end. */
const SATELLITE_M = 4;

export const METHOD_UNCERTAINTY: Readonly<Record<DistanceMethod, MethodUncertainty>> = {
  'marked line': { independentM: 0.1, scale: 0 },
  laser: { independentM: 0.05, scale: 0 },
  wheel: { independentM: 0.05, scale: 0.002 },
  satellite: { independentM: Math.hypot(SATELLITE_M, SATELLITE_M), scale: 0 },
  // A length that a watch has counted along the way, not a place; corners cut, jitter added (common practice).
  'satellite watch': { independentM: 5, scale: 0.02 },
  paces: { independentM: 0.5, scale: 0.03 },
  map: { independentM: 5, scale: 0 },
  // Rectangular over one step: step/√12 (JCGM 100, 4.3.7, from memory).
  odometer: { independentM: ODOMETER_STEP_M / Math.sqrt(12), scale: 0 },
  'by eye': { independentM: 0.5, scale: 0.3 },
};

/** Scale error of a method as the standard uncertainty of ln distance: by eye ln 1.3. */
export const scaleUOf = (method: DistanceMethod): number => Math.log1p(METHOD_UNCERTAINTY[method].scale);

/** A browser's accuracy is a 95 % radius: of a normal scatter in two dimensions, 2.45 standard deviations. */
const RADIUS_95 = 2.45;

/**
 * Standard uncertainty of a distance between two satellite fixes, from the accuracies that the browser
 * states.
 */
export const satelliteUncertaintyM = (
  hereAccuracyM: number,
  fixedEndAccuracyM = RADIUS_95 * SATELLITE_M,
): number => Math.hypot(hereAccuracyM / RADIUS_95, fixedEndAccuracyM / RADIUS_95);

/** Counts from its own zero, not from the fixed end. */
const COUNTERS: readonly DistanceMethod[] = ['wheel', 'satellite watch', 'paces', 'odometer'];

export interface DistanceReading {
  readonly travelledM: number;
  readonly method: DistanceMethod;
  /** Standard uncertainty where it is known of this very reading; that of the method otherwise. */
  readonly uncertaintyM?: number;
}

/**
 * Travelled distance that a reading stands for: a counter's zero is added, and an odometer, which
 * truncates, half a step.
 */
export const travelledOf = ({ travelledM, method }: DistanceReading, startOffsetM = 0): number =>
  travelledM +
  (COUNTERS.includes(method) ? startOffsetM : 0) +
  (method === 'odometer' ? ODOMETER_STEP_M / 2 : 0);

export const uncertaintyOf = ({ method, uncertaintyM }: DistanceReading): number =>
  uncertaintyM ?? METHOD_UNCERTAINTY[method].independentM;

/**
 * Whether one of a row of distances is a slip of its unit: a thousand times nearer or farther than both its
 * neighbours ("0.4" between 380 and 420 was kilometres). Such a figure is questioned, never stored
 * silently.
 */
export function looksMisread(valueM: number, neighboursM: readonly number[]): boolean {
  const known = neighboursM.filter((m) => m > 0);
  if (!(valueM > 0) || known.length === 0) return false;
  return known.every((m) => m / valueM > 300) || known.every((m) => valueM / m > 300);
}
