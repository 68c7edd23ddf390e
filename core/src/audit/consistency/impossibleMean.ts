import { metresTo } from '../../quantity/length.ts';
import type { ConsistencyRule, Quoted } from './entered.ts';
import * as phrases from './phrases.ts';

/**
 * Bounds of the mean of n figures of which the best and the spread (best less worst) are known: one is the
 * worst, one the best, and the others lie between. With three, best 105 and spread 5: from 101.67 to
 * 103.33.
 * @throws RangeError unless n is a whole number from 1 and the spread is not negative.
 */
export function meanBounds(n: number, best: number, spread: number): readonly [number, number] {
  if (!Number.isInteger(n) || n < 1) throw new RangeError(phrases.invalidN(n));
  if (!(spread >= 0)) throw new RangeError(phrases.invalidSpread(spread));
  return n === 1 ? [best, best] : [best - (spread * (n - 1)) / n, best - spread / n];
}

/** Half a unit of the last place that is written: figures are rounded, in the unit they are written in. */
const ROUNDING = 0.5;

/** Mean, best, worst and spread that cannot belong together. */
export const impossibleMean: ConsistencyRule = {
  id: 'impossible-mean',
  title: phrases.aMeanThatCannotBe,
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
              mend: phrases.askTheSourceForTheSingle,
            },
          ];
    }),
};

/** Judged in the unit in which the figures were written: that is where they were rounded. */
function troubleOf({ walks, unit = 'm', ...q }: Quoted): string | undefined {
  const inUnit = (m: number | undefined): number | undefined =>
    m === undefined ? undefined : Number(metresTo(m, unit).toPrecision(9));
  const [mean, best, worst, stated] = [q.meanM, q.bestM, q.worstM, q.spreadM].map(inUnit);
  const show = (value: number, decimals?: number): string =>
    `${decimals === undefined ? Number(value.toFixed(2)) : value.toFixed(decimals)} ${unit}`;
  if (best !== undefined && worst !== undefined && worst > best)
    return phrases.worstIsBeyondBest(show(worst), show(best));
  if (
    best !== undefined &&
    worst !== undefined &&
    stated !== undefined &&
    Math.abs(best - worst - stated) > 2 * ROUNDING
  )
    return phrases.bestLessWorstIsNotThe(show(best), show(worst), show(stated));
  if (mean === undefined || best === undefined) return undefined;
  const spread = stated ?? (worst === undefined ? undefined : best - worst);
  if (spread === undefined)
    return mean > best + ROUNDING ? phrases.meanIsBeyondBest(show(mean), show(best)) : undefined;
  const [low, high] = walks === undefined ? [best - spread, best] : meanBounds(walks, best, spread);
  if (mean >= low - ROUNDING && mean <= high + ROUNDING) return undefined;
  return phrases.bestAndSpreadPutTheMean(
    show(best),
    show(spread),
    walks === undefined ? '' : phrases.ofText(walks),
    low.toFixed(2),
    show(high, 2),
    show(mean),
  );
}
