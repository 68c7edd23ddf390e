import { DEFAULT_DELAY, type OperatorDelay } from '../log/lag.ts';
import { mean, standardDeviation } from '../numeric/moments.ts';

/**
 * One try at the fixed end: the moment at which the sender was switched off, and the press when it was
 * heard to be gone, s.
 */
export interface PlayoutTry {
  readonly offS: number;
  readonly heardS: number;
}

export interface PlayoutDelay {
  readonly delayS: number;
  /** Standard uncertainty. */
  readonly uncertaintyS: number;
  readonly tries: number;
}

/** Fewer say nothing of their scatter. */
export const LEAST_PLAYOUT_TRIES = 3;

/**
 * How long a rig plays on after its link is gone: the mean of the tries, less the reaction of whoever
 * pressed. One's own switching is foreseen and has no reaction, only its scatter. Never below 0: nothing is
 * heard before it happens. Undefined for fewer than three tries.
 * @throws RangeError for a press before the switching.
 */
export function playoutDelay(
  tries: readonly PlayoutTry[],
  { reactionS, spreadS }: OperatorDelay = DEFAULT_DELAY,
): PlayoutDelay | undefined {
  const bad = tries.find((t) => !(t.heardS >= t.offS));
  if (bad) throw new RangeError(`invalid try: heard ${bad.heardS} s, off ${bad.offS} s`);
  if (tries.length < LEAST_PLAYOUT_TRIES) return undefined;
  const differences = tries.map((t) => t.heardS - t.offS);
  // The scatter seen holds that of both presses; the mean reaction itself is known to its spread over the
  // lessons that taught it.
  const scatterS = Math.max(standardDeviation(differences), spreadS) / Math.sqrt(tries.length);
  return {
    delayS: Math.max(0, mean(differences) - reactionS),
    uncertaintyS: Math.hypot(scatterS, spreadS / 2),
    tries: tries.length,
  };
}
