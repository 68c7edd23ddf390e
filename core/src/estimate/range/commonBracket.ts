import type { Cell } from './cells.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import * as phrases from './phrases.ts';

/** How the brackets of some walks lie to each other. */
export type Agreement =
  /** No set of locations agrees with every walk: the spread between walks can be estimated. */
  | 'apart'
  /** One does only where brackets adjoin, which share no place: the limit is that of a probit. */
  | 'adjoining'
  /** One set of locations lies inside every bracket: the likelihood rises all the way to σ → 0. */
  | 'one for all';

/** The slack covers the rounding of logarithms added around a cycle. */
const SLACK = 1e-12;
/** ln distance that adjoining brackets must share to be said to overlap. */
const OVERLAP = 1e-9;

/** `exact`: some walk is known to have ended at one place; it has no width, and is shared all the same. */
export const agreementOf = (cells: readonly Cell[], exact = false): Agreement =>
  !feasible(cells, -SLACK) ? 'apart' : exact || feasible(cells, OVERLAP) ? 'one for all' : 'adjoining';

/**
 * Whether one set of locations (a product effect plus a path effect) lies inside every walk's bracket, drawn
 * in by `by` at each end: low ≤ product + path ≤ high is a system of difference constraints, feasible unless
 * Bellman-Ford finds a negative cycle.
 */
function feasible(cells: readonly Cell[], by: number): boolean {
  const distance = new Map<string, number>();
  const constraints = cells
    .flatMap(({ product, path, low, high }) => [
      { from: phrases.path(path), to: phrases.product(product), length: high - by },
      { from: phrases.product(product), to: phrases.path(path), length: -low - by },
    ])
    .filter((c) => c.length < Infinity);
  for (const { from, to } of constraints) distance.set(from, 0).set(to, 0);
  for (let pass = 0; pass <= distance.size; pass++) {
    let changed = false;
    for (const { from, to, length } of constraints) {
      const reached = (distance.get(from) as number) + length;
      if (reached < (distance.get(to) as number)) {
        distance.set(to, reached);
        changed = true;
      }
    }
    if (!changed) return true;
  }
  return false;
}

/** What a set of walks bounds without a model. */
export interface Bounds {
  readonly walks: number;
  /** The greatest separation to which every walk held; 0 when one failed at its first point. */
  readonly allHeldToM: number;
  /** The least separation by which every walk had failed; absent when one did not fail. */
  readonly allFailedByM: number | undefined;
  /** Where a single distance would agree with every walk; absent when none does. */
  readonly common: { readonly heldM: number; readonly failedM: number | undefined } | undefined;
}

export function boundsOf(walks: readonly WalkInterval[]): Bounds {
  let [mostHeld, leastHeld, mostFailed, leastFailed] = [-Infinity, Infinity, -Infinity, Infinity];
  for (const { heldM, failedM = Infinity } of walks) {
    mostHeld = Math.max(mostHeld, heldM);
    leastHeld = Math.min(leastHeld, heldM);
    mostFailed = Math.max(mostFailed, failedM);
    leastFailed = Math.min(leastFailed, failedM);
  }
  const finite = (m: number): number | undefined => (m < Infinity ? m : undefined);
  // Adjoining brackets share no place; walks that ended at one exact place do.
  const shared = mostHeld < leastFailed || (mostHeld === leastHeld && mostFailed === leastHeld);
  return {
    walks: walks.length,
    allHeldToM: leastHeld,
    allFailedByM: finite(mostFailed),
    common: shared ? { heldM: mostHeld, failedM: finite(leastFailed) } : undefined,
  };
}
