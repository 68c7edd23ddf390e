import { strongComponents } from '../../numeric/strongComponents.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { cellsOf, type Cell } from './cells.ts';
import { AS_STATED, type Levels } from './levels.ts';
import { likelihoodData, type LikelihoodData } from './likelihood.ts';

/**
 * The additive model ln D = product + path + σZ, cut down to what the walks can tell.
 *
 * Existence. Take products and paths as nodes. A walk with a hold and a fail ties its product to its path
 * from both sides, a right-censored one from below only, a left-censored one from above only. A direction
 * in which the likelihood never falls is a potential that rises along no edge; it is constant exactly on
 * the strongly connected components of that graph. So a difference between two nodes is estimable if and
 * only if they share a component, and walks between components add nothing at the supremum (their
 * probability goes to one).
 */
export interface RangeModel {
  readonly productLevels: readonly string[];
  readonly pathLevels: readonly string[];
  /** Walks that inform the estimate. */
  readonly informative: number;
  /** The cells that they lie in. */
  readonly cells: readonly Cell[];
  readonly data: LikelihoodData;
  /** ln metres taken off before fitting; cell predictors have it added again. */
  readonly centre: number;
  /**
   * Weights on the parameters for ln median of a cell, or for ln ratio of two levels; undefined: not
   * estimable.
   */
  cell(product: string, path: string): number[] | undefined;
  productDifference(numerator: string, denominator: string): number[] | undefined;
  pathDifference(numerator: string, denominator: string): number[] | undefined;
}

const levelsOf = (values: readonly string[]): string[] => [...new Set(values)];

export function buildModel(walks: readonly WalkInterval[], levels: Levels = AS_STATED): RangeModel {
  const cells = cellsOf(walks, levels);
  const productLevels = levelsOf(cells.map((c) => c.product));
  const pathLevels = levelsOf(cells.map((c) => c.path));
  const productIndex = new Map(productLevels.map((level, i) => [level, i]));
  const pathIndex = new Map(pathLevels.map((level, i) => [level, productLevels.length + i]));
  const productNode = (level: string): number => known(productIndex, level, 'product');
  const pathNode = (level: string): number => known(pathIndex, level, 'path');

  const component = strongComponents(
    productLevels.length + pathLevels.length,
    cells.flatMap((c): [number, number][] => {
      const [p, q] = [productNode(c.product), pathNode(c.path)];
      return [
        ...(c.held ? [[p, q] as [number, number]] : []),
        ...(c.failed ? [[q, p] as [number, number]] : []),
      ];
    }),
  );
  const tied = cells.filter((c) => component[productNode(c.product)] === component[pathNode(c.path)]);
  const column = columnsOf(component, productLevels.length, pathLevels.length);
  const columns = Math.max(-1, ...column) + 1;

  const weights = (terms: readonly (readonly [node: number, weight: number])[]): number[] | undefined => {
    if (new Set(terms.map(([node]) => component[node])).size > 1) return undefined;
    const row = new Array<number>(columns).fill(0);
    for (const [node, weight] of terms) {
      const j = column[node] as number;
      if (j >= 0) row[j] = (row[j] as number) + weight;
    }
    return row;
  };
  const { informative, centre } = centreOf(tied);
  const cell = (product: string, path: string): number[] | undefined =>
    weights([
      [productNode(product), 1],
      [pathNode(path), 1],
    ]);
  return {
    productLevels,
    pathLevels,
    informative,
    cells: tied,
    centre,
    cell,
    data: dataOf(tied, centre, (c) => cell(c.product, c.path) as number[]),
    productDifference: (a, b) =>
      weights([
        [productNode(a), 1],
        [productNode(b), -1],
      ]),
    pathDifference: (a, b) =>
      weights([
        [pathNode(a), 1],
        [pathNode(b), -1],
      ]),
  };
}

/** Errors of places that differ by less than this share are one, so that few groups are made of many walks. */
const ONE_ERROR = 0.001;

const rounded = (u: number): number =>
  u > 0 ? Math.exp(ONE_ERROR * Math.round(Math.log(u) / ONE_ERROR)) : 0;

/** A walk's place by which the scale of a set is told, m. */
const placeOf = ({ heldM, failedM }: WalkInterval): number => (heldM > 0 ? heldM : (failedM as number));

/** How many walks there are, and the mean of ln distance that is taken off. */
function centreOf(cells: readonly Cell[]): { informative: number; centre: number } {
  let [informative, sum] = [0, 0];
  for (const { rows } of cells)
    for (const { walk, count } of rows) {
      informative += count;
      sum += count * Math.log(placeOf(walk));
    }
  return { informative, centre: informative === 0 ? 0 : sum / informative };
}

/**
 * ln of how far below what was observed in a cell an error is still set against the location itself: a third of
 * it. Without a floor a location far below all that was observed would have an error without bound, under which
 * whatever held to any distance is as likely as not. It is the cell's and not each error's: a bend near the
 * estimate would stop Newton's method.
 */
const FLOOR = Math.log(3);

function dataOf(cells: readonly Cell[], centre: number, designOf: (cell: Cell) => number[]): LikelihoodData {
  const rows = cells.flatMap((cell, c) => cell.rows.map((row) => ({ ...row, c })));
  const nearest = (cell: Cell): number =>
    cell.rows.reduce((m, { walk }) => Math.min(m, placeOf(walk)), Infinity);
  return likelihoodData(
    {
      low: rows.map(({ walk }) => Math.log(walk.heldM) - centre),
      high: rows.map(({ walk: { failedM = Infinity } }) => Math.log(failedM) - centre),
      count: rows.map((r) => r.count),
      errors: rows.map((r) => rounded(r.uM) / Math.exp(centre)),
      cell: rows.map((r) => r.c),
    },
    cells.map(designOf),
    cells.map((cell) => Math.log(nearest(cell)) - centre - FLOOR),
  );
}

function known(index: ReadonlyMap<string, number>, level: string, what: string): number {
  const node = index.get(level);
  if (node === undefined) throw new RangeError(`invalid ${what}: ${JSON.stringify(level)}`);
  return node;
}

/**
 * One column a node, but for the first path of each component, which is its zero; lone nodes have none (-1).
 */
function columnsOf(component: readonly number[], products: number, paths: number): number[] {
  const size = new Map<number, number>();
  for (const c of component) size.set(c, (size.get(c) ?? 0) + 1);
  const zeroed = new Set<number>();
  const column = new Array<number>(products + paths).fill(-1);
  let next = 0;
  component.forEach((c, node) => {
    if (size.get(c) === 1) return;
    if (node >= products && !zeroed.has(c)) zeroed.add(c);
    else column[node] = next++;
  });
  return column;
}
