import type { AuditFinding, AuditRule } from '../case/auditCase.ts';
import { logPlace, pairsOf } from '../case/pairs.ts';

/**
 * The same setting walked again differs by as much as the products do: then the day may be what was measured.
 */
export const repeatability: AuditRule = {
  id: 'repeatability',
  title: 'The repeat differs as much as the products',
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
                  what: `${p.name} walked again at the end went ${Math.exp(b - a).toFixed(2)} times as far; ${pair[0].name} and ${pair[1].name} differ by a factor of ${Math.max(ratio, 1 / ratio).toFixed(2)}`,
                  sizeDb: (10 * of.exponent * apart) / Math.LN10,
                  size: `a factor of ${Math.exp(apart).toFixed(2)}`,
                  mend: 'Walk more rounds of both in turn.',
                },
              ];
        });
    }),
};
