export const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** Of a sample: n − 1. Values are centred first. */
export function standardDeviation(values: readonly number[]): number {
  const middle = mean(values);
  return Math.sqrt(values.reduce((sum, v) => sum + (v - middle) ** 2, 0) / (values.length - 1));
}
