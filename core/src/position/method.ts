/** How a distance was come by, and how well that is known. */
export const DISTANCE_METHODS = ['marked line', 'laser', 'wheel', 'paces', 'map', 'by eye'] as const;
export type DistanceMethod = (typeof DISTANCE_METHODS)[number];

/**
 * Standard uncertainty of one reading, split in two: the independent part, and the scale part, which is common to all
 * marks of a method, does not average out, and cancels in ratios by the same method on the same path.
 * Defaults are common practice (no source).
 */
export interface MethodUncertainty {
  readonly independentM: number;
  readonly scale: number;
}

export const METHOD_UNCERTAINTY: Readonly<Record<DistanceMethod, MethodUncertainty>> = {
  'marked line': { independentM: 0.1, scale: 0 },
  laser: { independentM: 0.05, scale: 0 },
  wheel: { independentM: 0.05, scale: 0.002 },
  paces: { independentM: 0.5, scale: 0.03 },
  map: { independentM: 5, scale: 0 },
  'by eye': { independentM: 0.5, scale: 0.3 },
};
