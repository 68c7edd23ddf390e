import * as phrases from './phrases.ts';

/**
 * Walks that must all hold to a distance before a share of walks may be said to hold to it (95 %,
 * one-sided): shareⁿ ≤ 5 %. Five for the median, 29 for nine of ten. From above, for walks that all failed,
 * the same by the share that fails.
 * @throws RangeError unless 0 < share < 1.
 */
export function walksFor(share: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError(phrases.invalidShare(share));
  return Math.ceil(Math.log(0.05) / Math.log(share));
}
