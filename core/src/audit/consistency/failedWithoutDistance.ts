import { countOf } from '../../quantity/plural.ts';
import type { ConsistencyRule } from './entered.ts';
import * as phrases from './phrases.ts';

/** A failure that cannot be placed is thrown away, and with it the end of the range. */
export const failedWithoutDistance: ConsistencyRule = {
  id: 'failed-without-distance',
  title: phrases.aFailureWithoutADistance,
  find: ({ quoted, walks }) => [
    ...quoted
      .filter((q) => q.failedWithoutDistance)
      .map((q) => ({
        products: [q.productId],
        path: q.path,
        what: phrases.itFailedAndWhereIsNot(q.product, q.source),
        mend: phrases.askWhereUntilThenItIs,
      })),
    ...walks
      .filter((w) => w.unplacedFailures > 0)
      .map((w) => ({
        products: [w.productId],
        path: w.path,
        what: phrases.walkNoPlace(
          w.product,
          w.label,
          countOf(w.unplacedFailures, phrases.failureHas, phrases.failuresHave),
        ),
        mend: phrases.ifItIsKnownCorrectThe,
      })),
  ],
};
