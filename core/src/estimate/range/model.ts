import { strongComponents } from '../../numeric/strongComponents.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { cellsOf, type Cell } from './cells.ts';
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
  /** Rows of the input that inform the estimate. */
  readonly informative: readonly number[];
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

export function buildModel(walks: readonly WalkInterval[], withProducts = true): RangeModel {
  const cells = cellsOf(walks, withProducts);
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
  const informative = tied.flatMap((c) => c.walks).sort((a, b) => a - b);
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
  const centre = mean(
    informative.map((i) => {
      const { heldM, failedM } = walks[i] as WalkInterval;
      return Math.log(heldM > 0 ? heldM : (failedM as number));
    }),
  );
  const cell = (product: string, path: string): number[] | undefined =>
    weights([
      [productNode(withProducts ? product : ''), 1],
      [pathNode(path), 1],
    ]);
  return {
    productLevels,
    pathLevels,
    informative,
    cells: tied,
    centre,
    cell,
    data: dataOf(walks, tied, centre, (c) => cell(c.product, c.path) as number[]),
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

/** The error of a walk's places, the greater of its two, m: one spread serves both ends of a bracket. */
const errorOf = ({ heldUM = 0, failedUM = 0 }: WalkInterval): number => {
  const u = Math.max(heldUM, failedUM);
  return u > 0 ? Math.exp(ONE_ERROR * Math.round(Math.log(u) / ONE_ERROR)) : 0;
};

/** One group a cell and error of places. */
function dataOf(
  walks: readonly WalkInterval[],
  cells: readonly Cell[],
  centre: number,
  designOf: (cell: Cell) => number[],
): LikelihoodData {
  const [low, high, group]: [number[], number[], number[]] = [[], [], []];
  const designs: number[][] = [];
  const errors: number[] = [];
  for (const cell of cells) {
    const design = designOf(cell);
    const groups = new Map<number, number>();
    for (const i of cell.walks) {
      const walk = walks[i] as WalkInterval;
      const error = errorOf(walk);
      let g = groups.get(error);
      if (g === undefined) {
        groups.set(error, (g = designs.length));
        designs.push(design);
        errors.push(error / Math.exp(centre));
      }
      low.push(Math.log(walk.heldM) - centre);
      high.push(walk.failedM === undefined ? Infinity : Math.log(walk.failedM) - centre);
      group.push(g);
    }
  }
  return likelihoodData(low, high, group, designs, errors);
}

function known(index: ReadonlyMap<string, number>, level: string, what: string): number {
  const node = index.get(level);
  if (node === undefined) throw new RangeError(`invalid ${what}: ${JSON.stringify(level)}`);
  return node;
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length;

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
