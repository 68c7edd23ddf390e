import type { WalkIntervalRow } from './walkIntervalsCsv.ts';
import * as phrases from './phrases.ts';

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
    ...repeated.map(({ row, times }) =>
      phrases.walkOfOnStandsTimesAnd(JSON.stringify(row.walk), row.product, row.path, times),
    ),
    ...alike(rows.map((r) => r.product)).map((names) =>
      phrases.countAsProductsAreTheyOne(names.join(' and '), names.length),
    ),
    ...alike(rows.map((r) => r.path)).map((names) =>
      phrases.countAsPathsAreTheyOne(names.join(' and '), names.length),
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
