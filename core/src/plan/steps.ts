import * as phrases from './phrases.ts';

/**
 * The widest step, as a ratio of neighbouring marks, that can still tell two products apart: the root of
 * their ratio.
 */
export function widestStepRatio(ratio: number): number {
  if (!(ratio > 0 && ratio !== 1)) throw new RangeError(phrases.invalidRatio(ratio));
  return Math.sqrt(Math.max(ratio, 1 / ratio));
}

/** Marks from `fromM` to `toM`, both included, in equal ratios of at most `stepRatio`. */
export function geometricMarks(fromM: number, toM: number, stepRatio: number): number[] {
  if (!(fromM > 0 && toM > fromM)) throw new RangeError(phrases.invalidMarksFromToM(fromM, toM));
  if (!(stepRatio > 1)) throw new RangeError(phrases.invalidStepratio(stepRatio));
  const steps = Math.ceil(Math.log(toM / fromM) / Math.log(stepRatio) - 1e-9);
  return Array.from({ length: steps + 1 }, (_, i) => fromM * (toM / fromM) ** (i / steps));
}

/**
 * How near hold and fail must come, as a ratio: the step that tells the least of the ratios that are asked
 * about, the plan's own and those that are claimed.
 */
export const narrowEnough = (ratios: readonly number[]): number =>
  Math.min(...ratios.filter((r) => r > 0 && r !== 1).map(widestStepRatio));

/**
 * After a failure the next point is the geometric mean of hold and fail; undefined once the bracket is
 * narrow enough.
 */
export function nextPointM(heldM: number, failedM: number, wantedRatio: number): number | undefined {
  if (!(heldM > 0 && failedM > heldM)) throw new RangeError(phrases.invalidBracket(heldM, failedM));
  return failedM / heldM <= wantedRatio ? undefined : Math.sqrt(heldM * failedM);
}

/**
 * The attenuator, dB, that makes a path of `pathM` do for `wantedM` at path-loss exponent γ: distance
 * scales by 10^(A/10γ).
 */
export function attenuatorDb(pathM: number, wantedM: number, exponent: number): number {
  if (!(pathM > 0 && wantedM > 0 && exponent > 0))
    throw new RangeError(phrases.invalidLengthsOrExponent(pathM, wantedM, exponent));
  return Math.max(0, 10 * exponent * Math.log10(wantedM / pathM));
}
