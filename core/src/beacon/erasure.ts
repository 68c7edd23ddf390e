// Arithmetic in GF(256) over x^8 + x^4 + x^3 + x^2 + 1 (0x11d), of which 2 is a generator.
const EXP = new Uint8Array(510);
const LOG = new Uint8Array(256);
for (let i = 0, x = 1; i < 255; i++) {
  EXP[i] = EXP[i + 255] = x;
  LOG[x] = i;
  x <<= 1;
  if (x & 256) x ^= 0x11d;
}

const times = (a: number, b: number): number =>
  a === 0 || b === 0 ? 0 : (EXP[(LOG[a] as number) + (LOG[b] as number)] as number);
const over = (a: number, b: number): number =>
  a === 0 ? 0 : (EXP[(LOG[a] as number) - (LOG[b] as number) + 255] as number);

/** Value at `x` of the polynomial of least degree through the places, by Lagrange; all in GF(256). */
function through(places: readonly { readonly at: number; readonly value: number }[], x: number): number {
  let sum = 0;
  for (const { at, value } of places) {
    let term = value;
    for (const other of places) if (other.at !== at) term = times(term, over(x ^ other.at, at ^ other.at));
    sum ^= term;
  }
  return sum;
}

/**
 * A systematic Reed-Solomon code by evaluation (Reed and Solomon, J. SIAM 8, 1960): the data are a polynomial's values
 * at 0, 1, 2 …, the check bytes its values after them. Any so many bytes as there are data give all of them back.
 * @throws RangeError beyond 256 bytes
 */
export function withChecks(data: Uint8Array, checks: number): Uint8Array {
  if (data.length + checks > 256) throw new RangeError(`invalid length: ${data.length + checks} bytes`);
  const places = Array.from(data, (value, at) => ({ at, value }));
  return Uint8Array.from([
    ...data,
    ...Array.from({ length: checks }, (_, i) => through(places, data.length + i)),
  ]);
}

/** The data from the bytes at `known`: exactly as many as there are data. @throws RangeError for another count */
export function fromKnown(code: Uint8Array, known: readonly number[], dataBytes: number): Uint8Array {
  if (known.length !== dataBytes) throw new RangeError(`invalid known: ${known.length} of ${dataBytes}`);
  const places = known.map((at) => ({ at, value: code[at] as number }));
  return Uint8Array.from({ length: dataBytes }, (_, x) => through(places, x));
}
