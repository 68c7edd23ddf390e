import { seeded } from '../random/seeded.ts';

/**
 * Letters for products whose names are sealed while they are judged by ear or eye: a shuffle (Fisher and
 * Yates) that `key` fixes, so that the same comparison always has the same letters.
 */
export function blindLabels(ids: readonly string[], key: string): ReadonlyMap<string, string> {
  const random = seeded('blind', key);
  const order = [...ids].sort();
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random.uniform() * (i + 1));
    [order[i], order[j]] = [order[j] as string, order[i] as string];
  }
  return new Map(order.map((id, i) => [id, letters(i)]));
}

/** A … Z, AA, AB … */
const letters = (i: number): string =>
  (i < 26 ? '' : letters(Math.floor(i / 26) - 1)) + String.fromCharCode(65 + (i % 26));
