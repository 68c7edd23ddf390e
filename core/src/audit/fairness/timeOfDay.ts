import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';

const HOUR_MS = 3_600_000;
/** Median starts farther apart than this are two times of day. */
const APART_H = 2;

/** What is on the air, and who is about, changes over a day. */
export const timeOfDay: AuditRule = {
  id: 'time-of-day',
  title: 'Walked at different times',
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.walks, (w) => w.startedMs));
      const hours = a === undefined || b === undefined ? 0 : Math.abs(a - b) / HOUR_MS;
      return hours <= APART_H
        ? []
        : [
            {
              products: idsOf(pair),
              what: `${pair[0].name} and ${pair[1].name} were walked ${hours.toFixed(hours < 48 ? 1 : 0)} hours apart, by their median starts`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Walk them in turn, not one after the other.',
            },
          ];
    }),
};
