/** The same objects, or lists of the same objects. */
const same = (a: unknown, b: unknown): boolean =>
  Object.is(a, b) ||
  (Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((x, i) => Object.is(x, b[i])));

/**
 * A pure function of objects that are never changed: its last answers are kept by their identity, that of what a list
 * holds included, for as long as the first of them lives. The same question gets the same object, so that what rests
 * on it can be kept likewise.
 */
export function byIdentity<K extends object, A extends readonly unknown[], V>(
  make: (first: K, ...rest: A) => V,
  most = 4,
): (first: K, ...rest: A) => V {
  const known = new WeakMap<K, { readonly rest: A; readonly value: V }[]>();
  return (first, ...rest) => {
    const answers = known.get(first) ?? [];
    known.set(first, answers);
    const found = answers.find((answer) => rest.every((a, i) => same(a, answer.rest[i])));
    if (found) return found.value;
    const value = make(first, ...rest);
    answers.push({ rest, value });
    if (answers.length > most) answers.shift();
    return value;
  };
}
