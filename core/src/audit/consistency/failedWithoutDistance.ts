import { countOf } from '../../quantity/plural.ts';
import type { ConsistencyRule } from './entered.ts';

/** A failure that cannot be placed is thrown away, and with it the end of the range. */
export const failedWithoutDistance: ConsistencyRule = {
  id: 'failed-without-distance',
  title: 'A failure without a distance',
  find: ({ quoted, walks }) => [
    ...quoted
      .filter((q) => q.failedWithoutDistance)
      .map((q) => ({
        products: [q.productId],
        path: q.path,
        what: `${q.product}, ${q.source}: it failed, and where is not said`,
        mend: 'Ask where; until then it is a failure whose place is unknown.',
      })),
    ...walks
      .filter((w) => w.unplacedFailures > 0)
      .map((w) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${countOf(w.unplacedFailures, 'failure has', 'failures have')} no place`,
        mend: 'If it is known, correct the distance of its mark in Trace, where it has one; else it counts as failed, place unknown, between the places that are known.',
      })),
  ],
};
