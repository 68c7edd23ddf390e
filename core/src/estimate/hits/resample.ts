import type { Random } from '../../random/seeded.ts';
import { firth, type TrialRow } from './firth.ts';

/** Presses of one walk. */
export interface TrialWalk {
  readonly walk: string;
  readonly rows: readonly TrialRow[];
}

/** From so few walks nothing can be resampled. */
export const LEAST_WALKS = 3;

/**
 * Percentile interval of a distance when the walks, not the presses, are drawn again with replacement:
 * presses at one stand share a fade (B. Efron, Ann. Statist. 7 (1979)). Undefined from fewer than three
 * walks.
 */
export function resampledDistance(
  walks: readonly TrialWalk[],
  p: number,
  random: Random,
  draws = 200,
): { readonly low: number | undefined; readonly high: number | undefined } | undefined {
  if (walks.length < LEAST_WALKS) return undefined;
  // What is drawn lies near what was walked: its fit begins from that of all.
  const all = firth(pooled(walks));
  const drawn = Array.from({ length: draws }, () => {
    const rows = pooled(walks.map(() => walks[Math.floor(random.uniform() * walks.length)] as TrialWalk));
    const fit = firth(rows, { start: all, settled: 1e-10 });
    return (fit && estimateOnly(rows, fit, p)) ?? Infinity;
  }).sort((a, b) => a - b);
  const at = (share: number): number | undefined => {
    const value = drawn[Math.round(share * (draws - 1))] as number;
    return value < Infinity ? value : undefined;
  };
  return { low: at(0.025), high: at(0.975) };
}

const estimateOnly = (
  rows: readonly TrialRow[],
  fit: NonNullable<ReturnType<typeof firth>>,
  p: number,
): number | undefined => {
  const [b0, b1] = fit.coefficients;
  return b1 < 0 && rows.length > 0 ? Math.exp((Math.log(p / (1 - p)) - b0) / b1) : undefined;
};

/** Rows at one distance joined. */
export function pooled(walks: readonly TrialWalk[]): TrialRow[] {
  const rows = new Map<number, TrialRow>();
  for (const { distanceM, trials, successes } of walks.flatMap((w) => w.rows)) {
    const before = rows.get(distanceM);
    rows.set(distanceM, {
      distanceM,
      trials: trials + (before?.trials ?? 0),
      successes: successes + (before?.successes ?? 0),
    });
  }
  return [...rows.values()].sort((a, b) => a.distanceM - b.distanceM);
}
