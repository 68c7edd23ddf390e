// npm run bench:storage: what the database and the server take, on a cluster of its own that is thrown away
// afterwards.
import type { WalkEvent } from '@urvek/core';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { EMPTY_SETUP } from '@urvek/contract';
import { startCluster } from '../bin/lib/postgres.mjs';
import { systemClock } from '../server/src/clock.ts';
import { manyWalks } from '../server/src/demo/manyWalks.ts';
import { entriesOf } from '../server/src/findings/keeper.ts';
import { serve } from '../server/src/serve.ts';
import { openDatabase } from '../server/src/storage/postgres/database.ts';
import { Store } from '../server/src/storage/postgres/store.ts';

const say = (what: string, figure: string): void => console.log(`${figure.padStart(14)}  ${what}`);
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const from = performance.now();
  await work();
  return performance.now() - from;
};
const median = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] as number;

const folder = mkdtempSync(join(tmpdir(), 'urvek-bench-'));
chmodSync(folder, 0o711);
const cluster = await startCluster(join(folder, 'database'), { fast: true });
const databaseUrl = cluster.url('postgres');
const database = await openDatabase(databaseUrl);
try {
  const store = new Store(database, systemClock);
  const comparisonId = randomUUID();
  await store.createComparison({ id: comparisonId, title: 'Bench', question: '' }, EMPTY_SETUP);
  const walk = async (entries: number): Promise<{ id: string; next: () => WalkEvent }> => {
    const [id, deviceId] = [randomUUID(), randomUUID()];
    await store.registerWalk({ id, comparisonId, productId: 'p', rigId: 'r', pathId: 'q', startedMs: 0 });
    let seq = 0;
    const next = (): WalkEvent => {
      seq++;
      const time = { walkS: seq, rate: 1, inputMs: seq, originMs: 0, wallMs: seq };
      return { walkId: id, deviceId, seq, version: 1, kind: 'grade', time, body: { grade: 4 } };
    };
    for (let at = 0; at < entries; at += 1000)
      await store.append(id, Array.from({ length: Math.min(1000, entries - at) }, next));
    return { id, next };
  };

  const [empty, long] = [await walk(0), await walk(20_000)];
  const times: { empty: number[]; long: number[] } = { empty: [], long: [] };
  for (let i = 0; i < 60; i++) {
    times.empty.push(await timed(() => store.append(empty.id, [empty.next()])));
    times.long.push(await timed(() => store.append(long.id, [long.next()])));
  }
  const [e, l] = [median(times.empty), median(times.long)];
  say(
    'one event into a walk of 20,000, by turns with one into an empty walk (1.5 wanted)',
    `${l.toFixed(2)} ms, ${(l / e).toFixed(2)}×`,
  );

  const [four, forty] = [await walk(4000), await walk(40_000)];
  const out: { four: number[]; forty: number[] } = { four: [], forty: [] };
  for (let i = 0; i < 7; i++) {
    out.four.push((await timed(() => store.logOf(four.id))) / 4000);
    out.forty.push((await timed(() => store.logOf(forty.id))) / 40_000);
  }
  const [a, b] = [median(out.four), median(out.forty)];
  say(
    'an entry of a walk of 40,000 out of the database, beside one of 4,000 (1.5 wanted)',
    `${(1000 * b).toFixed(1)} µs, ${(b / a).toFixed(2)}×`,
  );

  const many = manyWalks(randomUUID(), 19);
  const entries = many.walks.reduce((sum, w) => sum + w.log.length, 0);
  say(
    `${many.walks.length} walks of ${entries} entries taken in`,
    `${((await timed(() => store.importComparison(many))) / 1000).toFixed(1)} s`,
  );
  const { id } = many.comparison;
  say(
    'the same worked out from their logs, and kept',
    `${((await timed(() => entriesOf(store, id, many.setup))) / 1000).toFixed(1)} s`,
  );
  say(
    'the same as they are kept',
    `${((await timed(() => entriesOf(store, id, many.setup))) / 1000).toFixed(2)} s`,
  );

  const server = await serve({ databaseUrl, port: 0, demo: 'none', report: (error) => console.error(error) });
  const fetched = (path: string): Promise<{ bytes: number; body: Buffer }> =>
    new Promise((resolve, reject) => {
      get(new URL(path, server.url), { headers: { 'accept-encoding': 'gzip' } }, (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () =>
          resolve({ bytes: parts.reduce((n, p) => n + p.length, 0), body: Buffer.concat(parts) }),
        );
      }).once('error', reject);
    });
  let size = 0;
  const pages: number[] = [];
  for (let i = 0; i < 5; i++)
    pages.push(
      await timed(async () => {
        size = (await fetched(`/api/comparisons/${id}/findings`)).bytes;
      }),
    );
  say(
    'a page of 200 findings over HTTP, compressed',
    `${median(pages).toFixed(0)} ms, ${(size / 1000).toFixed(0)} kB`,
  );
  // What others wait while a whole table is made.
  const file = fetched(`/api/comparisons/${id}/files/findings.csv`);
  const waits: number[] = [];
  let going = true;
  void file.then(() => (going = false));
  while (going) {
    waits.push(await timed(() => fetched('/api/health')));
    await new Promise((rest) => setTimeout(rest, 20));
  }
  waits.sort((x, y) => x - y);
  say(
    `findings.csv of them all, in a thread: what another request waits meanwhile (${waits.length} asked)`,
    `${median(waits).toFixed(0)} ms, ${(waits.at(-1) ?? 0).toFixed(0)} at most`,
  );
  await server.close();
} finally {
  await database.destroy();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
