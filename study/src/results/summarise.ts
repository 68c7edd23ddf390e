import {
  summariseAcross as acrossOf,
  summariseRanges,
  type AcrossSummary,
  type RangeSummary,
  type WalkInterval,
} from '@urvek/core';
import { memoised } from '../memo.ts';

/** How many summaries are kept: of nine products on four paths by five criteria, both ways, all. */
const MOST = 400;

/** All that an estimate depends on. */
const keyOf = (walks: readonly WalkInterval[]): string =>
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
      w.offsetUM ?? 0,
    ]),
  );

/**
 * Estimates of some walks, worked out once for the same walks: needs, claims, audits and stages ask for the
 * same cells again and again, and one walk more changes only its own.
 */
export const summarise: (walks: readonly WalkInterval[]) => RangeSummary = memoised(
  keyOf,
  (walks) => summariseRanges(walks, { sharedP10: false }),
  MOST,
);

/** The same over several paths: ratios and their dependence on the path, no cell by itself. */
export const summariseAcross: (walks: readonly WalkInterval[]) => AcrossSummary = memoised(
  keyOf,
  acrossOf,
  MOST,
);
