import * as phrases from './phrases.ts';

const LIGHT_MPS = 299_792_458;

export const wavelengthM = (frequencyMHz: number): number => {
  if (!(frequencyMHz > 0)) throw new RangeError(phrases.invalidFrequencymhz(frequencyMHz));
  return LIGHT_MPS / (frequencyMHz * 1e6);
};

/**
 * Free-space loss between isotropic antennas, 20 log10(4πd/λ), dB (ITU-R P.525, from memory).
 * Worked value: 2400 MHz, 100 m: 80.05 dB.
 */
export function freeSpaceLossDb(frequencyMHz: number, distanceM: number): number {
  if (!(distanceM > 0)) throw new RangeError(phrases.invalidDistancem(distanceM));
  return 20 * Math.log10((4 * Math.PI * distanceM) / wavelengthM(frequencyMHz));
}

/**
 * Two-ray loss over flat ground, the exact sum of the direct ray and one reflected with coefficient −1;
 * `distanceM` is horizontal. Worked value: 2400 MHz, 1.5 m and 1.5 m, 100 m: 74.90 dB.
 */
export function twoRayLossDb(
  frequencyMHz: number,
  distanceM: number,
  heightsM: readonly [number, number],
): number {
  if (!(distanceM > 0)) throw new RangeError(phrases.invalidDistancem(distanceM));
  const [h1, h2] = heightsM;
  if (!(h1 > 0 && h2 > 0)) throw new RangeError(phrases.invalidHeightsm(heightsM.join(', ')));
  const lambda = wavelengthM(frequencyMHz);
  const direct = Math.hypot(distanceM, h1 - h2);
  const reflected = Math.hypot(distanceM, h1 + h2);
  const phase = (2 * Math.PI * (reflected - direct)) / lambda;
  const field = Math.hypot(1 / direct - Math.cos(phase) / reflected, Math.sin(phase) / reflected);
  return -20 * Math.log10((lambda / (4 * Math.PI)) * field);
}

/**
 * Distance beyond which the two rays cancel for good, 4·h1·h2/λ. Worked value: 2400 MHz, 1.5 m and 1.5 m:
 * 72.05 m.
 */
export const breakPointM = (frequencyMHz: number, [h1, h2]: readonly [number, number]): number =>
  (4 * h1 * h2) / wavelengthM(frequencyMHz);

/**
 * Free space up to the break point, the fourth power of distance beyond it: the two-ray model without its
 * nulls, which rough ground does not have (common practice).
 */
export function twoSlopeLossDb(
  frequencyMHz: number,
  distanceM: number,
  heightsM: readonly [number, number],
): number {
  const breakM = breakPointM(frequencyMHz, heightsM);
  return (
    freeSpaceLossDb(frequencyMHz, Math.min(distanceM, breakM)) +
    (distanceM > breakM ? 40 * Math.log10(distanceM / breakM) : 0)
  );
}
