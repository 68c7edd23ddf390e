import { NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { apart, idsOf, pairsOf, stated } from '../case/pairs.ts';

/** Products compared on different paths, or by walks that are logged in different ways, are not compared. */
export const pathAndMode: AuditRule = {
  id: 'path-and-mode',
  title: 'Not walked alike',
  find: (of) => [
    ...pairsOf(of).flatMap((pair): AuditFinding[] => {
      const [here, away] = pair[0].walks.length > 0 ? pair : [pair[1], pair[0]];
      return here.walks.length > 0 && away.walks.length === 0 && away.pathsWalked.length > 0
        ? [
            {
              products: idsOf(pair),
              what: `${here.name} was walked on ${of.pathName}, ${away.name} only on ${away.pathsWalked.join(', ')}`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: `Walk ${away.name} on ${of.pathName} too.`,
            },
          ]
        : [];
    }),
    ...apart(
      of,
      (p) => stated(p.walks, (w) => w.mode),
      (a, b) => `Logged in different ways: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Log both in one way.' },
    ),
  ],
};
