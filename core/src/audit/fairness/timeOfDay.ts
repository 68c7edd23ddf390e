import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

const HOUR_MS = 3_600_000;
/** Median starts farther apart than this are two times of day. */
const APART_H = 2;

/** What is on the air, and who is about, changes over a day. */
export const timeOfDay: AuditRule = {
  id: 'time-of-day',
  title: phrases.walkedAtDifferentTimes,
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.walks, (w) => w.startedMs));
      const hours = a === undefined || b === undefined ? 0 : Math.abs(a - b) / HOUR_MS;
      return hours <= APART_H
        ? []
        : [
            {
              products: idsOf(pair),
              what: phrases.andWereWalkedHoursApartBy(
                pair[0].name,
                pair[1].name,
                hours.toFixed(hours < 48 ? 1 : 0),
              ),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.walkThemInTurnNotOne,
            },
          ];
    }),
};
