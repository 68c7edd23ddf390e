import * as phrases from './phrases.ts';

/**
 * Indoor path loss by distance alone, dB: 20 log10 f + N log10 d + Lf − 28, f in MHz (ITU-R P.1238, from
 * memory). It holds the walls already: used instead of slabs, never with them. Worked value: 2400 MHz, N
 * 30, one floor of 14 dB, 20 m: 92.64 dB.
 */
export function indoorLossDb(
  frequencyMHz: number,
  distanceM: number,
  powerLossCoefficient: number,
  floorsDb: number,
): number {
  if (!(distanceM >= 1)) throw new RangeError(phrases.invalidDistancemTheModelBeginsAt(distanceM));
  return 20 * Math.log10(frequencyMHz) + powerLossCoefficient * Math.log10(distanceM) + floorsDb - 28;
}

/**
 * Power loss coefficient N of an office (ITU-R P.1238, from memory): 33 below 1 GHz, 30 about 2 GHz, 31
 * about 5 GHz.
 */
export const indoorCoefficient = (frequencyMHz: number): number =>
  frequencyMHz < 1000 ? 33 : frequencyMHz < 4000 ? 30 : 31;
