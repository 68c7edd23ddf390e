import {
  deriveWalk,
  METHOD_UNCERTAINTY,
  nameWalk,
  type DerivedWalk,
  type DistanceMethod,
  type WalkFinding,
} from '@urvek/core';
import type { Product, Setup, WalkHeader, StoredWalk } from '@urvek/contract';

export type SetupPath = Setup['paths'][number];

/** A finding together with the header it came from. */
export interface Finding extends WalkFinding {
  readonly header: WalkHeader;
}

/** A walk with what was derived from its log; undefined: its log has no beginning yet. */
export interface DerivedEntry {
  readonly header: WalkHeader;
  readonly derived: DerivedWalk | undefined;
}

/** Works a walk out on the path of a set-up; undefined when its path is no longer there. */
export const deriveEntry = (setup: Setup, { header, log }: StoredWalk): DerivedEntry => {
  const path = setup.paths.find((p) => p.id === header.pathId);
  return { header, derived: path && deriveWalk(log, path) };
};

/**
 * Walks in order of their start, numbered within product and path; those of a product or path since removed
 * are left out.
 */
export function nameFindings(setup: Setup, entries: readonly DerivedEntry[]): Finding[] {
  const counts = new Map<string, number>();
  const products = new Map(setup.products.map((p) => [p.id, p]));
  const paths = new Map(setup.paths.map((p) => [p.id, p]));
  return [...entries]
    .sort((a, b) => a.header.startedMs - b.header.startedMs)
    .flatMap(({ header, derived }) => {
      const product = products.get(header.productId);
      const path = paths.get(header.pathId);
      if (!product || !path) return [];
      const key = `${product.id}/${path.id}`;
      const count = (counts.get(key) ?? 0) + 1;
      counts.set(key, count);
      if (!derived) return [];
      return [
        nameWalk(derived, { walkId: header.id, label: String(count), product: product.name, path, header }),
      ];
    });
}

/** The same from the logs themselves. */
export const findWalks = (setup: Setup, walks: readonly StoredWalk[]): Finding[] =>
  nameFindings(
    setup,
    walks.map((walk) => deriveEntry(setup, walk)),
  );

/** Walks that speak for a product as it is used: those with swapped ends answer another question. */
export const speaking = (findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => f.header.slot?.variant !== 'ends swapped');

export const productOf = (setup: Setup, { header }: Pick<Finding, 'header'>): Product | undefined =>
  setup.products.find((p) => p.id === header.productId);

/** Units that took part in walks of a product. */
export function unitsWalked(product: Product, findings: readonly Pick<Finding, 'header'>[]): number {
  const rigs = new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.header.rigId));
  return new Set(product.rigs.filter((r) => rigs.has(r.id)).map((r) => r.unitMobileId)).size;
}

/**
 * The method whose scale error is the greatest among the marks of some walks: it is common to them and does
 * not average out.
 */
export function scaleOfMarks(walks: readonly { readonly methods: readonly DistanceMethod[] }[]): {
  readonly method: DistanceMethod | undefined;
  readonly scale: number;
} {
  const methods = new Set(walks.flatMap((w) => w.methods));
  return [...methods].reduce<{ method: DistanceMethod | undefined; scale: number }>(
    (worst, method) =>
      METHOD_UNCERTAINTY[method].scale > worst.scale
        ? { method, scale: METHOD_UNCERTAINTY[method].scale }
        : worst,
    { method: undefined, scale: 0 },
  );
}
