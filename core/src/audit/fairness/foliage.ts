import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import { apart, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Leaves, and water on them. */
export const foliage: AuditRule = {
  id: 'foliage',
  title: phrases.leafDiffered,
  find: (of) =>
    apart(
      of,
      (p) => stated(p.walks, (w) => w.conditions.leaf),
      (a, b) => phrases.leaf(a, b),
      { size: NOT_KNOWN, mend: phrases.walkBothInOneSeasonAnd },
    ),
};
