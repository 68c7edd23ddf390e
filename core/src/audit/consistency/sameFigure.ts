import { formatLength } from '../../quantity/length.ts';
import type { ConsistencyFinding, ConsistencyRule, EnteredWalk } from './entered.ts';
import * as phrases from './phrases.ts';

/** Marks that read alike to this are one figure, m: a step of half a yard is two. */
const ONE_FIGURE_M = 0.05;
/** One name may vary by more than its reading, m. */
const ONE_NAME_M = 5;

/** Two places with one figure, or one place with several; each told once, however many walks it is in. */
export const sameFigure: ConsistencyRule = {
  id: 'same-figure',
  title: phrases.oneFigureAtTwoPlaces,
  find: ({ walks }) =>
    [...new Set(walks.map((w) => w.path))].flatMap((path) => {
      const own = walks.filter((w) => w.path === path);
      return [...severalFigures(own), ...severalNames(own)].map(({ what, of }): ConsistencyFinding => ({
        products: [...new Set(of.map((w) => w.productId))],
        path,
        what: `${what} (${walksText(of)})`,
        mend: phrases.lookWhichOfThemWasRead,
      }));
    }),
};

interface Trouble {
  readonly what: string;
  readonly of: readonly EnteredWalk[];
}

const walksText = (walks: readonly EnteredWalk[]): string => {
  const named = [...new Set(walks.map((w) => phrases.walk(w.product, w.label)))];
  return named.length <= 3
    ? named.join('; ')
    : phrases.andMore(named.slice(0, 3).join('; '), named.length - 3);
};

/** Names of marks, with what was read at each. */
function byName(walks: readonly EnteredWalk[]): Map<string, { atM: number; walk: EnteredWalk }[]> {
  const names = new Map<string, { atM: number; walk: EnteredWalk }[]>();
  for (const walk of walks)
    for (const { name, atM } of walk.marks)
      if (name !== undefined) names.set(name, [...(names.get(name) ?? []), { atM, walk }]);
  return names;
}

function severalFigures(walks: readonly EnteredWalk[]): Trouble[] {
  return [...byName(walks)].flatMap(([name, marks]): Trouble[] => {
    const figures = [...new Set(marks.map((m) => m.atM))].sort((a, b) => a - b);
    const [least = 0, most = 0] = [figures[0], figures.at(-1)];
    // What differs by a reading is one figure: the first of each group is told.
    const apart = figures.filter((m, i) => i === 0 || m - (figures[i - 1] as number) > ONE_NAME_M);
    return most - least > ONE_NAME_M
      ? [
          {
            what: phrases.standsAt(
              name,
              (apart.length > 1 ? apart : [least, most]).map((m) => formatLength(m)).join(phrases.at),
            ),
            of: marks.map((m) => m.walk),
          },
        ]
      : [];
  });
}

function severalNames(walks: readonly EnteredWalk[]): Trouble[] {
  const troubles = new Map<string, { names: Set<string>; atM: number; of: EnteredWalk[] }>();
  for (const walk of walks) {
    const named = walk.marks.filter((m) => m.name !== undefined);
    named.forEach((a, i) => {
      for (const b of named.slice(i + 1))
        if (a.name !== b.name && Math.abs(a.atM - b.atM) < ONE_FIGURE_M) {
          const key = a.atM.toFixed(1);
          const known = troubles.get(key) ?? { names: new Set<string>(), atM: a.atM, of: [] };
          known.names.add(a.name as string).add(b.name as string);
          known.of.push(walk);
          troubles.set(key, known);
        }
    });
  }
  return [...troubles.values()].map(({ names, atM, of }) => ({
    what: phrases.standAt(
      [...names].map((n) => `“${n}”`).join(' and '),
      names.size > 2 ? 'all' : 'both',
      formatLength(atM),
    ),
    of,
  }));
}
