import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** What else was on the air while one was walked and not while the other was. */
export const otherTransmitters: AuditRule = {
  id: 'other-transmitters',
  title: phrases.otherTransmittersWereOn,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.otherTransmitters),
      (a, b) => phrases.onTheAir(a, b),
      { size: NOT_KNOWN, mend: phrases.switchThemOffOrWalkBoth },
    ),
};
