import type { WalkInterval } from '../../walk/walkInterval.ts';

/** By which levels the locations of a model are told apart: what counts as a walk's product, and as its path. */
export interface Levels {
  product(walk: WalkInterval): string;
  path(walk: WalkInterval): string;
}

export const AS_STATED: Levels = { product: (w) => w.product, path: (w) => w.path };
/** All walks have one location. */
export const ONE_LOCATION: Levels = { product: () => '', path: () => '' };
/** One location a product, wherever it was walked; or a path, whatever was walked. */
export const PRODUCTS_ONLY: Levels = { ...AS_STATED, path: () => '' };
export const PATHS_ONLY: Levels = { ...AS_STATED, product: () => '' };
/** Each product on each path has a location of its own. */
export const EACH_CELL: Levels = { product: (w) => JSON.stringify([w.product, w.path]), path: () => '' };
