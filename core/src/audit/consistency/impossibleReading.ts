import type { ConsistencyRule } from './entered.ts';

/** A level typed under the wrong quantity, say: it is left out of every curve. */
export const impossibleReading: ConsistencyRule = {
  id: 'impossible-reading',
  title: 'A reading that cannot be',
  find: ({ walks }) =>
    walks.flatMap((w) =>
      w.impossible.map((what) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${what}`,
        mend: 'It is left out of what is worked out. Withdraw it in Trace.',
      })),
    ),
};
