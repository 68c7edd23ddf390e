import type { ConsistencyRule, EnteredWalk } from './entered.ts';
import * as phrases from './phrases.ts';

/** A reading that comes within this belongs to what was said, s; and one that had just been entered. */
const NEAR_S = 45;
const JUST_S = 10;
/** "reading", "measured", "speed test" and a figure with a unit of what is read. */
const ANNOUNCES = /\b(reading|measur\w*|speed ?test|pings?|level)\b|\d\s*(mbit\/s|mbps|dbm|ms)\b/i;

/** A reading that was said to be taken, or a stand that was reached, and nothing entered. */
export const announced: ConsistencyRule = {
  id: 'announced',
  title: phrases.aReadingWasAnnouncedAndNot,
  find: ({ walks }) =>
    walks.flatMap((w) =>
      [...saidOnly(w), ...emptyStands(w)].map((what) => ({
        products: [w.productId],
        path: w.path,
        what: `${w.product}, walk ${w.label}: ${what}`,
        mend: phrases.enterItInTraceIfIt,
      })),
    ),
};

/**
 * Each announcement has a reading of its own, at the place where it was made: one that came soon after, farther on, is
 * another.
 */
function saidOnly({ notes, readingsS, marks }: EnteredWalk): string[] {
  const free = [...readingsS].sort((a, b) => a - b);
  return notes
    .filter((n) => ANNOUNCES.test(n.text))
    .filter((n) => {
      const here = placeAround(marks, n.atS);
      const own = (s: number): boolean =>
        s <= n.atS + NEAR_S && s >= n.atS - JUST_S && s >= here.fromS && s < here.untilS;
      const after = free.findIndex((s) => s >= n.atS && own(s));
      const found = after === -1 ? free.findLastIndex(own) : after;
      if (found !== -1) free.splice(found, 1);
      return found === -1;
    })
    .map((n) => phrases.standsInTheNotesAndNo(n.text.slice(0, 80)));
}

/** From the first mark of where one is to the first mark elsewhere. */
function placeAround(marks: EnteredWalk['marks'], atS: number): { fromS: number; untilS: number } {
  const last = marks.findLast((m) => m.atS <= atS);
  const before = last && marks.findLast((m) => m.atS <= atS && m.atM !== last.atM);
  const first = last && marks.find((m) => m.atS > (before?.atS ?? -Infinity) && m.atM === last.atM);
  const next = marks.find((m) => m.atS > atS && m.atM !== last?.atM);
  return { fromS: first?.atS ?? -Infinity, untilS: next?.atS ?? Infinity };
}

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
  return empty.length === 0 ? [] : [phrases.nothingWasEnteredAt(empty.map((m) => `“${m.name}”`).join(', '))];
}
