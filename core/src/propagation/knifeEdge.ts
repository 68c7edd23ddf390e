import { fresnelRadiusM, sightHeightM } from './fresnel.ts';
import * as phrases from './phrases.ts';

/**
 * Loss behind a knife edge, dB, by the approximation J(ν) of ITU-R P.526 (from memory); 0 below ν = −0.78.
 * Worked values: J(0) 6.03, J(1) 13.93, J(2.4) 20.54.
 */
export function knifeEdgeLossDb(nu: number): number {
  if (Number.isNaN(nu)) throw new RangeError(phrases.invalidNu(nu));
  if (nu <= -0.78) return 0;
  return 6.9 + 20 * Math.log10(Math.hypot(nu - 0.1, 1) + nu - 0.1);
}

/**
 * ν of an edge of `heightM` above ground at `atM` on a path of `distanceM`: √2 × its excess over the line
 * of sight in first-zone radii.
 */
export const edgeParameter = (
  frequencyMHz: number,
  heightM: number,
  atM: number,
  distanceM: number,
  heightsM: readonly [number, number],
): number =>
  (Math.SQRT2 * (heightM - sightHeightM(atM, distanceM, heightsM))) /
  fresnelRadiusM(frequencyMHz, atM, distanceM - atM);
