import { NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { apart, idsOf, pairsOf, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Products compared on different paths, or by walks that are logged in different ways, are not compared. */
export const pathAndMode: AuditRule = {
  id: 'path-and-mode',
  title: phrases.notWalkedAlike,
  find: (of) => [
    ...pairsOf(of).flatMap((pair): AuditFinding[] => {
      const [here, away] = pair[0].walks.length > 0 ? pair : [pair[1], pair[0]];
      return here.walks.length > 0 && away.walks.length === 0 && away.pathsWalked.length > 0
        ? [
            {
              products: idsOf(pair),
              what: phrases.wasWalkedOnOnlyOn(here.name, of.pathName, away.name, away.pathsWalked.join(', ')),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.walkOnToo(away.name, of.pathName),
            },
          ]
        : [];
    }),
    ...apart(
      of,
      (p) => stated(p.walks, (w) => w.mode),
      (a, b) => phrases.loggedInDifferentWays(a, b),
      { size: NOT_KNOWN, mend: phrases.logBothInOneWay },
    ),
  ],
};
