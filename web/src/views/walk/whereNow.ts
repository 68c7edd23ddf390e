import type { Hazard, LiveState, Path, Tick } from '@urvek/core';
import { nextPost } from './nextPost.ts';

type Post = Path['checkpoints'][number];

/** So far ahead of a checkpoint one is told to mark it, m. */
const PROMPT_M = 2;
/** A checkpoint just passed is still the next one, m. */
const PASSED_M = 0.5;

/** So near to a hazard one is told to mind it, whichever way one walks, m. */
const MIND_M = 10;

/** Where one stands, as far as wheel and marks tell, which post comes, and what is to be minded. */
export function whereNow(
  path: Pick<Path, 'checkpoints' | 'hazardsAt'> | undefined,
  { marksM, turned }: Pick<LiveState, 'marksM' | 'turned'>,
  tick: Tick | undefined,
): {
  hereM: number | undefined;
  /** What M marks. */
  post: Post | undefined;
  /** Near enough to be told of. */
  due: Post | undefined;
  /** Hazards close by; on foot, up to the next post. */
  mind: readonly Hazard[];
} {
  const checkpoints = path?.checkpoints;
  const markedM = marksM.at(-1);
  const hereM = tick?.wheelM ?? markedM;
  const post = checkpoints && nextPost(checkpoints, { hereM, markedM, turned, tick });
  const next = checkpoints?.find((c) => hereM !== undefined && !turned && c.atM >= hereM - PASSED_M);
  return {
    hereM,
    post,
    due: next && hereM !== undefined && next.atM - hereM <= PROMPT_M ? next : undefined,
    mind: (path?.hazardsAt ?? []).filter(({ atM }) => {
      const here = hereM ?? 0;
      if (Math.abs(atM - here) <= MIND_M) return true;
      // On foot nobody knows where between two marks one is.
      return !tick && post !== undefined && (atM - here) * (atM - post.atM) <= 0;
    }),
  };
}
