import { wavelengthM } from './pathLoss.ts';
import * as phrases from './phrases.ts';

/**
 * Radius of the first Fresnel zone at d1 from one end and d2 from the other, √(λ d1 d2/(d1 + d2)).
 * Worked value: 2400 MHz in the middle of 100 m: 1.767 m.
 */
export function fresnelRadiusM(frequencyMHz: number, d1M: number, d2M: number): number {
  if (!(d1M > 0 && d2M > 0)) throw new RangeError(phrases.invalidDistances(d1M, d2M));
  return Math.sqrt((wavelengthM(frequencyMHz) * d1M * d2M) / (d1M + d2M));
}

/** The share of the first zone that is usually asked to be free (common practice). */
export const CLEAR_SHARE = 0.6;

/**
 * Least clearance of the line of sight over flat ground, in first-zone radii. It is least where a ray would
 * be reflected, at h1/(h1 + h2) of the way, and there it is 2√(h1 h2/(λd)): one at the break point.
 */
export const groundClearanceRatio = (
  frequencyMHz: number,
  distanceM: number,
  [h1, h2]: readonly [number, number],
): number => 2 * Math.sqrt((h1 * h2) / (wavelengthM(frequencyMHz) * distanceM));

/** Height of the line of sight above ground at `atM` of `distanceM`. */
export const sightHeightM = (atM: number, distanceM: number, [h1, h2]: readonly [number, number]): number =>
  h1 + ((h2 - h1) * atM) / distanceM;
