import type { Hazard, LiveState, Path, Tick } from '@urvek/core';
import { nextPost } from './nextPost.ts';

type Post = Path['checkpoints'][number];

/** So far ahead of a checkpoint one is told to mark it, m. */
const PROMPT_M = 2;
/** A checkpoint just passed is still the next one, m. */
const PASSED_M = 0.5;

/** So far ahead of a hazard one is told to mind it, m. */
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
  /** Hazards close ahead, on the way back too. */
  mind: readonly Hazard[];
} {
  const checkpoints = path?.checkpoints;
  const markedM = marksM.at(-1);
  const hereM = tick?.wheelM ?? markedM;
  const next = checkpoints?.find((c) => hereM !== undefined && !turned && c.atM >= hereM - PASSED_M);
  return {
    hereM,
    post: checkpoints && nextPost(checkpoints, { hereM, markedM, turned, tick }),
    due: next && hereM !== undefined && next.atM - hereM <= PROMPT_M ? next : undefined,
    mind: (path?.hazardsAt ?? []).filter(({ atM }) => {
      const aheadM = turned ? (hereM ?? Infinity) - atM : atM - (hereM ?? 0);
      return aheadM >= -PASSED_M && aheadM <= MIND_M;
    }),
  };
}
