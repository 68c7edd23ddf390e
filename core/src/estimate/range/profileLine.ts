import type { Evaluation } from '../../numeric/evaluation.ts';
import { solvePositive } from '../../numeric/linear.ts';
import { evaluate, type LikelihoodData } from './likelihood.ts';

/**
 * A linear target θ = weights·β + z·σ: z 0 for a median or a ratio, the normal quantile of p for another
 * quantile.
 */
export interface Target {
  readonly weights: readonly number[];
  readonly z: number;
}

/**
 * The likelihood where the target is θ, in the parameters that are left free, with how it changes as θ does.
 */
export interface LineEvaluation extends Evaluation {
  /** ∂ℓ/∂θ with the free parameters held. */
  readonly slope: number;
  /** ∂²ℓ/∂θ². */
  readonly curvature: number;
  /** ∂gradient/∂θ. */
  readonly cross: Float64Array;
}

/** What one Newton step knows of the ridge, the best point for each θ. */
export interface RidgeStep {
  /** Step of the free parameters to the ridge at this θ, and along it for a unit of θ. */
  readonly toRidge: Float64Array;
  readonly alongRidge: Float64Array;
  /** What the step to the ridge gains. */
  readonly gain: number;
  /** Slope and curvature of the likelihood along the ridge. */
  readonly slope: number;
  readonly curvature: number;
}

export interface Line {
  /** Sharpness (1/σ) from which on the errors of places are as wide as the spread; none where there are none. */
  readonly blurredFrom: number;
  thetaAt(parameters: Float64Array): number;
  freeOf(parameters: Float64Array): Float64Array;
  expand(theta: number, free: Float64Array): Float64Array;
  /**
   * Free parameters with the locations of a point and the spread that brings the target to θ; undefined
   * where none does.
   */
  holding(theta: number, parameters: Float64Array): Float64Array | undefined;
  evaluate(theta: number, free: Float64Array): LineEvaluation;
  /** Undefined where the likelihood is flat. */
  solve(seen: LineEvaluation): RidgeStep | undefined;
}

/**
 * The plane on which the target is θ: there weights·δ = θτ − z, which is linear in (δ, τ), so that
 * concavity is kept. One parameter, that of the greatest weight, is written in the others.
 */
export function onLine(data: LikelihoodData, { weights, z }: Target): Line {
  const size = weights.length + 1;
  const last = size - 1;
  const pivot = weights.reduce(
    (best, w, j) => (Math.abs(w) > Math.abs(weights[best] as number) ? j : best),
    0,
  );
  const pivotWeight = weights[pivot] as number;
  const free = Int32Array.from(Array.from({ length: size }, (_, i) => i).filter((i) => i !== pivot));
  const n = free.length;
  // ∂(pivot's parameter)/∂(free parameter), but for τ, whose is θ/pivotWeight.
  const slopes = Float64Array.from(free, (i) => (i === last ? 0 : -(weights[i] as number) / pivotWeight));
  const expand = (theta: number, at: Float64Array): Float64Array => {
    const full = new Float64Array(size);
    slopes[n - 1] = theta / pivotWeight;
    let value = -z / pivotWeight;
    for (let k = 0; k < n; k++) {
      full[free[k] as number] = at[k] as number;
      value += (slopes[k] as number) * (at[k] as number);
    }
    full[pivot] = value;
    return full;
  };
  return {
    blurredFrom: 1 / data.errors.reduce((most, u) => Math.max(most, u), 0),
    thetaAt: (at) =>
      (weights.reduce((sum, w, j) => sum + w * (at[j] as number), 0) + z) / (at[last] as number),
    freeOf: (at) => Float64Array.from(free, (i) => at[i] as number),
    expand,
    holding: (theta, at) => {
      const tau = at[last] as number;
      const location = weights.reduce((sum, w, j) => sum + w * (at[j] as number), 0) / tau;
      const wanted = z / (theta - location);
      return wanted > 0 && wanted < Infinity
        ? Float64Array.from(free, (i) => ((at[i] as number) / tau) * wanted)
        : undefined;
    },
    evaluate: (theta, at) => {
      const { value, gradient: g, hessian: h } = evaluate(data, expand(theta, at));
      const tau = at[n - 1] as number;
      const gradient = new Float64Array(n);
      const hessian = new Float64Array(n * n);
      const cross = new Float64Array(n);
      const gPivot = g[pivot] as number;
      const hPivot = h[pivot * size + pivot] as number;
      const byTheta = tau / pivotWeight;
      for (let a = 0; a < n; a++) {
        const i = free[a] as number;
        const sa = slopes[a] as number;
        const hip = h[i * size + pivot] as number;
        gradient[a] = (g[i] as number) + sa * gPivot;
        cross[a] = byTheta * (hip + sa * hPivot);
        for (let b = 0; b <= a; b++) {
          const j = free[b] as number;
          const sb = slopes[b] as number;
          const value =
            (h[i * size + j] as number) + sa * (h[j * size + pivot] as number) + sb * hip + sa * sb * hPivot;
          hessian[a * n + b] = value;
          hessian[b * n + a] = value;
        }
      }
      // θ and τ meet in one product.
      cross[n - 1] = (cross[n - 1] as number) + gPivot / pivotWeight;
      return {
        value,
        gradient,
        hessian,
        cross,
        slope: gPivot * byTheta,
        curvature: hPivot * byTheta * byTheta,
      };
    },
    solve: ({ gradient, hessian, cross, slope, curvature }) => {
      const information = hessian.map((v) => -v);
      const toRidge = solvePositive(information, gradient);
      const alongRidge = toRidge && solvePositive(information, cross);
      if (!toRidge || !alongRidge) return undefined;
      let [gain, along, bend] = [0, slope, curvature];
      for (let a = 0; a < n; a++) {
        gain += ((toRidge[a] as number) * (gradient[a] as number)) / 2;
        along += (toRidge[a] as number) * (cross[a] as number);
        bend += (alongRidge[a] as number) * (cross[a] as number);
      }
      return { toRidge, alongRidge, gain, slope: along, curvature: bend };
    },
  };
}
