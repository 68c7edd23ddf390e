import { summariseRanges, type RangeSummary, type WalkInterval } from '@urvek/core';
import { memoised } from '../memo.ts';

/** How many summaries are kept: of nine products on four paths by five criteria, both ways, all. */
const MOST = 400;

/**
 * Estimates of some walks, worked out once for the same walks: needs, claims, audits and stages ask for the
 * same cells again and again, and one walk more changes only its own.
 */
export const summarise: (walks: readonly WalkInterval[]) => RangeSummary = memoised(
  (walks) =>
    JSON.stringify(
      walks.map((w) => [
        w.product,
        w.path,
        w.walk,
        w.heldM,
        w.failedM ?? null,
        w.unit ?? null,
        w.pair ?? null,
        w.heldUM ?? 0,
        w.failedUM ?? 0,
        w.unplaced ?? false,
        w.method ?? null,
        w.scaleU ?? 0,
        w.outing ?? null,
      ]),
    ),
  (walks) => summariseRanges(walks),
  MOST,
);
