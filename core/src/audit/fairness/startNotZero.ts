import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** Nearer than this is the fixed end, m. */
const AT_ZERO_M = 1;

/** A walk that begins some way out has not shown that the rig works. */
export const startNotZero: AuditRule = {
  id: 'start',
  title: phrases.notBegunAtTheFixedEnd,
  find: ({ products }) =>
    products.flatMap((p) => {
      const late = p.walks.flatMap((w) => (w.startM !== undefined && w.startM > AT_ZERO_M ? [w.startM] : []));
      return late.length === 0
        ? []
        : [
            {
              products: [p.id],
              what: phrases.ofWalksBeganMOut(
                p.name,
                late.length,
                p.walks.length,
                Math.max(...late).toFixed(0),
              ),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.beginAtTheFixedEndWith,
            },
          ];
    }),
};
