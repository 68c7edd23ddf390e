import { median } from '../../throughput/throughput.ts';
import type { AuditFinding, AuditRule } from '../auditCase.ts';
import { logPlace } from '../pairs.ts';

/** Scaled median absolute deviations beyond which a walk surprises (common practice: 3.5). */
const FAR = 3.5;
const MAD_TO_SD = 1.4826;
/** Walks of one setting vary by a few per cent in any case. */
const LEAST_SD = 0.05;

/** The last walk of a product surprises, and it was left at that. */
export const surprise: AuditRule = {
  id: 'surprise', title: 'A surprise was not measured again',
  find: ({ products }) => products.flatMap((p): AuditFinding[] => {
    const places = p.walks.flatMap((w) => {
      const place = logPlace(w);
      return place === undefined ? [] : [{ walk: w, place }];
    });
    const last = places.at(-1);
    if (places.length < 4 || !last) return [];
    const others = places.slice(0, -1).map((x) => x.place);
    const middle = median(others);
    const sd = Math.max(LEAST_SD, MAD_TO_SD * median(others.map((x) => Math.abs(x - middle))));
    const factor = Math.exp(last.place - middle);
    return Math.abs(last.place - middle) < FAR * sd ? [] : [{
      products: [p.id], what: `${p.name}, walk ${last.walk.label}: ${factor.toFixed(2)} times the median of the others, and no walk after it`,
      sizeDb: undefined, size: `a factor of ${factor.toFixed(2)}`, mend: 'Walk it once more before it counts.',
    }];
  }),
};
