import { WALKING_MPS } from '../../quantity/pace.ts';
import type { AuditRule } from '../case/auditCase.ts';
import { idsOf, middle, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/** Half a second is 0.7 m of walking. */
const ALIKE_S = 0.5;

/**
 * A buffer plays on after the link is gone: positions are corrected by it, and are no better than it is
 * known.
 */
export const playoutBuffer: AuditRule = {
  id: 'playout',
  title: phrases.playoutDelaysDiffer,
  find: (of) =>
    pairsOf(of).flatMap((pair) => {
      const [a, b] = pair.map((p) => middle(p.rigs, (r) => r.playoutDelayS));
      const apartS = a === undefined || b === undefined ? 0 : Math.abs(a - b);
      return apartS < ALIKE_S
        ? []
        : [
            {
              products: idsOf(pair),
              what: phrases.playoutDelaySS(pair[0].name, a, pair[1].name, b),
              sizeDb: undefined,
              size: phrases.mOfWalking((apartS * WALKING_MPS).toFixed(1)),
              mend: phrases.measureEachDelayAtTheFixed,
            },
          ];
    }),
};
