import type { ConsistencyRule, Quoted } from './entered.ts';

/**
 * Bounds of the mean of n figures of which the best and the spread (best less worst) are known: one is the
 * worst, one the best, and the others lie between. With three, best 105 and spread 5: from 101.67 to
 * 103.33.
 * @throws RangeError unless n is a whole number from 1 and the spread is not negative.
 */
export function meanBounds(n: number, best: number, spread: number): readonly [number, number] {
  if (!Number.isInteger(n) || n < 1) throw new RangeError(`invalid n: ${n}`);
  if (!(spread >= 0)) throw new RangeError(`invalid spread: ${spread}`);
  return n === 1 ? [best, best] : [best - (spread * (n - 1)) / n, best - spread / n];
}

/** Half a unit of the last place that is written, m: figures are rounded. */
const ROUNDING_M = 0.5;

/** Mean, best, worst and spread that cannot belong together. */
export const impossibleMean: ConsistencyRule = {
  id: 'impossible-mean',
  title: 'A mean that cannot be',
  find: ({ quoted }) =>
    quoted.flatMap((q) => {
      const trouble = troubleOf(q);
      return trouble === undefined
        ? []
        : [
            {
              products: [q.productId],
              path: q.path,
              what: `${q.product}, ${q.source}: ${trouble}`,
              mend: 'Ask the source for the single figures; until then the mean says nothing.',
            },
          ];
    }),
};

function troubleOf({ walks, meanM, bestM, worstM, spreadM }: Quoted): string | undefined {
  if (bestM !== undefined && worstM !== undefined && worstM > bestM)
    return `worst ${worstM} m is beyond best ${bestM} m`;
  if (
    bestM !== undefined &&
    worstM !== undefined &&
    spreadM !== undefined &&
    Math.abs(bestM - worstM - spreadM) > 2 * ROUNDING_M
  )
    return `best ${bestM} m less worst ${worstM} m is not the spread of ${spreadM} m`;
  if (meanM === undefined || bestM === undefined) return undefined;
  const spread = spreadM ?? (worstM === undefined ? undefined : bestM - worstM);
  if (spread === undefined)
    return meanM > bestM + ROUNDING_M ? `mean ${meanM} m is beyond best ${bestM} m` : undefined;
  const [low, high] = walks === undefined ? [bestM - spread, bestM] : meanBounds(walks, bestM, spread);
  if (meanM >= low - ROUNDING_M && meanM <= high + ROUNDING_M) return undefined;
  return `best ${bestM} m and spread ${spread} m${walks === undefined ? '' : ` of ${walks}`} put the mean between ${low.toFixed(2)} and ${high.toFixed(2)} m; ${meanM} m is stated`;
}
