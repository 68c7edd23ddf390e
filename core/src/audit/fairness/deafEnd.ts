import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

const ENDS = ['fixed end', 'mobile end'] as const;
/** One point can be a fade; two are an end. */
const POINTS = 2;
/** One grade apart is what two ways of one link differ by; more is an end (common practice). */
const GRADES_APART = 2;

/**
 * At several points one end is heard and does not hear: a deaf receiver there, or a weak transmitter at the
 * other.
 */
export const deafEnd: AuditRule = {
  id: 'deaf-end',
  title: phrases.theLinkWorksOneWayOnly,
  find: ({ products }) =>
    products.flatMap((p) =>
      ENDS.flatMap((deaf) => {
        const at = [
          ...new Set(
            p.oneWay.filter((o) => o.deaf === deaf && o.gradesApart >= GRADES_APART).map((o) => o.checkpoint),
          ),
        ];
        return at.length < POINTS
          ? []
          : [
              {
                products: [p.id],
                what: phrases.atTheIsHeardAndDoes(p.name, at.join(', '), deaf),
                sizeDb: undefined,
                size: NOT_KNOWN,
                mend: phrases.walkItOnceWithTheEnds,
              },
            ];
      }),
    ),
};
