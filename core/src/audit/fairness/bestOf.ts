import { NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { idsOf, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** The best of several is more than their mean; and walks left out are seldom the best. */
export const bestOf: AuditRule = {
  id: 'best-of',
  title: phrases.bestAgainstMean,
  find: (of) => [
    ...pairsOf(of).flatMap((pair): AuditFinding[] => {
      const kinds = pair.map(
        (p) =>
          new Set(
            p.quoted.map((q) => (q.meanM !== undefined ? 'mean' : q.bestM !== undefined ? 'best' : '')),
          ),
      );
      const [a, b] = kinds as [Set<string>, Set<string>];
      const mixed =
        (a.has('best') && !a.has('mean') && b.has('mean')) ||
        (b.has('best') && !b.has('mean') && a.has('mean'));
      return mixed
        ? [
            {
              products: idsOf(pair),
              what: phrases.ofTheBestIsQuotedOf(
                (a.has('mean') ? pair[1] : pair[0]).name,
                (a.has('mean') ? pair[0] : pair[1]).name,
              ),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.quoteTheMedianOfBothWith,
            },
          ]
        : [];
    }),
    ...of.products.flatMap((p): AuditFinding[] => {
      const left = p.walks.filter((w) => !w.finished).length;
      return left > 0 && of.products.some((q) => q.walks.every((w) => w.finished)) && of.products.length > 1
        ? [
            {
              products: [p.id],
              what: phrases.ofWalksOfWereBegunAnd(left, p.walks.length, p.name),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.endEachWalkWithItsReason,
            },
          ]
        : [];
    }),
  ],
};
