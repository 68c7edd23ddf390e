import type { ConsistencyRule } from './entered.ts';
import * as phrases from './phrases.ts';

/** A level typed under the wrong quantity, say: it is left out of every curve. */
export const impossibleReading: ConsistencyRule = {
  id: 'impossible-reading',
  title: phrases.aReadingThatCannotBe,
  find: ({ walks }) =>
    walks.flatMap((w) =>
      w.impossible.map((what) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${what}`,
        mend: phrases.itIsLeftOutOfWhat,
      })),
    ),
};
