import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** Two instruments read the same link differently. */
export const instrument: AuditRule = {
  id: 'instrument',
  title: 'Instruments differ',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.instrument),
      (a, b) => `Read with ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Read both with one instrument, or read one point with both.' },
    ),
};
