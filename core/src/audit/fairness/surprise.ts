import { mean, standardDeviation } from '../../numeric/moments.ts';
import { studentQuantile } from '../../numeric/student.ts';
import type { AuditFinding, AuditRule } from '../case/auditCase.ts';
import { logPlace } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/**
 * A walk surprises when it lies outside what the others let expect of one more, but for one time in a
 * thousand.
 */
const EXPECTED = 0.999;
/** Walks of one setting vary by a few per cent in any case, s.d. of ln. */
const LEAST_SD = 0.03;
/** Fewer others say nothing of their spread. */
const LEAST_OTHERS = 3;

/**
 * The last walk of a product surprises, and it was left at that. Prediction interval of one more of a
 * normal sample, in ln distance.
 */
export const surprise: AuditRule = {
  id: 'surprise',
  title: phrases.aSurpriseWasNotMeasuredAgain,
  find: ({ products }) =>
    products.flatMap((p): AuditFinding[] => {
      const places = p.walks.flatMap((w) => {
        const place = logPlace(w);
        return place === undefined ? [] : [{ walk: w, place }];
      });
      const last = places.at(-1);
      const others = places.slice(0, -1).map((x) => x.place);
      if (!last || others.length < LEAST_OTHERS) return [];
      const sd = Math.max(LEAST_SD, standardDeviation(others)) * Math.sqrt(1 + 1 / others.length);
      const off = last.place - mean(others);
      if (Math.abs(off) < studentQuantile(0.5 + EXPECTED / 2, others.length - 1) * sd) return [];
      const factor = Math.exp(off).toFixed(2);
      return [
        {
          products: [p.id],
          what: phrases.walkTimesAsFarAsThe(p.name, last.walk.label, factor),
          sizeDb: undefined,
          size: phrases.aFactorOf(factor),
          mend: phrases.walkItOnceMoreBeforeIt,
        },
      ];
    }),
};
