import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** Two units of a model can differ: with one, the result speaks for that unit. */
export const unitsTested: AuditRule = {
  id: 'units',
  title: phrases.oneUnitWasTested,
  find: ({ products }) => {
    const single = products.filter(
      (p) => p.walks.length > 0 && new Set(p.walks.map((w) => w.unit)).size === 1,
    );
    const names = single.map((p) => p.name).join(' and ');
    return single.length === 0
      ? []
      : [
          {
            products: single.map((p) => p.id),
            what: phrases.oneUnitOfWasWalked(names),
            sizeDb: undefined,
            size: NOT_KNOWN,
            mend: phrases.walkASecondUnitBoughtApart,
          },
        ];
  },
};
