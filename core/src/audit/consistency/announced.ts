import type { ConsistencyRule, EnteredWalk } from './entered.ts';

/** Within this a reading belongs to what was said, s. */
const NEAR_S = 45;
/** "reading", "measured", "speed test" and a figure with a unit of what is read. */
const ANNOUNCES = /\b(reading|measur\w*|speed test|pings?|level)\b|\d\s*(mbit\/s|mbps|dbm|ms)\b/i;

/** A reading that was said to be taken, or a stand that was reached, and nothing entered. */
export const announced: ConsistencyRule = {
  id: 'announced',
  title: 'A reading was announced and not entered',
  find: ({ walks }) =>
    walks.flatMap((w) =>
      [...saidOnly(w), ...emptyStands(w)].map((what) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${what}`,
        mend: 'Enter it in Trace if it was kept elsewhere; otherwise it was not measured.',
      })),
    ),
};

const saidOnly = ({ notes, readingsS }: EnteredWalk): string[] =>
  notes
    .filter((n) => ANNOUNCES.test(n.text) && !readingsS.some((s) => Math.abs(s - n.atS) <= NEAR_S))
    .map((n) => `“${n.text.slice(0, 80)}” stands in the notes, and no reading near it`);

/** A stand lasts from its first mark to the first mark elsewhere. */
function emptyStands({ atStands, marks, readingsS, endS }: EnteredWalk): string[] {
  if (!atStands) return [];
  const stands = marks
    .filter((m) => m.name !== undefined)
    .filter((m, i, named) => m.name !== named[i - 1]?.name);
  const empty = stands.filter((m, i) => {
    const untilS = stands[i + 1]?.atS ?? endS + 1;
    return !readingsS.some((s) => s >= m.atS && s < untilS);
  });
  return empty.length === 0 ? [] : [`nothing was entered at ${empty.map((m) => `“${m.name}”`).join(', ')}`];
}
