import type { PathModel } from '../geometry/pathModel.ts';
import { indoorCoefficient } from './indoor.ts';
import { breakPointM } from './pathLoss.ts';
import { distanceRatio } from './predict.ts';
import * as phrases from './phrases.ts';

/** What one might change about a link. Ratios are new over old. */
export interface LinkChange {
  readonly gainDb: number;
  readonly powerRatio: number;
  readonly heightRatio: number;
}

/**
 * What a change is worth: in dB, and as a ratio of distances at the exponent that the path model has out
 * there.
 */
export interface ChangeEffect {
  readonly db: number;
  readonly exponent: number;
  readonly distanceRatio: number;
}

/**
 * Path-loss exponent of a model about a distance: the two rays cancel beyond the break point, and not before.
 */
export function exponentAbout(
  model: PathModel,
  frequencyMHz: number,
  heightsM: readonly [number, number],
  distanceM: number,
): number {
  if (model === 'indoor') return indoorCoefficient(frequencyMHz) / 10;
  return model !== 'free-space' && distanceM > breakPointM(frequencyMHz, heightsM) ? 4 : 2;
}

/**
 * Effect of a change of antenna, power and height. Height counts beyond the break point only, 20 log10 of
 * its ratio (two rays); within it, and in free space, it changes nothing. Worked value: 5 W for 4 W is 0.97
 * dB, ×1.118 at exponent 2.
 */
export function effectOf({ gainDb, powerRatio, heightRatio }: LinkChange, exponent: number): ChangeEffect {
  if (!(powerRatio > 0)) throw new RangeError(phrases.invalidPowerratio(powerRatio));
  if (!(heightRatio > 0)) throw new RangeError(phrases.invalidHeightratio(heightRatio));
  const db = gainDb + 10 * Math.log10(powerRatio) + (exponent === 4 ? 20 * Math.log10(heightRatio) : 0);
  return { db, exponent, distanceRatio: distanceRatio(db, exponent) };
}
