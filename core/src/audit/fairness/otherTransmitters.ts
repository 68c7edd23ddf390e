import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';

/** What else was on the air while one was walked and not while the other was. */
export const otherTransmitters: AuditRule = {
  id: 'other-transmitters',
  title: 'Other transmitters were on',
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.otherTransmitters),
      (a, b) => `On the air: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Switch them off, or walk both while they are on.' },
    ),
};
