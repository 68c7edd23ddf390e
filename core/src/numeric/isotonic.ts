/**
 * Weighted least squares under a non-decreasing order, by pooling adjacent violators (M. Ayer and others,
 * Ann. Math. Statist. 26 (1955)). Returns one fitted value for each of `values`; weights must be above 0.
 */
export function isotonicIncreasing(
  values: readonly number[] | Float64Array,
  weights: readonly number[] | Float64Array,
): Float64Array {
  if (values.length !== weights.length)
    throw new RangeError(`invalid weights: ${weights.length} for ${values.length} values`);
  const [level, weight, count]: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < values.length; i++) {
    let [v, w, n] = [values[i] as number, weights[i] as number, 1];
    if (!(w > 0)) throw new RangeError(`invalid weight: ${w}`);
    while (level.length > 0 && (level[level.length - 1] as number) > v) {
      const [v0, w0] = [level.pop() as number, weight.pop() as number];
      v = (v * w + v0 * w0) / (w + w0);
      w += w0;
      n += count.pop() as number;
    }
    level.push(v);
    weight.push(w);
    count.push(n);
  }
  const fitted = new Float64Array(values.length);
  let at = 0;
  level.forEach((v, k) => {
    fitted.fill(v, at, at + (count[k] as number));
    at += count[k] as number;
  });
  return fitted;
}

/** The same under a non-increasing order. */
export function isotonicDecreasing(values: readonly number[], weights: readonly number[]): number[] {
  return Array.from(
    isotonicIncreasing(
      values.map((v) => -v),
      weights,
    ),
    (v) => -v,
  );
}
