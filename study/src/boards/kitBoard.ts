import { kindOf, rigDifferences, type RigDifference, type RigSettings } from '@urvek/core';
import type { Product, ProductClaim, Rig, Setup } from '@urvek/contract';
import { claimOf, claimText, distanceClaims } from '../judge/claims.ts';
import * as phrases from './phrases.ts';

/** A product in a line: what is said of it, how many of it there are, and what nobody stated. */
export interface KitLine {
  readonly product: Product;
  readonly kind: string;
  /** Claims of distance stand on the tape. */
  readonly distances: readonly { readonly atM: number; readonly text: string }[];
  /** The others in words. */
  readonly otherClaims: readonly string[];
  readonly missing: readonly string[];
}

/** Every product of the kit; one whose claim cannot be read yet has it in words. */
export const kitLines = ({ products }: Pick<Setup, 'products'>): KitLine[] =>
  products.map((product) => {
    const placed = distanceClaims(product).flatMap((claim) => {
      const atM = metresOf(claim);
      return atM === undefined ? [] : [{ atM, text: claimText(claim) }];
    });
    const others = product.claims.filter((c) => c.form !== 'distance' || metresOf(c) === undefined);
    return {
      product,
      kind: kindOf(product.kindId).name,
      distances: placed,
      otherClaims: others.filter((c) => c.entered !== '').map(claimText),
      missing: missingOf(product),
    };
  });

function metresOf(claim: ProductClaim): number | undefined {
  try {
    return claimOf(claim).distanceM;
  } catch {
    // It is being typed.
    return undefined;
  }
}

function missingOf(product: Product): string[] {
  const each = (field: keyof RigSettings): boolean =>
    product.rigs.every((r) => r[field] !== undefined && r[field] !== '');
  return [
    ...(product.claims.length === 0 ? [phrases.aClaim] : []),
    ...(product.bandMHz === undefined ? ['band'] : []),
    ...(product.powerMw === undefined && !each('powerMw') ? ['power'] : []),
    ...(product.sensitivityDbm === undefined ? ['sensitivity'] : []),
    ...(each('heightFixedM') && each('heightMobileM') ? [] : ['heights']),
    ...(each('channel') ? [] : ['channel']),
  ];
}

/** A column of the rig sheet: a rig against the first one of its kind. */
export interface SheetColumn {
  readonly product: Product;
  readonly productIndex: number;
  readonly rig: Rig;
  readonly rigIndex: number;
  /** Undefined for the one that the others of its kind are set against. */
  readonly against: Rig | undefined;
  readonly differences: ReadonlyMap<keyof RigSettings, RigDifference>;
}

/** Rigs side by side, kind by kind; `kindId`: of one kind only. */
export function rigSheet({ products }: Pick<Setup, 'products'>, kindId?: string): SheetColumn[] {
  const first = new Map<string, Rig>();
  return products.flatMap((product, productIndex) =>
    kindId !== undefined && product.kindId !== kindId
      ? []
      : product.rigs.map((rig, rigIndex): SheetColumn => {
          const against = first.get(product.kindId);
          if (!against) first.set(product.kindId, rig);
          return {
            ...{ product, productIndex, rig, rigIndex, against },
            differences: new Map(
              (against ? rigDifferences(against, rig) : [])
                // What one of them leaves open is unknown, and no difference.
                .filter((d) => stated(against?.[d.field]) && stated(rig[d.field]))
                .map((d) => [d.field, d]),
            ),
          };
        }),
  );
}

const stated = (value: unknown): boolean => value !== undefined && value !== '';
