import type { WalkInterval } from '../../walk/walkInterval.ts';

/** Walks of one product on one path, by their index, with what they bound together. */
export interface Cell {
  readonly product: string;
  readonly path: string;
  readonly walks: number[];
  /** Some walk held somewhere; some failed somewhere. */
  held: boolean;
  failed: boolean;
  /** ln metres: the greatest hold and the least fail, −∞ and +∞ where there is none. */
  low: number;
  high: number;
}

/** The cells of some walks, in order of appearance: thousands of walks make only a few. */
export function cellsOf(walks: readonly WalkInterval[], withProducts = true): Cell[] {
  const known = new Map<string, Map<string, Cell>>();
  const cells: Cell[] = [];
  for (let i = 0; i < walks.length; i++) {
    const { path, heldM, failedM = Infinity, product: stated } = walks[i] as WalkInterval;
    const product = withProducts ? stated : '';
    let ofProduct = known.get(product);
    if (!ofProduct) known.set(product, (ofProduct = new Map()));
    let cell = ofProduct.get(path);
    if (!cell) {
      cell = { product, path, walks: [], held: false, failed: false, low: 0, high: Infinity };
      ofProduct.set(path, cell);
      cells.push(cell);
    }
    cell.walks.push(i);
    cell.low = Math.max(cell.low, heldM);
    cell.high = Math.min(cell.high, failedM);
    cell.held ||= heldM > 0;
    cell.failed ||= failedM < Infinity;
  }
  for (const c of cells) [c.low, c.high] = [Math.log(c.low), Math.log(c.high)];
  return cells;
}
