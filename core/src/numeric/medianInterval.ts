import { atLeast } from './binomial.ts';

/**
 * The greatest k for which the k-th least and the k-th greatest of n bound the median at a level (sign test);
 * 0 where not even the outermost do: below six values at 95 %.
 */
export function medianRank(n: number, level = 0.95): number {
  let k = 0;
  // P(fewer than k + 1 of n below the median) on both sides.
  while (k + 1 <= n / 2 && 2 * (1 - atLeast(k + 1, n, 0.5)) <= 1 - level) k++;
  return k;
}

/**
 * Interval of the median without a model (sign test): the k-th least and the k-th greatest value, k the
 * greatest that keeps the level. Undefined below six values, of which not even all could bound it at 95 %.
 * Worked value: of six the least and the greatest, of ten the second of each.
 */
export function medianInterval(
  values: readonly number[],
  level = 0.95,
): { readonly low: number; readonly high: number } | undefined {
  const sorted = [...values].sort((a, b) => a - b);
  const n = sorted.length;
  const k = medianRank(n, level);
  return k === 0 ? undefined : { low: sorted[k - 1] as number, high: sorted[n - k] as number };
}
