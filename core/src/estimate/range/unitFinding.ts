import type { WalkInterval } from '../../walk/walkInterval.ts';
import { cellFinding, type CellFinding } from './cellFinding.ts';
import { fitRanges, isFit } from './fit.ts';
import { standardDeviation } from '../../numeric/moments.ts';
import { dot } from './quantile.ts';
import { comparedOf, ratioInFit, withHolm, type RatioFinding } from './ratioFinding.ts';
import { samplesByProduct } from './sample.ts';
import * as phrases from './phrases.ts';

/** One unit of a product on one path: what its own walks say. */
export interface UnitFinding {
  readonly product: string;
  readonly unit: string;
  readonly cell: CellFinding;
}

/** How much units of one product differ, and walks of one unit: standard deviations of ln distance. */
export interface UnitSpread {
  readonly product: string;
  readonly path: string;
  readonly units: number;
  /** Of the units' medians; the walks' own spread is still in it. */
  readonly between: number;
  readonly within: number;
}

/**
 * Each unit of the products that have several by itself, and the units of a product against each other, with
 * Holm's correction over all such pairs.
 */
export function unitFindings(walks: readonly WalkInterval[]): {
  readonly units: UnitFinding[];
  readonly unitPairs: RatioFinding[];
  readonly unitSpreads: UnitSpread[];
} {
  const units = new Map<string, Set<string>>();
  const level = ({ product, unit = '' }: WalkInterval): string => JSON.stringify([product, unit]);
  for (const w of walks) units.set(w.product, (units.get(w.product) ?? new Set()).add(level(w)));
  const several = [...units].filter(([, of]) => of.size > 1);
  if (several.length === 0) return { units: [], unitPairs: [], unitSpreads: [] };
  const rows = walks.map((w) => ({ ...w, product: level(w) }));
  const fit = fitRanges(rows);
  const own = samplesByProduct(rows);
  const named = (key: string): string => (JSON.parse(key) as [string, string])[1];
  const label = (key: string): string => (JSON.parse(key) as [string, string]).join(phrases.unit);
  const how = { method: 'shared', basis: undefined, forTheseSetUps: false } as const;
  return {
    units: several.flatMap(([product, of]) =>
      [...of].flatMap((unit) =>
        fit.model.pathLevels.flatMap((path): UnitFinding[] =>
          rows.some((r) => r.product === unit && r.path === path)
            ? [{ product, unit: named(unit), cell: cellFinding(fit, rows, unit, path) }]
            : [],
        ),
      ),
    ),
    unitSpreads: several.flatMap(([product, of]) =>
      fit.model.pathLevels.flatMap((path): UnitSpread[] => {
        const medians = [...of].flatMap((unit) => {
          const weights = isFit(fit) && rows.some((r) => r.product === unit && r.path === path);
          const at = weights ? fit.model.cell(unit, path) : undefined;
          return at && isFit(fit) ? [dot(at, fit.beta)] : [];
        });
        return isFit(fit) && medians.length > 1
          ? [
              {
                ...{ product, path, units: medians.length },
                ...{ between: standardDeviation(medians), within: fit.sigma },
              },
            ]
          : [];
      }),
    ),
    unitPairs: withHolm(
      several.flatMap(([, of]) => {
        const list = [...of];
        return list.flatMap((a, i) =>
          list.slice(i + 1).map((b) => ({
            ...ratioInFit(fit, comparedOf([b, a], own), fit.model.productDifference(b, a), how),
            numerator: label(b),
            denominator: label(a),
          })),
        );
      }),
    ),
  };
}
