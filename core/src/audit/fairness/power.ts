import { decibels, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Less than this is not worth a word, dB. */
const ALIKE_DB = 0.5;

/** Power as it was set on the rigs: a choice of the tester, not a property of the product. */
export const power: AuditRule = {
  id: 'power',
  title: phrases.powersSetDiffer,
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.powerMw));
      if (a === undefined || b === undefined) return [];
      const db = Math.abs(10 * Math.log10(a / b));
      return db < ALIKE_DB
        ? []
        : [
            {
              products: idsOf(pair),
              what: phrases.powerSetToMwToMw(pair[0].name, a, pair[1].name, b),
              sizeDb: db,
              size: decibels(db),
              mend: phrases.setBothToOnePowerOr,
            },
          ];
    }),
};
