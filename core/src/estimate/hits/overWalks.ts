import { mean, standardDeviation } from '../../numeric/moments.ts';
import { studentQuantile } from '../../numeric/student.ts';
import { firth, type TrialRow } from './firth.ts';
import * as phrases from './phrases.ts';

/** Presses of one walk. */
export interface TrialWalk {
  readonly walk: string;
  readonly rows: readonly TrialRow[];
}

/** With fewer presses at a stand a walk's own curve is chance. */
const ENOUGH_PRESSES = 10;

/** A distance at which a share is answered, with the walk as the unit of evidence; or why there is no interval. */
export type OverWalks =
  | { readonly estimateM: number; readonly low: number; readonly high: number; readonly walks: number }
  | { readonly reason: string };

/**
 * Each walk's own distance at which a share p of presses is answered, and Student's t over ln of it: presses at
 * one stand share a fade and walks differ, so that neither pooled presses nor walks drawn again hold what they
 * say. Wants ten presses at most stands, and two walks.
 */
export function distanceOverWalks(walks: readonly TrialWalk[], p: number): OverWalks {
  if (walks.length < 2) return { reason: phrases.oneWalkNoInterval };
  const stands = walks.flatMap((w) => w.rows);
  if (stands.filter((r) => r.trials >= ENOUGH_PRESSES).length <= stands.length / 2)
    return {
      reason: phrases.fewerThanPressesAtMostStands(ENOUGH_PRESSES),
    };
  const own = walks.flatMap((w) => {
    const fit = firth(w.rows);
    if (!fit || !(fit.coefficients[1] < 0)) return [];
    return [(Math.log(p / (1 - p)) - fit.coefficients[0]) / fit.coefficients[1]];
  });
  if (own.length < walks.length) return { reason: phrases.answersDoNotFallOffWith };
  const half = (studentQuantile(0.975, own.length - 1) * standardDeviation(own)) / Math.sqrt(own.length);
  return {
    estimateM: Math.exp(mean(own)),
    low: Math.exp(mean(own) - half),
    high: Math.exp(mean(own) + half),
    walks: own.length,
  };
}

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
