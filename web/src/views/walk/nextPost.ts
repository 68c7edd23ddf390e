import type { Path, Tick } from '@urvek/core';

/** Nearer than this to a post one is at it, m. */
const AT_POST_M = 0.5;

/**
 * The post that M marks. With a wheel the nearest; on foot the next one beyond the last mark, or before it
 * on the way back.
 */
export function nextPost(
  checkpoints: Path['checkpoints'],
  {
    hereM,
    markedM = -1,
    turned,
    tick,
  }: {
    hereM: number | undefined;
    markedM: number | undefined;
    turned: boolean;
    tick: Tick | undefined;
  },
): Path['checkpoints'][number] | undefined {
  if (tick && hereM !== undefined)
    return checkpoints.reduce<Path['checkpoints'][number] | undefined>(
      (a, b) => (a && Math.abs(a.atM - hereM) <= Math.abs(b.atM - hereM) ? a : b),
      undefined,
    );
  return turned
    ? checkpoints.findLast((c) => c.atM < markedM - AT_POST_M)
    : checkpoints.find((c) => c.atM > markedM + AT_POST_M);
}
