/** A stream of random numbers. Randomness is always passed in, so that every result can be had again. */
export interface Random {
  /** Uniform on [0, 1). */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
}

/** FNV-1a over the text of the labels: spreads seeds that differ in one digit. */
function hash(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/**
 * A stream named by its labels: the same labels give the same numbers on every machine. Generator: sfc32
 * (C. Doty-Humphrey, PractRand), 128 bits of state; normals by the polar method (Marsaglia 1964).
 */
export function seeded(...labels: readonly (string | number)[]): Random {
  const name = labels.join('/');
  let [a, b, c, count] = [hash(`${name}:a`), hash(`${name}:b`), hash(`${name}:c`), 1];
  let spare: number | undefined;

  function next(): number {
    const t = (((a + b) | 0) + count) | 0;
    count = (count + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + t;
    return t >>> 0;
  }
  for (let i = 0; i < 16; i++) next();

  const uniform = (): number => (next() * 2 ** 21 + (next() >>> 11)) / 2 ** 53;

  function normal(): number {
    if (spare !== undefined) {
      const kept = spare;
      spare = undefined;
      return kept;
    }
    for (;;) {
      const u = 2 * uniform() - 1;
      const v = 2 * uniform() - 1;
      const s = u * u + v * v;
      if (s > 0 && s < 1) {
        const scale = Math.sqrt((-2 * Math.log(s)) / s);
        spare = v * scale;
        return u * scale;
      }
    }
  }

  return { uniform, normal };
}
