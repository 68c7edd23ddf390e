import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** Of a link that is used both ways, the direction that was not tested may be the lesser. */
export const oneDirection: AuditRule = {
  id: 'direction',
  title: phrases.oneDirectionOnly,
  find: ({ products, bothWays }) =>
    products.flatMap((p) => {
      const ways = [...new Set(p.walks.flatMap((w) => w.directions))];
      return bothWays && ways.length === 1
        ? [
            {
              products: [p.id],
              what: phrases.wasTestedOnly(p.name, ways[0]),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.testTheOtherDirectionOneEnd,
            },
          ]
        : [];
    }),
};
