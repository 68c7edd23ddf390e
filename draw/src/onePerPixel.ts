/**
 * Of items that would be drawn on one pixel column the first, but for those that must be seen: an hour's
 * log has tens of thousands, and no picture is that wide.
 */
export function onePerPixel<T>(
  items: readonly T[],
  columnOf: (item: T) => string | number,
  always: (item: T) => boolean = () => false,
): T[] {
  const taken = new Set<string | number>();
  return items.filter((item) => {
    const column = columnOf(item);
    if (taken.has(column) && !always(item)) return false;
    taken.add(column);
    return true;
  });
}
