import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Two instruments read the same link differently. */
export const instrument: AuditRule = {
  id: 'instrument',
  title: phrases.instrumentsDiffer,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.instrument),
      (a, b) => phrases.readWith(a, b),
      { size: NOT_KNOWN, mend: phrases.readBothWithOneInstrumentOr },
    ),
};
