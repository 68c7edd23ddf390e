import { decibels, NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import { apart, idsOf, middle, pairsOf, stated } from '../case/pairs.ts';

/** Cables, plugs and adapters that one has and the other has not. */
export const connectors: AuditRule = {
  id: 'connectors',
  title: 'Cables and connectors differ',
  find: (of) => [
    ...apart(
      of,
      (p) => stated(p.rigs, (r) => r.cables),
      (a, b) => `Cables: ${a}; ${b}`,
      { size: NOT_KNOWN, mend: 'Use the same cables and adapters, or none.' },
    ),
    ...pairsOf(of).flatMap((pair): AuditFinding[] => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.feederLossDb));
      const db = a === undefined || b === undefined ? 0 : Math.abs(a - b);
      return db === 0
        ? []
        : [
            {
              products: idsOf(pair),
              what: `Feeder loss: ${pair[0].name} ${a} dB, ${pair[1].name} ${b} dB`,
              sizeDb: db,
              size: decibels(db),
              mend: 'Use one feeder for both.',
            },
          ];
    }),
  ],
};
