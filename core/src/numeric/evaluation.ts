/** Value, gradient and Hessian (row-major, full) in the parameters (δ₁ … δₚ, τ), δ = β/σ, τ = 1/σ. */
export interface Evaluation {
  value: number;
  gradient: Float64Array;
  hessian: Float64Array;
}
