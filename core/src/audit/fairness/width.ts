import { decibels, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';

/** A channel twice as wide takes in twice the noise: 10 log10 of the ratio. */
export const width: AuditRule = {
  id: 'width',
  title: 'Channel widths differ',
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.widthMHz));
      if (a === undefined || b === undefined || a === b) return [];
      const db = Math.abs(10 * Math.log10(a / b));
      return [
        {
          products: idsOf(pair),
          what: `Channel width: ${pair[0].name} ${a} MHz, ${pair[1].name} ${b} MHz`,
          sizeDb: db,
          size: decibels(db),
          mend: 'Set both to the narrower width.',
        },
      ];
    }),
};
