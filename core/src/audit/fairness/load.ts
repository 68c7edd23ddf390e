import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** A link that carries more fails sooner. */
export const load: AuditRule = {
  id: 'load',
  title: phrases.loadsDiffer,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.load),
      (a, b) => phrases.load(a, b),
      { size: NOT_KNOWN, mend: phrases.putOneLoadOnBoth },
    ),
};
