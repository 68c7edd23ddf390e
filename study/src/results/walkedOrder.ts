import type { RangeView } from './ranges.ts';

/** In which order the products of a path were walked, as their walks tell it. */
export type WalkedOrder = 'each led equally often' | 'one led more often than another' | 'not stated';

/** Undefined where fewer than two were walked: there is no order. */
export function walkedOrder({
  walks,
  subjects,
}: Pick<RangeView, 'walks' | 'subjects'>): WalkedOrder | undefined {
  if (subjects.length < 2) return undefined;
  if (walks.some((w) => w.header.undated)) return 'not stated';
  const inTurn = [...walks]
    .filter((w) => w.header.slot?.variant !== 'baseline')
    .sort((a, b) => a.header.startedMs - b.header.startedMs);
  const nth = new Map<string, number>();
  const led = new Map<number, string>();
  for (const { product } of inTurn) {
    const round = nth.get(product) ?? 0;
    nth.set(product, round + 1);
    if (!led.has(round)) led.set(round, product);
  }
  const leads = subjects.map((s) => [...led.values()].filter((p) => p === s.name).length);
  return Math.max(...leads) - Math.min(...leads) <= 1 && led.size >= subjects.length
    ? 'each led equally often'
    : 'one led more often than another';
}
