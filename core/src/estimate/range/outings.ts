import type { WalkInterval } from '../../walk/walkInterval.ts';
import * as phrases from './phrases.ts';

/** On how many outings some walks were made, and whether one of these has several of them. */
export interface Outings {
  readonly count: number;
  readonly repeated: boolean;
}

/** Undefined where not every walk says on which outing it was made. */
export function outingsOf(walks: readonly WalkInterval[]): Outings | undefined {
  const named = new Set<string>();
  for (const { outing } of walks) {
    if (outing === undefined) return undefined;
    named.add(outing);
  }
  return named.size === 0 ? undefined : { count: named.size, repeated: named.size < walks.length };
}

/** From so many outings on they are a sample of outings; fewer speak for themselves. */
export const SAMPLE_OF_OUTINGS = 3;

/**
 * Walks of one outing share what that day and that set-up were: what is found of a few outings speaks for
 * them, of several over them. Undefined where each walk is an outing of its own, or nobody says.
 */
export function outingText(outings: Outings | undefined): string | undefined {
  if (!outings?.repeated) return undefined;
  if (outings.count === 1) return 'one outing: for that day and set-up';
  return outings.count < SAMPLE_OF_OUTINGS
    ? phrases.outingsForThese(outings.count)
    : phrases.overOutings(outings.count);
}
