export const median = (values: readonly number[]): number =>
  medianOfOrdered([...values].sort((a, b) => a - b));

/** @param ordered values from the least to the largest @throws RangeError where there are none */
export function medianOfOrdered(ordered: readonly number[]): number {
  if (ordered.length === 0) throw new RangeError('invalid values: none');
  const mid = ordered.length >> 1;
  return ordered.length % 2 === 1
    ? (ordered[mid] as number)
    : ((ordered[mid - 1] as number) + (ordered[mid] as number)) / 2;
}
