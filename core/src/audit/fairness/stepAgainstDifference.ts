import type { AuditFinding, AuditRule } from '../case/auditCase.ts';
import { pairsOf, stepOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

const percent = (ratio: number): string => `${(100 * (ratio - 1)).toFixed(0)} %`;

/**
 * Marks farther apart than a difference that is said to be there: it was not seen but interpolated. A claim
 * smaller than the step cannot be settled either.
 */
export const stepAgainstDifference: AuditRule = {
  id: 'step',
  title: phrases.stepsWiderThanTheDifference,
  find: (of) =>
    pairsOf(of).flatMap((pair): AuditFinding[] => {
      const step = stepOf(pair.flatMap((p) => p.walks));
      if (step === undefined) return [];
      const width = percent(Math.exp(step));
      const products = pair.map((p) => p.id);
      const decibel = (ratio: number): Pick<AuditFinding, 'sizeDb' | 'size'> => ({
        sizeDb: (10 * of.exponent * step) / Math.LN10,
        size: phrases.bracketsOfADifferenceOf(width, percent(ratio)),
      });
      const mend = (ratio: number): string => phrases.setMarksNoWiderThanApart(percent(Math.sqrt(ratio)));
      const found = of.ratios.find((r) =>
        [r.numerator, r.denominator].every((name) => pair.some((p) => p.name === name)),
      );
      const toldApart = (found?.interval95?.low ?? 0) > 1 || (found?.interval95?.high ?? Infinity) < 1;
      const ratio = toldApart ? found?.estimate?.ratio : undefined;
      const apart = ratio === undefined ? 1 : Math.max(ratio, 1 / ratio);
      const claims = of.ratioClaims
        .filter((c) => products.includes(c.product) && products.includes(c.against))
        .filter((c) => Math.abs(Math.log(c.ratio)) < step);
      return [
        ...(ratio !== undefined && Math.log(apart) < step
          ? [
              {
                products,
                what: phrases.andDifferByLessThanThe(pair[0].name, pair[1].name),
                ...decibel(apart),
                mend: mend(apart),
              },
            ]
          : []),
        ...claims.map((c) => {
          const claimed = Math.max(c.ratio, 1 / c.ratio);
          return {
            products,
            what: phrases.theClaimIsSmallerThanThe(c.entered),
            ...decibel(claimed),
            mend: mend(claimed),
          };
        }),
      ];
    }),
};
