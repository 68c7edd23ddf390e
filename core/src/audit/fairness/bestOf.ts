import { NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { idsOf, pairsOf } from '../case/pairs.ts';

/** The best of several is more than their mean; and walks left out are seldom the best. */
export const bestOf: AuditRule = {
  id: 'best-of',
  title: 'Best against mean',
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
              what: `Of ${(a.has('mean') ? pair[1] : pair[0]).name} the best is quoted, of ${(a.has('mean') ? pair[0] : pair[1]).name} the mean`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Quote the median of both, with the number of walks.',
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
              what: `${left} of ${p.walks.length} walks of ${p.name} were begun and not finished; other products finished all`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'End each walk with its reason, or walk it again.',
            },
          ]
        : [];
    }),
  ],
};
