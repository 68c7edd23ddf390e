import type { ConsistencyRule } from './entered.ts';
import * as phrases from './phrases.ts';

/** A table that does not say what the log says. */
export const logAgainstTable: ConsistencyRule = {
  id: 'log-against-table',
  title: phrases.theTableIsNotTheLog,
  find: ({ quoted, ranges }) =>
    quoted.flatMap((q) => {
      const own = ranges.find((r) => r.productId === q.productId && r.path === q.path);
      if (!own || q.meanM === undefined) return [];
      const outside =
        (own.lowM !== undefined && q.meanM < own.lowM) || (own.highM !== undefined && q.meanM > own.highM);
      const ends = phrases.to(
        own.lowM === undefined ? phrases.noBound : `${own.lowM.toFixed(1)} m`,
        own.highM === undefined ? phrases.noBound : `${own.highM.toFixed(1)} m`,
      );
      return outside
        ? [
            {
              products: [q.productId],
              path: q.path,
              what: phrases.aMeanOfMWhereLogged(q.product, q.source, q.meanM, own.walks, ends),
              mend: phrases.takeTheTableFromTheLog,
            },
          ]
        : [];
    }),
};
