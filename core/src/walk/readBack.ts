import type { Random } from '../random/seeded.ts';

/** Short plain words that are told apart by ear, and figures: nobody can know which come. */
const WORDS = [
  'amber',
  'barrel',
  'candle',
  'dolphin',
  'ember',
  'falcon',
  'garden',
  'hammer',
  'island',
  'jacket',
  'kettle',
  'ladder',
  'marble',
  'needle',
  'orchard',
  'pepper',
  'quarry',
  'ribbon',
  'saddle',
  'timber',
  'urchin',
  'velvet',
  'window',
  'yellow',
  'zephyr',
] as const;

/** Fresh words and figures to be read over the link, as many as asked for. */
export function freshWords(count: number, random: Random): string {
  if (!Number.isInteger(count) || count < 1) throw new RangeError(`invalid count: ${count}`);
  return Array.from({ length: count }, () =>
    random.uniform() < 0.3
      ? String(Math.floor(100 * random.uniform()))
      : (WORDS[Math.floor(random.uniform() * WORDS.length)] as string),
  ).join(' ');
}

const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w !== '');

export interface ReadBackScore {
  readonly right: number;
  readonly of: number;
}

/**
 * Words right by minimal edit distance (V. I. Levenshtein 1966, on words): of the cheapest ways to turn
 * what was heard into what was sent, the one that keeps the most words. Extra words cost no right one.
 */
export function scoreReadBack(sent: string, heard: string): ReadBackScore {
  const [a, b] = [words(sent), words(heard)];
  // Each entry: edits so far and words kept; fewer edits first, then more kept.
  let row: [number, number][] = b.map((_, j) => [j + 1, 0]);
  row.unshift([0, 0]);
  a.forEach((word, i) => {
    const next: [number, number][] = [[i + 1, 0]];
    b.forEach((other, j) => {
      const same = word === other;
      const options: [number, number][] = [
        [(row[j] as [number, number])[0] + (same ? 0 : 1), (row[j] as [number, number])[1] + (same ? 1 : 0)],
        [(row[j + 1] as [number, number])[0] + 1, (row[j + 1] as [number, number])[1]],
        [(next[j] as [number, number])[0] + 1, (next[j] as [number, number])[1]],
      ];
      next.push(
        options.reduce((best, o) => (o[0] < best[0] || (o[0] === best[0] && o[1] > best[1]) ? o : best)),
      );
    });
    row = next;
  });
  return { right: (row.at(-1) as [number, number])[1], of: a.length };
}
