import type { Evaluation } from '../../numeric/evaluation.ts';
import { addTerm, emptySums, takeProduct } from './walkTerm.ts';

/**
 * Interval data in the form the likelihood wants: ln distances, centred, sorted into groups of rows that
 * share a design row (a cell: one product on one path), equal rows of a group once, with their count. Rows
 * of group g are `starts[g]` to `starts[g + 1]`; its design row is `design[g · columns …]`.
 */
export interface LikelihoodData {
  readonly low: Float64Array;
  readonly high: Float64Array;
  readonly count: Float64Array;
  readonly starts: Int32Array;
  readonly design: Float64Array;
  readonly columns: number;
}

/**
 * @param low, high ln ends of each row, −∞ and +∞ where open
 * @param group index of each row's design row
 * @param designs design rows, `columns` figures each
 */
export function likelihoodData(
  low: ArrayLike<number>,
  high: ArrayLike<number>,
  group: ArrayLike<number>,
  designs: readonly (readonly number[])[],
): LikelihoodData {
  const columns = designs[0]?.length ?? 0;
  const order = Int32Array.from({ length: low.length }, (_, i) => i).sort(
    (i, j) => (group[i] as number) - (group[j] as number) || ascending(low, i, j) || ascending(high, i, j),
  );
  const data = {
    low: new Float64Array(low.length),
    high: new Float64Array(low.length),
    count: new Float64Array(low.length),
    starts: new Int32Array(designs.length + 1),
  };
  let [rows, last] = [0, -1];
  for (const i of order) {
    const g = group[i] as number;
    const same = g === last && low[i] === data.low[rows - 1] && high[i] === data.high[rows - 1];
    if (same) data.count[rows - 1] = (data.count[rows - 1] as number) + 1;
    else {
      data.low[rows] = low[i] as number;
      data.high[rows] = high[i] as number;
      data.count[rows++] = 1;
    }
    for (; last < g; last++) data.starts[last + 1] = same ? rows : rows - 1;
  }
  data.starts.fill(rows, last + 1);
  return {
    low: data.low.slice(0, rows),
    high: data.high.slice(0, rows),
    count: data.count.slice(0, rows),
    starts: data.starts,
    design: Float64Array.from(designs.flat()),
    columns,
  };
}

// Infinite ends are equal, and their difference is not a number.
const ascending = (x: ArrayLike<number>, i: number, j: number): number => {
  const [a, b] = [x[i] as number, x[j] as number];
  return a < b ? -1 : a > b ? 1 : 0;
};

/**
 * Σ ln[Φ(τ·high − xδ) − Φ(τ·low − xδ)], with densities for exact rows; concave in the parameters (δ₁ … δₚ,
 * τ), δ = β/σ, τ = 1/σ. Gradient and Hessian (row-major, full) are exact. Within a group only (η, τ)
 * matter, η = xδ: its rows are summed in those two, and spread over the parameters once.
 */
export function evaluate(data: LikelihoodData, parameters: Float64Array): Evaluation {
  const { low, high, count, starts, design, columns } = data;
  const size = columns + 1;
  const tau = parameters[columns] as number;
  const gradient = new Float64Array(size);
  const hessian = new Float64Array(size * size);
  const sums = emptySums();
  let value = 0;
  let [gTau, hTauTau] = [0, 0];
  for (let g = 0, at = 0; g + 1 < starts.length; g++, at += columns) {
    let eta = 0;
    for (let j = 0; j < columns; j++) eta += (design[at + j] as number) * (parameters[j] as number);
    sums.value = sums.gEta = sums.gTau = sums.hEtaEta = sums.hEtaTau = sums.hTauTau = 0;
    for (let i = starts[g] as number, end = starts[g + 1] as number; i < end; i++)
      addTerm(low[i] as number, high[i] as number, count[i] as number, eta, tau, sums);
    if (sums.value === -Infinity) return { value: -Infinity, gradient, hessian };
    value += sums.value;
    gTau += sums.gTau;
    hTauTau += sums.hTauTau;
    for (let j = 0; j < columns; j++) {
      const x = design[at + j] as number;
      if (x === 0) continue;
      gradient[j] = (gradient[j] as number) + sums.gEta * x;
      hessian[j * size + columns] = (hessian[j * size + columns] as number) + sums.hEtaTau * x;
      for (let k = 0; k <= j; k++)
        hessian[j * size + k] =
          (hessian[j * size + k] as number) + sums.hEtaEta * x * (design[at + k] as number);
    }
  }
  gradient[columns] = gTau;
  hessian[size * size - 1] = hTauTau;
  mirror(hessian, size);
  return { value: value + takeProduct(sums), gradient, hessian };
}

/** The loops above fill δδ below the diagonal and δτ in the last column. */
function mirror(hessian: Float64Array, size: number): void {
  const last = size - 1;
  for (let j = 0; j < last; j++) {
    hessian[last * size + j] = hessian[j * size + last] as number;
    for (let k = 0; k < j; k++) hessian[k * size + j] = hessian[j * size + k] as number;
  }
}
