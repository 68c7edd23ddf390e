import { strongComponents } from '../../numeric/strongComponents.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { LikelihoodData } from './likelihood.ts';

/**
 * The additive model ln D = product + path + σZ, cut down to what the walks can tell.
 *
 * Existence. Take products and paths as nodes. A walk with a hold and a fail ties its product to its path from both
 * sides, a right-censored one from below only, a left-censored one from above only. A direction in which the
 * likelihood never falls is a potential that rises along no edge; it is constant exactly on the strongly connected
 * components of that graph. So a difference between two nodes is estimable if and only if they share a component,
 * and walks between components add nothing at the supremum (their probability goes to one).
 */
export interface RangeModel {
  readonly productLevels: readonly string[];
  readonly pathLevels: readonly string[];
  /** Rows of the input that inform the estimate. */
  readonly informative: readonly number[];
  readonly data: LikelihoodData;
  /** ln metres taken off before fitting; cell predictors have it added again. */
  readonly centre: number;
  /** Weights on the parameters for ln median of a cell, or for ln ratio of two levels; undefined: not estimable. */
  cell(product: string, path: string): number[] | undefined;
  productDifference(numerator: string, denominator: string): number[] | undefined;
  pathDifference(numerator: string, denominator: string): number[] | undefined;
}

const levelsOf = (values: readonly string[]): string[] => [...new Set(values)];

export function buildModel(walks: readonly WalkInterval[], withProducts = true): RangeModel {
  const productOf = (w: WalkInterval): string => (withProducts ? w.product : '');
  const productLevels = levelsOf(walks.map(productOf));
  const pathLevels = levelsOf(walks.map((w) => w.path));
  const productIndex = new Map(productLevels.map((level, i) => [level, i]));
  const pathIndex = new Map(pathLevels.map((level, i) => [level, productLevels.length + i]));
  const productNode = (level: string): number => known(productIndex, level, 'product');
  const pathNode = (level: string): number => known(pathIndex, level, 'path');

  const component = strongComponents(
    productLevels.length + pathLevels.length,
    tiesOf(walks, productOf, productNode, pathNode, productLevels.length + pathLevels.length),
  );
  const informative = walks.flatMap((w, i) =>
    component[productNode(productOf(w))] === component[pathNode(w.path)] ? [i] : [],
  );
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
  const rows = informative.map((i) => walks[i] as WalkInterval);
  const centre = mean(rows.map((w) => Math.log(w.heldM > 0 ? w.heldM : (w.failedM as number))));
  const cell = (product: string, path: string): number[] | undefined =>
    weights([
      [productNode(withProducts ? product : ''), 1],
      [pathNode(path), 1],
    ]);
  return {
    productLevels,
    pathLevels,
    informative,
    centre,
    cell,
    data: {
      low: Float64Array.from(rows, (w) => Math.log(w.heldM) - centre),
      high: Float64Array.from(rows, (w) =>
        w.failedM === undefined ? Infinity : Math.log(w.failedM) - centre,
      ),
      design: designOf(rows, columns, cell),
      columns,
    },
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

/** One design row a walk, worked out once a cell. */
function designOf(rows: readonly WalkInterval[], columns: number, cell: RangeModel['cell']): Float64Array {
  const design = new Float64Array(rows.length * columns);
  const known = new Map<string, Map<string, number[]>>();
  rows.forEach(({ product, path }, i) => {
    const ofProduct = known.get(product) ?? new Map<string, number[]>();
    const weights = ofProduct.get(path) ?? (cell(product, path) as number[]);
    known.set(product, ofProduct.set(path, weights));
    design.set(weights, i * columns);
  });
  return design;
}

function known(index: ReadonlyMap<string, number>, level: string, what: string): number {
  const node = index.get(level);
  if (node === undefined) throw new RangeError(`invalid ${what}: ${JSON.stringify(level)}`);
  return node;
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length;

/** The ties of all walks, each once: thousands of walks make only a few. */
function tiesOf(
  walks: readonly WalkInterval[],
  productOf: (w: WalkInterval) => string,
  productNode: (level: string) => number,
  pathNode: (level: string) => number,
  nodes: number,
): [number, number][] {
  const ties = new Set<number>();
  for (const w of walks) {
    const [p, q] = [productNode(productOf(w)), pathNode(w.path)];
    if (w.heldM > 0) ties.add(p * nodes + q);
    if (w.failedM !== undefined) ties.add(q * nodes + p);
  }
  return [...ties].map((tie) => [Math.floor(tie / nodes), tie % nodes]);
}

/** One column a node, but for the first path of each component, which is its zero; lone nodes have none (-1). */
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
