import { sandwich } from '../../numeric/linear.ts';
import { Z95 } from '../../numeric/normal.ts';
import type { Ends } from './ends.ts';
import type { RangeFit } from './fit.ts';
import type { ProfileInterval, Target } from './profile.ts';
import * as phrases from './phrases.ts';

export interface QuantileEstimate {
  readonly estimateM: number;
  readonly seLog: number;
  readonly wald95M: readonly [number, number];
}

/**
 * Beyond this standard error of ln distance the likelihood is flat: the location may be anywhere in a wide
 * bracket, and the maximum's place in it means nothing.
 */
const FLAT_SE_LOG = 5;
export const FLAT = phrases.oneBracketFitsItsWalksOnly;

export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, v, i) => sum + v * (b[i] as number), 0);

/** Undefined where the likelihood is flat. */
export function quantileEstimate(fit: RangeFit, target: Target): QuantileEstimate | undefined {
  const log = dot(target.weights, fit.beta) + target.z * fit.sigma;
  const gradient = [...target.weights, target.z * fit.sigma];
  const seLog = Math.sqrt((sandwich([gradient], fit.covariance)[0] as number[])[0] as number);
  if (!(seLog < FLAT_SE_LOG)) return undefined;
  const at = (z: number): number => Math.exp(log + fit.model.centre + z * seLog);
  return { estimateM: at(0), seLog, wald95M: [at(-Z95), at(Z95)] };
}

export const inMetres = (i: ProfileInterval | undefined, centre: number): Ends | undefined =>
  i && {
    low: i.low === undefined ? undefined : Math.exp(i.low + centre),
    high: i.high === undefined ? undefined : Math.exp(i.high + centre),
  };
