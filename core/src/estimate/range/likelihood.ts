import type { Evaluation } from '../../numeric/evaluation.ts';
import { addTerm, emptySums, takeProduct, type TermSums } from './walkTerm.ts';

/**
 * Interval data in the form the likelihood wants: ln distances, centred, sorted into groups of rows that
 * share a design row (a cell: one product on one path) and the error of their places, equal rows of a group
 * once, with their count. Rows of group g are `starts[g]` to `starts[g + 1]`; its design row is
 * `design[g · columns …]`, its places are known to `errors[g]` metres (0: exactly), in units of the centre
 * that was taken off.
 */
export interface LikelihoodData {
  readonly low: Float64Array;
  readonly high: Float64Array;
  readonly count: Float64Array;
  readonly starts: Int32Array;
  readonly design: Float64Array;
  readonly errors: Float64Array;
  /** Locations below these are as far off as these, where an error is set against them. */
  readonly floors: Float64Array;
  readonly columns: number;
}

/**
 * @param low, high ln ends of each row, −∞ and +∞ where open
 * @param group index of each row's design row
 * @param designs design rows, `columns` figures each
 * @param errors standard uncertainty of the places of each group, over exp(centre)
 */
export function likelihoodData(
  low: ArrayLike<number>,
  high: ArrayLike<number>,
  group: ArrayLike<number>,
  designs: readonly (readonly number[])[],
  errors: readonly number[] = designs.map(() => 0),
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
    errors: Float64Array.from(errors),
    floors: floorsOf(low, high, group, designs.length),
    columns,
  };
}

/** ln of how far below what was observed an error is still set against the location itself: a third of it. */
const FLOOR = Math.log(3);

/**
 * Without a floor a location far below all that was observed would have an error without bound, under which
 * whatever held to any distance is as likely as not.
 */
function floorsOf(
  low: ArrayLike<number>,
  high: ArrayLike<number>,
  group: ArrayLike<number>,
  groups: number,
): Float64Array {
  const floors = new Float64Array(groups).fill(Infinity);
  for (let i = 0; i < low.length; i++) {
    const g = group[i] as number;
    const place = low[i] === -Infinity ? (high[i] as number) : (low[i] as number);
    floors[g] = Math.min(floors[g] as number, place - FLOOR);
  }
  return floors;
}

// Infinite ends are equal, and their difference is not a number.
const ascending = (x: ArrayLike<number>, i: number, j: number): number => {
  const [a, b] = [x[i] as number, x[j] as number];
  return a < b ? -1 : a > b ? 1 : 0;
};

/**
 * Σ ln[Φ(τ·high − xδ) − Φ(τ·low − xδ)], with densities for exact rows; concave in the parameters (δ₁ … δₚ,
 * τ), δ = β/σ, τ = 1/σ. Gradient and Hessian (row-major, full) are exact. Within a group only (η, τ)
 * matter, η = xδ: its rows are summed in those two, and spread over the parameters once. Where places have
 * an error u, the spread of the group is s = √(σ² + (u/e^μ)²) in place of σ (see withError); the sum is then
 * concave only where u is small against the spread.
 */
export function evaluate(data: LikelihoodData, parameters: Float64Array): Evaluation {
  const { low, high, count, starts, design, errors, floors, columns } = data;
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
    const error = errors[g] as number;
    const floor = floors[g] as number;
    const shrink = error === 0 ? 1 : shrinkOf(error, Math.max(eta / tau, floor), tau);
    for (let i = starts[g] as number, end = starts[g + 1] as number; i < end; i++)
      addTerm(low[i] as number, high[i] as number, count[i] as number, eta * shrink, tau * shrink, sums);
    if (error !== 0) withError(eta, tau, shrink, eta / tau > floor, sums);
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

/** σ/s at a location: what the error of places leaves of the sharpness of a group. */
function shrinkOf(error: number, mu: number, tau: number): number {
  return 1 / Math.sqrt(1 + (error * Math.exp(-mu) * tau) ** 2);
}

/**
 * Derivatives by (η·r, τ·r) become those by (η, τ), r = σ/s = (1 + q)^−½, q = (u·e^−μ·τ)², μ = η/τ: with
 * w = q/(1 + q), −ln r has the slopes −w/τ by η and w(1 + μ)/τ by τ. Where the location is below its floor,
 * the error does not move with it.
 */
function withError(eta: number, tau: number, r: number, moves: boolean, sums: TermSums): void {
  const mu = moves ? eta / tau : 0;
  const along = moves ? 1 : 0;
  const w = 1 - r * r;
  const bend = 2 * w * (1 - w);
  const tt = tau * tau;
  const lEta = (-w / tau) * along;
  const lTau = (w * (1 + mu)) / tau;
  const lEtaEta = (bend / tt) * along;
  const lEtaTau = ((w - bend * (1 + mu)) / tt) * along;
  const lTauTau = (bend * (1 + mu) ** 2 - w * (1 + 2 * mu)) / tt;
  // First and second derivatives of a = η·r and b = τ·r.
  const aEta = r * (1 - eta * lEta);
  const aTau = -r * eta * lTau;
  const bEta = -r * tau * lEta;
  const bTau = r * (1 - tau * lTau);
  const aEtaEta = r * (-2 * lEta - eta * lEtaEta + eta * lEta * lEta);
  const aEtaTau = r * (-lTau - eta * lEtaTau + eta * lEta * lTau);
  const aTauTau = r * eta * (lTau * lTau - lTauTau);
  const bEtaEta = r * tau * (lEta * lEta - lEtaEta);
  const bEtaTau = r * (-lEta - tau * lEtaTau + tau * lEta * lTau);
  const bTauTau = r * (-2 * lTau - tau * lTauTau + tau * lTau * lTau);
  const { gEta: gA, gTau: gB, hEtaEta: hAA, hEtaTau: hAB, hTauTau: hBB } = sums;
  sums.gEta = gA * aEta + gB * bEta;
  sums.gTau = gA * aTau + gB * bTau;
  sums.hEtaEta = hAA * aEta * aEta + 2 * hAB * aEta * bEta + hBB * bEta * bEta + gA * aEtaEta + gB * bEtaEta;
  sums.hEtaTau =
    hAA * aEta * aTau + hAB * (aEta * bTau + aTau * bEta) + hBB * bEta * bTau + gA * aEtaTau + gB * bEtaTau;
  sums.hTauTau = hAA * aTau * aTau + 2 * hAB * aTau * bTau + hBB * bTau * bTau + gA * aTauTau + gB * bTauTau;
}

/** The loops above fill δδ below the diagonal and δτ in the last column. */
function mirror(hessian: Float64Array, size: number): void {
  const last = size - 1;
  for (let j = 0; j < last; j++) {
    hessian[last * size + j] = hessian[j * size + last] as number;
    for (let k = 0; k < j; k++) hessian[k * size + j] = hessian[j * size + k] as number;
  }
}
