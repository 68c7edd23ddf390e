import { Matrix } from 'ml-matrix';

/**
 * Solves A·x = b for symmetric positive definite A (row-major, its lower half read) by Cholesky's method;
 * undefined when A is not. On flat arrays, since Newton's method calls it thousands of times on matrices of
 * a few rows.
 */
export function solvePositive(a: Float64Array, b: Float64Array): Float64Array | undefined {
  const n = b.length;
  const l = a.slice();
  const x = b.slice();
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = l[i * n + j] as number;
      for (let k = 0; k < j; k++) sum -= (l[i * n + k] as number) * (l[j * n + k] as number);
      if (i > j) l[i * n + j] = sum / (l[j * n + j] as number);
      else if (sum > 0) l[j * n + j] = Math.sqrt(sum);
      else return undefined;
    }
  }
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i] = (x[i] as number) - (l[i * n + k] as number) * (x[k] as number);
    x[i] = (x[i] as number) / (l[i * n + i] as number);
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i] = (x[i] as number) - (l[k * n + i] as number) * (x[k] as number);
    x[i] = (x[i] as number) / (l[i * n + i] as number);
  }
  return x.every(Number.isFinite) ? x : undefined;
}

/**
 * The same for a matrix that may be singular to rounding: the smallest multiple of its trace that makes it
 * solvable is added to its diagonal. A flat direction then gets a very large answer, not none.
 */
export function solveNearlyPositive(a: Float64Array, b: Float64Array): Float64Array | undefined {
  const n = b.length;
  let trace = 0;
  for (let i = 0; i < n; i++) trace += a[i * n + i] as number;
  for (let ridge = 0; ridge < 1e6; ridge = ridge === 0 ? 1e-14 : ridge * 100) {
    const damped = a.slice();
    for (let i = 0; i < n; i++) damped[i * n + i] = (damped[i * n + i] as number) + ridge * (trace + 1e-300);
    const x = solvePositive(damped, b);
    if (x) return x;
  }
  return undefined;
}

/**
 * A direction along which b leads upwards, whatever the symmetric A is: A's solution where it is positive definite,
 * and that of a positive definite neighbour elsewhere, whose pivots are the sizes of A's own (P. E. Gill, W. Murray
 * and M. H. Wright, Practical Optimization, 1981, §4.4.2.2: LDLᵀ with d = max(|d|, θ²/β², δ)). Where a
 * likelihood bends the wrong way the step is then as long as its bend says, not as its slope happens to be.
 */
export function solveUphill(a: Float64Array, b: Float64Array): Float64Array {
  const exact = solvePositive(a, b);
  if (exact) return exact;
  const n = b.length;
  let [diagonal, off] = [0, 0];
  for (let i = 0; i < n; i++) {
    diagonal = Math.max(diagonal, Math.abs(a[i * n + i] as number));
    for (let j = 0; j < i; j++) off = Math.max(off, Math.abs(a[i * n + j] as number));
  }
  const least = Math.max(1e-14 * (diagonal + off), Number.MIN_VALUE);
  const beta2 = Math.max(diagonal, off / Math.sqrt(Math.max(1, n * n - 1)), least);
  // Below the diagonal of c, and afterwards of l, what is left of A's columns.
  const c = a.slice();
  const d = new Float64Array(n);
  for (let j = 0; j < n; j++) {
    let theta = 0;
    for (let i = j; i < n; i++) {
      let left = c[i * n + j] as number;
      for (let k = 0; k < j; k++)
        left -= (c[i * n + k] as number) * (d[k] as number) * (c[j * n + k] as number);
      c[i * n + j] = left;
      if (i > j) theta = Math.max(theta, Math.abs(left));
    }
    d[j] = Math.max(Math.abs(c[j * n + j] as number), (theta * theta) / beta2, least);
    for (let i = j + 1; i < n; i++) c[i * n + j] = (c[i * n + j] as number) / (d[j] as number);
  }
  const x = b.slice();
  for (let i = 0; i < n; i++)
    for (let k = 0; k < i; k++) x[i] = (x[i] as number) - (c[i * n + k] as number) * (x[k] as number);
  for (let i = n - 1; i >= 0; i--) {
    x[i] = (x[i] as number) / (d[i] as number);
    for (let k = i + 1; k < n; k++) x[i] = (x[i] as number) - (c[k * n + i] as number) * (x[k] as number);
  }
  return x;
}

/** Inverse of a symmetric information matrix, flat directions included (see solveNearlyPositive). */
export function invertInformation(a: Float64Array, size: number): number[][] {
  return Array.from({ length: size }, (_, i) => {
    const column = solveNearlyPositive(
      a,
      Float64Array.from({ length: size }, (__, j) => (i === j ? 1 : 0)),
    );
    if (!column) throw new RangeError(`invalid information matrix: ${Array.from(a).join(', ')}`);
    return Array.from(column);
  });
}

/** C·M·Cᵀ for rows C: the covariance of linear combinations. */
export function sandwich(c: readonly (readonly number[])[], m: readonly (readonly number[])[]): number[][] {
  if (c.length === 0) return [];
  const left = new Matrix(c.map((row) => [...row]));
  return left
    .mmul(new Matrix(m.map((row) => [...row])))
    .mmul(left.transpose())
    .to2DArray();
}
