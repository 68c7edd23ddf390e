import type { Evaluation } from '../../numeric/evaluation.ts';
import { emptyTerm, walkTerm } from './walkTerm.ts';

/**
 * Interval data in the form the likelihood wants: ln distances, centred, with one design row a walk.
 * `design` is row-major, rows × columns.
 */
export interface LikelihoodData {
  readonly low: Float64Array;
  readonly high: Float64Array;
  readonly design: Float64Array;
  readonly columns: number;
}

/** Σ ln[Φ(τ·high − xδ) − Φ(τ·low − xδ)], with densities for exact rows; concave in the parameters. */
export function evaluate(data: LikelihoodData, parameters: Float64Array): Evaluation {
  const { low, high, design, columns } = data;
  const size = columns + 1;
  const tau = parameters[columns] as number;
  const gradient = new Float64Array(size);
  const hessian = new Float64Array(size * size);
  const term = emptyTerm();
  let value = 0;
  for (let i = 0, at = 0; i < low.length; i++, at += columns) {
    let eta = 0;
    for (let j = 0; j < columns; j++) eta += (design[at + j] as number) * (parameters[j] as number);
    walkTerm(low[i] as number, high[i] as number, eta, tau, term);
    if (term.value === -Infinity) return { value: -Infinity, gradient, hessian };
    value += term.value;
    gradient[columns] = (gradient[columns] as number) + term.gTau;
    hessian[size * size - 1] = (hessian[size * size - 1] as number) + term.hTauTau;
    for (let j = 0; j < columns; j++) {
      const x = design[at + j] as number;
      if (x === 0) continue;
      gradient[j] = (gradient[j] as number) + term.gEta * x;
      hessian[j * size + columns] = (hessian[j * size + columns] as number) + term.hEtaTau * x;
      for (let k = 0; k <= j; k++) {
        hessian[j * size + k] =
          (hessian[j * size + k] as number) + term.hEtaEta * x * (design[at + k] as number);
      }
    }
  }
  mirror(hessian, size);
  return { value, gradient, hessian };
}

/** The loops above fill δδ below the diagonal and δτ in the last column. */
function mirror(hessian: Float64Array, size: number): void {
  const last = size - 1;
  for (let j = 0; j < last; j++) {
    hessian[last * size + j] = hessian[j * size + last] as number;
    for (let k = 0; k < j; k++) hessian[k * size + j] = hessian[j * size + k] as number;
  }
}
