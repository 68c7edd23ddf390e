import {
  type WalkFinding,
  findWalk,
  type WalkRecord,
  METHOD_UNCERTAINTY,
  type DistanceMethod,
} from '@urvek/core';
import type { Product, Setup, WalkHeader, StoredWalk } from '@urvek/contract';

export type SetupPath = Setup['paths'][number];

/** A finding together with the header it came from. */
export interface Finding extends WalkFinding {
  readonly header: WalkHeader;
}

/** Walks in order of their start, numbered within product and path; those of a product or path since removed are left out. */
export function findWalks(setup: Setup, walks: readonly StoredWalk[]): Finding[] {
  const counts = new Map<string, number>();
  return [...walks]
    .sort((a, b) => a.header.startedMs - b.header.startedMs)
    .flatMap(({ header, log }) => {
      const product = setup.products.find((p) => p.id === header.productId);
      const path = setup.paths.find((p) => p.id === header.pathId);
      if (!product || !path) return [];
      const key = `${product.id}/${path.id}`;
      const count = (counts.get(key) ?? 0) + 1;
      counts.set(key, count);
      const record: WalkRecord = {
        walkId: header.id,
        label: String(count),
        product: product.name,
        path,
        log,
      };
      const finding = findWalk(record);
      return finding ? [{ ...finding, header }] : [];
    });
}

/** Walks that speak for a product as it is used: those with swapped ends answer another question. */
export const speaking = (findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => f.header.slot?.variant !== 'ends swapped');

export const productOf = (setup: Setup, { header }: Finding): Product | undefined =>
  setup.products.find((p) => p.id === header.productId);

/** Units that took part in walks of a product. */
export function unitsWalked(product: Product, findings: readonly Finding[]): number {
  const rigs = new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.header.rigId));
  return new Set(product.rigs.filter((r) => rigs.has(r.id)).map((r) => r.unitMobileId)).size;
}

/** The method whose scale error is the greatest among the marks of some walks: it is common to them and does not average out. */
export function scaleOfMarks(findings: readonly Finding[]): {
  readonly method: DistanceMethod | undefined;
  readonly scale: number;
} {
  const methods = new Set(findings.flatMap((f) => f.trace.methods));
  return [...methods].reduce<{ method: DistanceMethod | undefined; scale: number }>(
    (worst, method) =>
      METHOD_UNCERTAINTY[method].scale > worst.scale
        ? { method, scale: METHOD_UNCERTAINTY[method].scale }
        : worst,
    { method: undefined, scale: 0 },
  );
}
