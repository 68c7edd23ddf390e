import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** Leaves, and water on them. */
export const foliage: AuditRule = {
  id: 'foliage',
  title: 'Leaf differed',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.leaf),
      (a, b) => `Leaf: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Walk both in one season, and dry or wet alike.' },
    ),
};
