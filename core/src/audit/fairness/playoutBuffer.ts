import { WALKING_MPS } from '../../quantity/pace.ts';
import type { AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';

/** Half a second is 0.7 m of walking. */
const ALIKE_S = 0.5;

/**
 * A buffer plays on after the link is gone: positions are corrected by it, and are no better than it is
 * known.
 */
export const playoutBuffer: AuditRule = {
  id: 'playout',
  title: 'Playout delays differ',
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.playoutDelayS));
      const apartS = a === undefined || b === undefined ? 0 : Math.abs(a - b);
      return apartS < ALIKE_S
        ? []
        : [
            {
              products: idsOf(pair),
              what: `Playout delay: ${pair[0].name} ${a} s, ${pair[1].name} ${b} s`,
              sizeDb: undefined,
              size: `${(apartS * WALKING_MPS).toFixed(1)} m of walking`,
              mend: 'Measure each delay at the fixed end, by switching the sender off.',
            },
          ];
    }),
};
