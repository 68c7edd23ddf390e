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
        mend: 'Ask where; until then the nearest point that was tried bounds it from neither side.',
      })),
    ...walks
      .filter((w) => w.unplacedFailures > 0)
      .map((w) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${w.unplacedFailures} ${w.unplacedFailures === 1 ? 'failure lies' : 'failures lie'} outside the marks`,
        mend: 'Add a mark in Trace beyond the failure, where it was read.',
      })),
  ],
};
