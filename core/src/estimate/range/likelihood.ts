import type { Evaluation } from '../../numeric/evaluation.ts';
import { addTerm, emptySums, takeProduct, type TermSums } from './walkTerm.ts';

/**
 * Interval data in the form the likelihood wants: ln distances, centred, sorted into cells, which share a design
 * row (one product on one path), and within them by the error of their places; equal rows once, with their count.
 * Rows of cell c are `starts[c]` to `starts[c + 1]`; its design row is `design[c · columns …]`; the places of row
 * i are known to `errors[i]` metres (0: exactly), in units of the centre that was taken off.
 */
export interface LikelihoodData {
  readonly low: Float64Array;
  readonly high: Float64Array;
  readonly count: Float64Array;
  readonly errors: Float64Array;
  readonly starts: Int32Array;
  readonly design: Float64Array;
  /** Of each cell: locations below this are as far off as this, where an error is set against them. */
  readonly floors: Float64Array;
  readonly columns: number;
}

/** Rows as they come. */
export interface LikelihoodRows {
  /** ln ends of each row, −∞ and +∞ where open. */
  readonly low: ArrayLike<number>;
  readonly high: ArrayLike<number>;
  /** Walks of each row; one where it is not given. */
  readonly count?: ArrayLike<number>;
  /** Standard uncertainty of the places of each row, over exp(centre); none where it is not given. */
  readonly errors?: ArrayLike<number>;
  /** Index of each row's cell. */
  readonly cell: ArrayLike<number>;
}

/**
 * @param designs design rows of the cells, as many figures each as there are columns
 * @param floors of each cell where its errors stop to follow the location, centred ln
 */
export function likelihoodData(
  { low, high, count, errors, cell }: LikelihoodRows,
  designs: readonly (readonly number[])[],
  floors: readonly number[] = designs.map(() => -Infinity),
): LikelihoodData {
  const errorOf = (i: number): number => (errors ? (errors[i] as number) : 0);
  const order = Int32Array.from({ length: low.length }, (_, i) => i).sort(
    (i, j) =>
      (cell[i] as number) - (cell[j] as number) ||
      errorOf(i) - errorOf(j) ||
      ascending(low, i, j) ||
      ascending(high, i, j),
  );
  const data = {
    low: new Float64Array(low.length),
    high: new Float64Array(low.length),
    count: new Float64Array(low.length),
    errors: new Float64Array(low.length),
    starts: new Int32Array(designs.length + 1),
  };
  let [rows, last] = [0, -1];
  for (const i of order) {
    const c = cell[i] as number;
    const times = count ? (count[i] as number) : 1;
    const before = rows - 1;
    const same =
      c === last &&
      low[i] === data.low[before] &&
      high[i] === data.high[before] &&
      errorOf(i) === data.errors[before];
    if (same) data.count[before] = (data.count[before] as number) + times;
    else {
      data.low[rows] = low[i] as number;
      data.high[rows] = high[i] as number;
      data.errors[rows] = errorOf(i);
      data.count[rows++] = times;
    }
    for (; last < c; last++) data.starts[last + 1] = rows - 1;
  }
  data.starts.fill(rows, last + 1);
  return {
    low: data.low.slice(0, rows),
    high: data.high.slice(0, rows),
    count: data.count.slice(0, rows),
    errors: data.errors.slice(0, rows),
    starts: data.starts,
    design: Float64Array.from(designs.flat()),
    floors: Float64Array.from(floors),
    columns: designs[0]?.length ?? 0,
  };
}

// Infinite ends are equal, and their difference is not a number.
const ascending = (x: ArrayLike<number>, i: number, j: number): number => {
  const [a, b] = [x[i] as number, x[j] as number];
  return a < b ? -1 : a > b ? 1 : 0;
};

/**
 * Σ ln[Φ(τ·high − xδ) − Φ(τ·low − xδ)], with densities for exact rows; concave in the parameters
 * (δ₁ … δₚ, τ), δ = β/σ, τ = 1/σ. Gradient and Hessian (row-major, full) are exact. Within a cell
 * only (η, τ) matter, η = xδ: its rows are summed in those two, and spread over the parameters once. Where
 * places have an error u, the spread is s = √(σ² + (u/e^μ)²) in place of σ (see withError); the sum is then
 * concave only where u is small against the spread.
 */
export function evaluate(data: LikelihoodData, parameters: Float64Array): Evaluation {
  const { low, high, count, errors, starts, design, floors, columns } = data;
  const size = columns + 1;
  const tau = parameters[columns] as number;
  const gradient = new Float64Array(size);
  const hessian = new Float64Array(size * size);
  const sums = emptySums();
  let value = 0;
  let [gTau, hTauTau] = [0, 0];
  for (let c = 0, at = 0; c + 1 < starts.length; c++, at += columns) {
    let eta = 0;
    for (let j = 0; j < columns; j++) eta += (design[at + j] as number) * (parameters[j] as number);
    const floor = floors[c] as number;
    const end = starts[c + 1] as number;
    let [gEta, hEtaEta, hEtaTau] = [0, 0, 0];
    for (let i = starts[c] as number; i < end;) {
      const error = errors[i] as number;
      sums.value = sums.gEta = sums.gTau = sums.hEtaEta = sums.hEtaTau = sums.hTauTau = 0;
      const shrink = error === 0 ? 1 : shrinkOf(error, Math.max(eta / tau, floor), tau);
      do addTerm(low[i] as number, high[i] as number, count[i] as number, eta * shrink, tau * shrink, sums);
      while (++i < end && errors[i] === error);
      if (error !== 0) withError(eta, tau, shrink, eta / tau > floor, sums);
      if (sums.value === -Infinity) return { value: -Infinity, gradient, hessian };
      value += sums.value;
      gEta += sums.gEta;
      gTau += sums.gTau;
      hEtaEta += sums.hEtaEta;
      hEtaTau += sums.hEtaTau;
      hTauTau += sums.hTauTau;
    }
    for (let j = 0; j < columns; j++) {
      const x = design[at + j] as number;
      if (x === 0) continue;
      gradient[j] = (gradient[j] as number) + gEta * x;
      hessian[j * size + columns] = (hessian[j * size + columns] as number) + hEtaTau * x;
      for (let k = 0; k <= j; k++)
        hessian[j * size + k] = (hessian[j * size + k] as number) + hEtaEta * x * (design[at + k] as number);
    }
  }
  gradient[columns] = gTau;
  hessian[size * size - 1] = hTauTau;
  mirror(hessian, size);
  return { value: value + takeProduct(sums), gradient, hessian };
}

/** σ/s at a location: what the error of places leaves of the sharpness. */
function shrinkOf(error: number, mu: number, tau: number): number {
  return 1 / Math.sqrt(1 + (error * Math.exp(-mu) * tau) ** 2);
}

/**
 * Derivatives by (η·r, τ·r) become those by (η, τ), r = σ/s = (1 + q)^−½, q = (u·e^−μ·τ)², μ =
 * η/τ: with w = q/(1 + q), −ln r has the slopes −w/τ by η and w(1 + μ)/τ by τ. Where the location is
 * below its floor, the error does not move with it.
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
