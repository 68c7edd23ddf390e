import type { WalkInterval } from '../../walk/walkInterval.ts';
import { cellFinding, type CellFinding } from './cellFinding.ts';
import { fitRanges } from './fit.ts';
import { ratioInFit, withHolm, type RatioFinding } from './ratioFinding.ts';

/** One unit of a product on one path: what its own walks say. */
export interface UnitFinding {
  readonly product: string;
  readonly unit: string;
  readonly cell: CellFinding;
}

/**
 * Each unit of the products that have several by itself, and the units of a product against each other, with
 * Holm's correction over all such pairs.
 */
export function unitFindings(walks: readonly WalkInterval[]): {
  readonly units: UnitFinding[];
  readonly unitPairs: RatioFinding[];
} {
  const units = new Map<string, Set<string>>();
  const level = ({ product, unit = '' }: WalkInterval): string => JSON.stringify([product, unit]);
  for (const w of walks) units.set(w.product, (units.get(w.product) ?? new Set()).add(level(w)));
  const several = [...units].filter(([, of]) => of.size > 1);
  if (several.length === 0) return { units: [], unitPairs: [] };
  const rows = walks.map((w) => ({ ...w, product: level(w) }));
  const fit = fitRanges(rows);
  const named = (key: string): string => (JSON.parse(key) as [string, string])[1];
  const label = (key: string): string => (JSON.parse(key) as [string, string]).join(', unit ');
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
    unitPairs: withHolm(
      several.flatMap(([, of]) => {
        const list = [...of];
        return list.flatMap((a, i) =>
          list.slice(i + 1).map((b) => ({
            ...ratioInFit(
              fit,
              { walks: rows, numerator: b, denominator: a },
              fit.model.productDifference(b, a),
              how,
            ),
            numerator: label(b),
            denominator: label(a),
          })),
        );
      }),
    ),
  };
}
