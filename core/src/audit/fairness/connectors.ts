import { decibels, NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { apart, idsOf, middle, pairsOf, stated } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Cables, plugs and adapters that one has and the other has not. */
export const connectors: AuditRule = {
  id: 'connectors',
  title: phrases.cablesAndConnectorsDiffer,
  find: (of) => [
    ...apart(
      of,
      (p) => stated(p.rigs, (r) => r.cables),
      (a, b) => phrases.cables(a, b),
      { size: NOT_KNOWN, mend: phrases.useTheSameCablesAndAdapters },
    ),
    ...pairsOf(of).flatMap((pair): AuditFinding[] => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.feederLossDb));
      const db = a === undefined || b === undefined ? 0 : Math.abs(a - b);
      return db === 0
        ? []
        : [
            {
              products: idsOf(pair),
              what: phrases.feederLossDbDb(pair[0].name, a, pair[1].name, b),
              sizeDb: db,
              size: decibels(db),
              mend: phrases.useOneFeederForBoth,
            },
          ];
    }),
  ],
};
