import { byIdentity, nothingTellsApart } from '@urvek/core';
import type { Product, Rig, Setup } from '@urvek/contract';

/**
 * What is compared: the rigs of one product that nothing stated tells apart. Where all its rigs are alike
 * that is the product; where they differ, each stands for itself, with the product's name before it. The
 * unit is no difference: units are nested.
 */
export interface Subject {
  /** The product's id where it is its only subject. */
  readonly id: string;
  readonly name: string;
  readonly product: Product;
  readonly rigs: readonly Rig[];
}

/**
 * Rigs go together that the same others are told apart from: one that leaves open in what two others differ
 * could be either of them, and stands for itself.
 */
function alike(rigs: readonly Rig[]): Rig[][] {
  const groups = new Map<string, Rig[]>();
  for (const rig of rigs) {
    const key = rigs.map((r) => Number(nothingTellsApart(r, rig))).join('');
    groups.set(key, [...(groups.get(key) ?? []), rig]);
  }
  return [...groups.values()];
}

const subject = byIdentity(
  (product: Product, id: string, name: string, rigs: readonly Rig[]): Subject => ({
    id,
    name,
    product,
    rigs,
  }),
  16,
);

/** The subjects of a set-up, of the rigs that were walked; a product that was not walked is one subject. */
export function subjectsOf({ products }: Pick<Setup, 'products'>, walked: ReadonlySet<string>): Subject[] {
  return products.flatMap((product): Subject[] => {
    const rigs = product.rigs.filter((r) => walked.has(rigKey(product.id, r.id)));
    const groups = alike(rigs);
    if (groups.length <= 1) return [subject(product, product.id, product.name, groups[0] ?? product.rigs)];
    const names = groups.map((g) => [...new Set(g.map((r) => r.name))].join(' and '));
    return groups.map((group, i) => {
      const same = names.slice(0, i).filter((n) => n === names[i]).length;
      const name = `${product.name}, ${names[i]}${same > 0 ? ` (${same + 1})` : ''}`;
      return subject(product, `${product.id}.${group[0]?.id}`, name, group);
    });
  });
}

/** Ids of rigs are the product's own. */
export const rigKey = (productId: string, rigId: string): string => `${productId}/${rigId}`;

/** The subject of each walked rig. */
export function subjectByRig(subjects: readonly Subject[]): Map<string, Subject> {
  return new Map(subjects.flatMap((s) => s.rigs.map((r) => [rigKey(s.product.id, r.id), s] as const)));
}
