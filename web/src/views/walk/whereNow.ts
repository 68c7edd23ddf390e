import type { LiveState, Path, Tick } from '@urvek/core';
import { nextPost } from './nextPost.ts';

type Post = Path['checkpoints'][number];

/** So far ahead of a checkpoint one is told to mark it, m. */
const PROMPT_M = 2;
/** A checkpoint just passed is still the next one, m. */
const PASSED_M = 0.5;

/** Where one stands, as far as wheel and marks tell, and which post comes. */
export function whereNow(
  checkpoints: readonly Post[] | undefined,
  { marksM, turned }: Pick<LiveState, 'marksM' | 'turned'>,
  tick: Tick | undefined,
): {
  hereM: number | undefined;
  /** What M marks. */
  post: Post | undefined;
  /** Near enough to be told of. */
  due: Post | undefined;
} {
  const markedM = marksM.at(-1);
  const hereM = tick?.wheelM ?? markedM;
  const next = checkpoints?.find((c) => hereM !== undefined && !turned && c.atM >= hereM - PASSED_M);
  return {
    hereM,
    post: checkpoints && nextPost(checkpoints, { hereM, markedM, turned, tick }),
    due: next && hereM !== undefined && next.atM - hereM <= PROMPT_M ? next : undefined,
  };
}
