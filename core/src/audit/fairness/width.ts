import { decibels, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** A channel twice as wide takes in twice the noise: 10 log10 of the ratio. */
export const width: AuditRule = {
  id: 'width',
  title: phrases.channelWidthsDiffer,
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.widthMHz));
      if (a === undefined || b === undefined || a === b) return [];
      const db = Math.abs(10 * Math.log10(a / b));
      return [
        {
          products: idsOf(pair),
          what: phrases.channelWidthMhzMhz(pair[0].name, a, pair[1].name, b),
          sizeDb: db,
          size: decibels(db),
          mend: phrases.setBothToTheNarrowerWidth,
        },
      ];
    }),
};
