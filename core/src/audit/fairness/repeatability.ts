import type { AuditFinding, AuditRule } from '../case/auditCase.ts';
import { logPlace, pairsOf } from '../case/pairs.ts';
import * as phrases from './phrases.ts';

/**
 * The same setting walked again differs by as much as the products do: then the day may be what was measured.
 */
export const repeatability: AuditRule = {
  id: 'repeatability',
  title: phrases.theRepeatDiffersAsMuchAs,
  find: (of) =>
    of.products.flatMap((p): AuditFinding[] => {
      const again = p.walks.find((w) => w.baseline);
      const first = p.walks.find((w) => !w.baseline && w.rigName === again?.rigName);
      const [a, b] = [first && logPlace(first), again && logPlace(again)];
      if (a === undefined || b === undefined) return [];
      const apart = Math.abs(a - b);
      return pairsOf(of)
        .filter((pair) => pair.includes(p))
        .flatMap((pair): AuditFinding[] => {
          const ratio = of.ratios.find((r) =>
            [r.numerator, r.denominator].every((name) => pair.some((q) => q.name === name)),
          )?.estimate?.ratio;
          return ratio === undefined || apart < Math.abs(Math.log(ratio))
            ? []
            : [
                {
                  products: pair.map((q) => q.id),
                  what: phrases.walkedAgainAtTheEndWent(
                    p.name,
                    Math.exp(b - a).toFixed(2),
                    pair[0].name,
                    pair[1].name,
                    Math.max(ratio, 1 / ratio).toFixed(2),
                  ),
                  sizeDb: (10 * of.exponent * apart) / Math.LN10,
                  size: phrases.aFactorOf(Math.exp(apart).toFixed(2)),
                  mend: phrases.walkMoreRoundsOfBothIn,
                },
              ];
        });
    }),
};
