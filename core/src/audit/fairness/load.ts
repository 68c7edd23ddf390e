import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** A link that carries more fails sooner. */
export const load: AuditRule = {
  id: 'load',
  title: 'Loads differ',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.load),
      (a, b) => `Load: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Put one load on both.' },
    ),
};
