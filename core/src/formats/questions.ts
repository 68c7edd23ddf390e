import type { WalkIntervalRow } from './walkIntervalsCsv.ts';

/** What a file of walks makes one ask before its figures are believed. */
export function questionsOf(rows: readonly WalkIntervalRow[]): string[] {
  const seen = new Map<string, { row: WalkIntervalRow; times: number }>();
  for (const row of rows) {
    const key = JSON.stringify([
      row.product,
      row.path,
      row.walk,
      row.unit ?? '',
      row.criterion ?? '',
      row.direction ?? '',
    ]);
    const known = seen.get(key);
    if (known) known.times++;
    else seen.set(key, { row, times: 1 });
  }
  const repeated = [...seen.values()].filter((s) => s.times > 1);
  return [
    ...repeated.map(
      ({ row, times }) =>
        `walk ${JSON.stringify(row.walk)} of ${row.product} on ${row.path} stands ${times} times, and ` +
        `counts ${times} times: is it one walk?`,
    ),
    ...alike(rows.map((r) => r.product)).map(
      (names) => `${names.join(' and ')} count as ${names.length} products: are they one?`,
    ),
    ...alike(rows.map((r) => r.path)).map(
      (names) => `${names.join(' and ')} count as ${names.length} paths: are they one?`,
    ),
  ];
}

/** Names that differ by letter case or spaces only. */
function alike(names: readonly string[]): string[][] {
  const groups = new Map<string, Set<string>>();
  for (const name of names) {
    const key = name.trim().toLowerCase().replace(/\s+/g, ' ');
    groups.set(key, (groups.get(key) ?? new Set()).add(name));
  }
  return [...groups.values()].filter((g) => g.size > 1).map((g) => [...g].map((n) => JSON.stringify(n)));
}
