import { maximise } from '../../numeric/maximise.ts';
import { evaluate, likelihoodData } from '../range/likelihood.ts';
import * as phrases from './phrases.ts';

/**
 * A reading of level at a distance; `lost`: nothing was received, so that the level lay below the
 * sensitivity.
 */
export type LevelReading =
  | { readonly distanceM: number; readonly levelDbm: number }
  | { readonly distanceM: number; readonly lost: true };

export interface ExponentFit {
  readonly exponent: number;
  readonly shadowingSdDb: number;
  /** Level at `referenceM`. */
  readonly levelAtReferenceDbm: number;
  readonly referenceM: number;
  readonly readings: number;
  readonly censored: number;
}

/**
 * Path-loss exponent and shadowing from logged levels: level = L₀ − 10γ log10(d/d₀) + N(0, σ), by maximum
 * likelihood with readings lost at the sensitivity as left-censored (J. Tobin, Econometrica 26 (1958));
 * leaving them out makes γ too low. d₀ is the geometric mean of the distances, so that level and slope are
 * nearly uncorrelated. Undefined when fewer than three readings have a level, when all distances are one,
 * or when the levels do not bound the shadowing from below (they lie on one line).
 */
export function fitExponent(
  readings: readonly LevelReading[],
  sensitivityDbm: number,
): ExponentFit | undefined {
  for (const { distanceM } of readings)
    if (!(distanceM > 0)) throw new RangeError(phrases.invalidDistancem(distanceM));
  const levels = readings.flatMap((r) => ('levelDbm' in r ? [r.levelDbm] : []));
  const logs = readings.map((r) => Math.log10(r.distanceM));
  const centre = logs.reduce((a, b) => a + b, 0) / logs.length;
  if (levels.length < 3 || logs.every((l) => l === logs[0])) return undefined;
  const mean = levels.reduce((a, b) => a + b, 0) / levels.length;
  const spread = Math.sqrt(levels.reduce((sum, l) => sum + (l - mean) ** 2, 0) / levels.length) || 1;
  // In units of the spread about the mean, so that the maximiser starts near its goal.
  const scaled = (dbm: number): number => (dbm - mean) / spread;
  const data = likelihoodData(
    {
      low: readings.map((r) => ('levelDbm' in r ? scaled(r.levelDbm) : -Infinity)),
      high: readings.map((r) => scaled('levelDbm' in r ? r.levelDbm : sensitivityDbm)),
      cell: readings.map((_, i) => i),
    },
    logs.map((l) => [1, l - centre]),
  );
  const top = maximise((at) => evaluate(data, at), Float64Array.of(0, 0, 1));
  const [level, slope, tau] = top.at as unknown as [number, number, number];
  // Levels that lie on one line leave no spread to estimate: the likelihood has no top.
  if (!top.converged || !(tau > 0)) return undefined;
  return {
    exponent: (-slope / tau / 10) * spread,
    shadowingSdDb: spread / tau,
    levelAtReferenceDbm: mean + (level / tau) * spread,
    referenceM: 10 ** centre,
    readings: readings.length,
    censored: readings.length - levels.length,
  };
}

/** Level that a fit expects at a distance. */
export const fittedLevelDbm = (
  { levelAtReferenceDbm, exponent, referenceM }: ExponentFit,
  distanceM: number,
): number => levelAtReferenceDbm - 10 * exponent * Math.log10(distanceM / referenceM);
