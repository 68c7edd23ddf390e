import type { WalkInterval } from '../../walk/walkInterval.ts';
import { AS_STATED, type Levels } from './levels.ts';

/** Walks of one bracket and one error of places: thousands of walks have only a few. */
export interface Row {
  readonly walk: WalkInterval;
  /** The greater of the errors of its two places, m: one spread serves both ends of a bracket. */
  readonly uM: number;
  count: number;
}

/** Walks of one product on one path, equal ones once, with what they bound together. */
export interface Cell {
  readonly product: string;
  readonly path: string;
  readonly rows: Row[];
  /** Some walk held somewhere; some failed somewhere. */
  held: boolean;
  failed: boolean;
  /** ln metres: the greatest hold and the least fail, −∞ and +∞ where there is none. */
  low: number;
  high: number;
}

/** A cell, and its rows by hold, fail and error. */
interface Opened {
  readonly cell: Cell;
  readonly rows: Map<number, Map<number, Map<number, Row>>>;
}

/** The cells of some walks, in order of appearance. */
export function cellsOf(walks: readonly WalkInterval[], levels: Levels = AS_STATED): Cell[] {
  const known = new Map<string, Map<string, Opened>>();
  const cells: Cell[] = [];
  for (const walk of walks) {
    const { heldM, failedM = Infinity, heldUM = 0, failedUM = 0 } = walk;
    const [product, path] = [levels.product(walk), levels.path(walk)];
    const ofProduct = inMap(known, product, () => new Map<string, Opened>());
    const { cell, rows } = inMap(ofProduct, path, () => {
      const made: Cell = { product, path, rows: [], held: false, failed: false, low: 0, high: Infinity };
      cells.push(made);
      return { cell: made, rows: new Map() };
    });
    const uM = Math.max(heldUM, failedUM);
    const brackets = inMap(rows, heldM, () => new Map<number, Map<number, Row>>());
    const row = inMap(
      inMap(brackets, failedM, () => new Map<number, Row>()),
      uM,
      () => {
        const made: Row = { walk, uM, count: 0 };
        cell.rows.push(made);
        return made;
      },
    );
    row.count++;
    cell.low = Math.max(cell.low, heldM);
    cell.high = Math.min(cell.high, failedM);
    cell.held ||= heldM > 0;
    cell.failed ||= failedM < Infinity;
  }
  for (const c of cells) [c.low, c.high] = [Math.log(c.low), Math.log(c.high)];
  return cells;
}

function inMap<K, V>(map: Map<K, V>, key: K, make: () => V): V {
  let value = map.get(key);
  if (value === undefined) map.set(key, (value = make()));
  return value;
}
