import * as phrases from './phrases.ts';

/**
 * Williams' design (E. J. Williams, Aust. J. Sci. Res. A 2 (1949), from memory): every product stands in
 * every place of the order equally often, and follows every other equally often. Rows are sequences of
 * product numbers; n rows for an even number of products, 2n for an odd one.
 */
export function williamsSquare(products: number): number[][] {
  if (!Number.isInteger(products) || products < 1) throw new RangeError(phrases.invalidProducts(products));
  // First row 0, n−1, 1, n−2, 2 …: its differences are all different, so that each neighbour occurs once a
  // square.
  const first = Array.from({ length: products }, (_, i) => (i % 2 === 0 ? i / 2 : products - (i + 1) / 2));
  const square = first.map((_, shift) => first.map((p) => (p + shift) % products));
  return products % 2 === 0 || products === 1
    ? square
    : [...square, ...square.map((row) => row.toReversed())];
}

export interface Slot<T> {
  /** From 1. */
  readonly round: number;
  readonly place: number;
  readonly item: T;
}

/**
 * The walks of a plan in order: `rounds` rounds, each product once a round, rows of Williams' square in turn.
 */
export function balancedOrder<T>(items: readonly T[], rounds: number): Slot<T>[] {
  if (!Number.isInteger(rounds) || rounds < 0) throw new RangeError(phrases.invalidRounds(rounds));
  if (items.length === 0) return [];
  const square = williamsSquare(items.length);
  return Array.from({ length: rounds }, (_, r) =>
    (square[r % square.length] as number[]).map((p, place) => ({
      round: r + 1,
      place: place + 1,
      item: items[p] as T,
    })),
  ).flat();
}

/** Rounds after which the order is balanced; more must be a multiple of it. */
export const balancedAfterRounds = (products: number): number => williamsSquare(products).length;
