/**
 * A pure function that remembers its last answers by what it was asked, the longest unused one forgotten
 * first. The key must hold all that the answer depends on.
 */
export function memoised<A, V>(
  keyOf: (asked: A) => string,
  make: (asked: A) => V,
  most: number,
): (asked: A) => V {
  const known = new Map<string, V>();
  return (asked) => {
    const key = keyOf(asked);
    const value = known.has(key) ? (known.get(key) as V) : make(asked);
    known.delete(key);
    known.set(key, value);
    if (known.size > most) known.delete(known.keys().next().value as string);
    return value;
  };
}
