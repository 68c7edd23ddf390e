import { NOT_KNOWN, decibels, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Ends nearer to the ground than this lose to it before the link is tried (common practice). */
const LEAST_M = 1.5;
/** Two rigs within this stand alike (common practice). */
const ALIKE_M = 0.2;

const ENDS = [
  ['fixed end', 'heightFixedM'],
  ['mobile end', 'heightMobileM'],
] as const;

/**
 * Both ends of both products at one height, within 0.2 m, and no lower than 1.5 m. Two rays beyond the
 * break point: 20 log10 of the ratio.
 */
export const heights: AuditRule = {
  id: 'heights',
  title: phrases.heightsDiffer,
  find: (of) =>
    ENDS.flatMap(([end, field]): AuditFinding[] => {
      const apart = pairsOf(of).flatMap((pair): AuditFinding[] => {
        const [a, b] = pair.map((p) => middle(p.rigs, (r) => r[field]));
        if (a === undefined || b === undefined || !(Math.abs(a - b) > ALIKE_M + 1e-9)) return [];
        const db = Math.abs(20 * Math.log10(a / b));
        const low = a < b ? pair[0] : pair[1];
        return [
          {
            products: idsOf(pair),
            what: `${end}: ${pair[0].name} at ${a} m, ${pair[1].name} at ${b} m`,
            sizeDb: db,
            size: decibels(db),
            mend: phrases.raiseToMAndWalkIt(low.name, Math.max(a, b)),
          },
        ];
      });
      const low = of.products.flatMap((p) => {
        const least = Math.min(...p.rigs.map((r) => r[field] ?? Infinity));
        return least < LEAST_M - 1e-9 ? [{ p, least }] : [];
      });
      return [
        ...apart,
        ...low.map(({ p, least }) => ({
          products: [p.id],
          what: `${end}: ${p.name} at ${least} m, below ${LEAST_M} m`,
          sizeDb: undefined,
          size: NOT_KNOWN,
          mend: phrases.holdItAtMOrMore(LEAST_M),
        })),
      ];
    }),
};
