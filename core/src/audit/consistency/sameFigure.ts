import type { ConsistencyRule, EnteredWalk } from './entered.ts';

/** Marks nearer than this are one place, m; one name may vary by more than its reading, m. */
const ONE_PLACE_M = 0.5;
const ONE_NAME_M = 5;

/** Two places with one figure, or one place with several. */
export const sameFigure: ConsistencyRule = {
  id: 'same-figure',
  title: 'One figure at two places',
  find: ({ walks }) =>
    walks.flatMap((w) =>
      troublesOf(w).map((what) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${what}`,
        mend: 'Look which of the two was read, and correct the mark in Trace.',
      })),
    ),
};

function troublesOf({ marks }: EnteredWalk): string[] {
  const named = marks.filter((m) => m.name !== undefined);
  return named.flatMap((a, i) =>
    named.slice(i + 1).flatMap((b) => {
      if (a.name !== b.name && Math.abs(a.atM - b.atM) < ONE_PLACE_M)
        return [`“${a.name}” and “${b.name}” both stand at ${a.atM.toFixed(1)} m`];
      if (a.name === b.name && Math.abs(a.atM - b.atM) > ONE_NAME_M)
        return [`“${a.name}” stands at ${a.atM.toFixed(1)} m and at ${b.atM.toFixed(1)} m`];
      return [];
    }),
  );
}
