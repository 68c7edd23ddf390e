import { median } from '../../numeric/median.ts';
import type { AuditCase, AuditedProduct, AuditedWalk, AuditFinding } from './auditCase.ts';

export type ProductPair = readonly [AuditedProduct, AuditedProduct];

/** Every two products of a case. */
export const pairsOf = ({ products }: AuditCase): ProductPair[] =>
  products.flatMap((a, i) => products.slice(i + 1).map((b): ProductPair => [a, b]));

/** What is stated of a product, each value once; empty where nothing is. */
export const stated = <T>(list: readonly T[], value: (item: T) => string | undefined): string[] =>
  [...new Set(list.flatMap((item) => value(item)?.trim() || []))].sort();

const list = (values: readonly string[]): string => values.join(' and ');

/** Pairs of which both state something, and not the same. */
export function statedApart(
  of: AuditCase,
  values: (product: AuditedProduct) => readonly string[],
): { pair: ProductPair; texts: readonly [string, string] }[] {
  return pairsOf(of).flatMap((pair) => {
    const [a, b] = [list(values(pair[0])), list(values(pair[1]))] as const;
    return a !== '' && b !== '' && a !== b ? [{ pair, texts: [a, b] as const }] : [];
  });
}

/** A finding for each pair that states different things. */
export const apart = (
  of: AuditCase,
  values: (product: AuditedProduct) => readonly string[],
  what: (a: string, b: string, pair: ProductPair) => string,
  rest: Pick<AuditFinding, 'size' | 'mend'> & { sizeDb?: number },
): AuditFinding[] =>
  statedApart(of, values).map(({ pair, texts }) => ({
    products: idsOf(pair),
    what: what(`${pair[0].name}: ${texts[0]}`, `${pair[1].name}: ${texts[1]}`, pair),
    sizeDb: undefined,
    ...rest,
  }));

export const idsOf = (pair: readonly AuditedProduct[]): string[] => pair.map((p) => p.id);

/** Median of a figure over a product's rigs; undefined where none states it. */
export function middle<T>(items: readonly T[], figure: (item: T) => number | undefined): number | undefined {
  const known = items.flatMap((i) => figure(i) ?? []);
  return known.length > 0 ? median(known) : undefined;
}

/** Place of a walk's event in ln metres: the middle of its interval, else its one finite end. */
export function logPlace({ interval }: AuditedWalk): number | undefined {
  if (!interval || (interval.heldM === 0 && interval.failedM === undefined)) return undefined;
  const { heldM, failedM } = interval;
  if (failedM === undefined) return Math.log(heldM);
  return heldM === 0 ? Math.log(failedM) : Math.log(heldM * failedM) / 2;
}

/** Mean width of the brackets of some walks, ln metres; undefined where none has two ends. */
export function stepOf(walks: readonly AuditedWalk[]): number | undefined {
  const widths = walks.flatMap(({ interval: i }) =>
    i && i.failedM !== undefined && i.heldM > 0 && i.failedM > i.heldM ? [Math.log(i.failedM / i.heldM)] : [],
  );
  return widths.length > 0 ? widths.reduce((a, b) => a + b, 0) / widths.length : undefined;
}
