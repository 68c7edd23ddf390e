import { NOT_KNOWN, type AuditRule } from '../auditCase.ts';

/** Two units of a model can differ: with one, the result speaks for that unit. */
export const unitsTested: AuditRule = {
  id: 'units', title: 'One unit was tested',
  find: ({ products }) => products.flatMap((p) => (p.walks.length > 0 && new Set(p.walks.map((w) => w.unit)).size === 1
    ? [{ products: [p.id], what: `One unit of ${p.name} was walked`, sizeDb: undefined, size: NOT_KNOWN, mend: 'Walk a second unit, bought apart from the first.' }] : [])),
};
