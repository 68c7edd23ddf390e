import type { OperatorDelay } from './lag.ts';

/**
 * A press later than this after a change is not an answer to it, s; nor is one that comes before it by more
 * than a tenth.
 */
const LATEST_S = 3;
const EARLIEST_S = -0.1;

/** From so few answers nothing is learned. */
export const LEAST_ANSWERS = 5;

export interface Reaction {
  /** Mean and standard deviation of the delays; absent from fewer than five answers. */
  readonly delay: OperatorDelay | undefined;
  readonly delaysS: readonly number[];
  /** Changes that were not answered, and presses that answer none. */
  readonly missed: number;
  readonly falsePresses: number;
}

/**
 * Matches presses to the changes that they answer, each with the first free press that comes after it, and
 * gives the operator's delay. Times in seconds on one clock; in any order.
 */
export function learnReaction(changesS: readonly number[], pressesS: readonly number[]): Reaction {
  const presses = [...pressesS].sort((a, b) => a - b);
  const taken = new Set<number>();
  const delaysS = [...changesS]
    .sort((a, b) => a - b)
    .flatMap((change) => {
      const at = presses.findIndex(
        (p, i) => !taken.has(i) && p - change >= EARLIEST_S && p - change <= LATEST_S,
      );
      if (at === -1) return [];
      taken.add(at);
      return [(presses[at] as number) - change];
    });
  const n = delaysS.length;
  const mean = delaysS.reduce((a, b) => a + b, 0) / n;
  const spread = Math.sqrt(delaysS.reduce((sum, d) => sum + (d - mean) ** 2, 0) / Math.max(1, n - 1));
  return {
    delay: n >= LEAST_ANSWERS ? { reactionS: Math.max(0, mean), spreadS: spread } : undefined,
    delaysS,
    missed: changesS.length - n,
    falsePresses: presses.length - n,
  };
}
