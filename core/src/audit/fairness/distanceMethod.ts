import { METHOD_UNCERTAINTY, type DistanceMethod } from '../../quantity/distanceMethod.ts';
import { byMethod } from '../../estimate/range/scaleError.ts';
import type { AuditRule } from '../case/auditCase.ts';
import { idsOf, statedApart } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

const words = (method: DistanceMethod): string => {
  const { independentM, scale } = METHOD_UNCERTAINTY[method];
  return (
    `${method} ± ${independentM.toFixed(independentM < 1 ? 2 : 0)} m` +
    `${scale > 0 ? phrases.andPercent((100 * scale).toFixed(1)) : ''}`
  );
};

/** A scale error cancels in a ratio only where both were measured by one method. */
export const distanceMethod: AuditRule = {
  id: 'distance-method',
  title: phrases.distancesByDifferentMethods,
  find: (of) =>
    statedApart(of, (p) => [...new Set(p.walks.flatMap((w) => w.methods.map(byMethod)))].sort()).map(
      ({ pair, texts }) => {
        const methods = [...new Set(pair.flatMap((p) => p.walks.flatMap((w) => w.methods)))];
        return {
          products: idsOf(pair),
          what: phrases.distances(pair[0].name, texts[0], pair[1].name, texts[1]),
          sizeDb: undefined,
          size: methods.map(words).join('; '),
          mend: phrases.measureBothByOneMethodBest,
        };
      },
    ),
};
