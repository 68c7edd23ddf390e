import * as phrases from './phrases.ts';

/** The model was made from measurements up to this depth. */
export const FOLIAGE_LIMIT_M = 400;

/**
 * Loss through foliage in leaf, dB: modified exponential decay (M. A. Weissberger, 1982, from memory),
 * depth in all. Worked values: 2.4 GHz 10 m 5.77 dB, 40 m 14.92 dB.
 * @throws RangeError beyond 400 m.
 */
export function foliageLossDb(frequencyMHz: number, depthM: number): number {
  if (!(depthM >= 0 && depthM <= FOLIAGE_LIMIT_M))
    throw new RangeError(phrases.invalidDepthmTheModelHoldsFrom(depthM, FOLIAGE_LIMIT_M));
  const f = (frequencyMHz / 1000) ** 0.284;
  return depthM > 14 ? 1.33 * f * depthM ** 0.588 : 0.45 * f * depthM;
}
