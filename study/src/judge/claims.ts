import { parseClaim, type Claim } from '@urvek/core';
import type { ProductClaim, Product, Setup } from '@urvek/contract';
import type { SetupPath } from '../results/findings.ts';
import * as phrases from './phrases.ts';

/** A claim of distance, in metres. Claims of other forms stand on no tape. */
export const claimOf = (claim: ProductClaim): Claim => ({
  entered: claim.entered,
  distanceM: parseClaim('distance', claim.entered).value,
  upTo: claim.upTo,
  condition: claim.condition,
});

export const distanceClaims = (product: Product): ProductClaim[] =>
  product.claims.filter((c) => c.form === 'distance');

export const claimText = (claim: ProductClaim): string =>
  `${claim.upTo ? phrases.upTo : ''}${claim.entered}, ` +
  `${claim.condition === 'unstated' ? phrases.conditionUnstated : claim.condition}`;

/** Whether a path can speak to a claim. */
export const speaksTo = (path: SetupPath, claim: Pick<ProductClaim, 'condition'>): boolean =>
  claim.condition === 'unstated' || claim.condition === path.condition;

/**
 * The claims that a path can speak to, of one kind of product where one is asked for, where they stand on
 * its tape.
 */
export const claimFlags = (
  { products }: Setup,
  path: SetupPath,
  kindId?: string,
): { atM: number; label: string }[] =>
  products
    .filter((p) => kindId === undefined || p.kindId === kindId)
    .flatMap((p) =>
      distanceClaims(p)
        .filter((c) => speaksTo(path, c))
        .map((c) => ({ atM: claimOf(c).distanceM, label: `${p.name}: ${claimText(c)}` })),
    );
