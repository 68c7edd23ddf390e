import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/** What is behind the link, not the link, set the greatest throughput. */
export const cap: AuditRule = {
  id: 'cap',
  title: phrases.throughputIsCapped,
  find: ({ products }) =>
    products.flatMap((p) =>
      p.cap
        ? [
            {
              products: [p.id],
              what: p.cap.measured
                ? phrases.readsMbitSAtItsNear(p.name, p.cap.levelMbps.toFixed(0))
                : phrases.readsMbitSAtNearestPoints(p.name, p.cap.levelMbps.toFixed(0), p.cap.points),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.measureWhatIsBehindItBy,
            },
          ]
        : [],
    ),
};
