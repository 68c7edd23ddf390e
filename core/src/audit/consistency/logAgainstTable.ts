import type { ConsistencyRule } from './entered.ts';

/** A table that does not say what the log says. */
export const logAgainstTable: ConsistencyRule = {
  id: 'log-against-table',
  title: 'The table is not the log',
  find: ({ quoted, ranges }) =>
    quoted.flatMap((q) => {
      const own = ranges.find((r) => r.productId === q.productId && r.path === q.path);
      if (!own || q.meanM === undefined) return [];
      const outside =
        (own.lowM !== undefined && q.meanM < own.lowM) || (own.highM !== undefined && q.meanM > own.highM);
      const ends = `${own.lowM === undefined ? 'no bound' : `${own.lowM.toFixed(1)} m`} to ${own.highM === undefined ? 'no bound' : `${own.highM.toFixed(1)} m`}`;
      return outside
        ? [
            {
              products: [q.productId],
              path: q.path,
              what: `${q.product}, ${q.source}: a mean of ${q.meanM} m, where ${own.walks} logged walks put the median within ${ends}`,
              mend: 'Take the table from the log, or say why the two differ.',
            },
          ]
        : [];
    }),
};
