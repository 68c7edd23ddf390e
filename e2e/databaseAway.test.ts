import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parentOf } from '../bin/lib/processes.mjs';
import { startCluster, type Cluster } from '../bin/lib/postgres.mjs';
import { serve, type Serving } from '../server/src/serve.ts';
import { smallDisk, type SmallDisk } from './support/smallDisk.ts';

// The database is killed, and frozen, under a server that runs.

const folder = mkdtempSync(join(tmpdir(), 'urvek-away-'));
const told: string[] = [];
const reported: unknown[] = [];
let cluster: Cluster;
let serving: Serving;

beforeAll(async () => {
  chmodSync(folder, 0o711);
  cluster = await startCluster(join(folder, 'database'), { told: (what) => told.push(what) });
  serving = await serve({
    databaseUrl: cluster.url('postgres'),
    port: 0,
    demo: 'none',
    report: (error) => reported.push(error),
  });
}, 150_000);
afterAll(async () => {
  await serving.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});

const ask = (path: string, method = 'GET', body?: unknown): Promise<Response> =>
  fetch(new URL(`api/${path}`, serving.url), {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
const make = async (): Promise<{ id: string; status: number; retry: string | null }> => {
  const id = randomUUID();
  const answer = await ask('comparisons', 'POST', { id, title: 'Kept', question: '' });
  return { id, status: answer.status, retry: answer.headers.get('retry-after') };
};
async function until(condition: () => Promise<boolean>): Promise<void> {
  for (const end = Date.now() + 40_000; Date.now() < end; await new Promise((r) => setTimeout(r, 50)))
    if (await condition()) return;
  throw new Error('did not come in 40 s');
}

test('a killed database is started again; meanwhile 503, and nothing acknowledged is lost', async () => {
  const acknowledged: string[] = [];
  const statuses = new Set<number>();
  for (let kill = 0; kill < 3; kill++) {
    const before = await make();
    expect(before.status).toBe(201);
    acknowledged.push(before.id);
    const pid = cluster.pid();
    process.kill(pid, 'SIGKILL');
    await until(async () => {
      const answer = await ask('health');
      if (answer.status === 503)
        expect(await answer.json()).toMatchObject({
          name: 'urvek',
          ok: false,
          what: expect.stringMatching(/^The database/),
        });
      const made = await make();
      statuses.add(made.status);
      if (made.status === 201) acknowledged.push(made.id);
      else expect(made.retry).toBe('2');
      return made.status === 201 && cluster.pid() !== pid;
    });
  }
  expect([...statuses].sort()).toEqual([201, 503]);
  const list = (await (await ask('comparisons')).json()) as { id: string }[];
  expect(acknowledged.filter((id) => !list.some((c) => c.id === id))).toEqual([]);
  expect((await ask('health')).status).toBe(200);
  expect(told.filter((t) => t.startsWith('The database ended by itself (SIGKILL)'))).toHaveLength(3);
  expect(told.filter((t) => t.startsWith('The database runs again'))).toHaveLength(3);
  // Nobody has to look into a stack for it.
  expect(reported).toEqual([]);
}, 150_000);

test('a database that is frozen keeps no request waiting for long, and goes on when it thaws', async () => {
  const all = [
    cluster.pid(),
    ...readdirSync('/proc')
      .map(Number)
      .filter((pid) => parentOf(pid) === cluster.pid()),
  ];
  for (const pid of all) process.kill(pid, 'SIGSTOP');
  const since = performance.now();
  try {
    expect((await ask('comparisons')).status).toBe(503);
    expect(performance.now() - since).toBeLessThan(20_000);
  } finally {
    for (const pid of all) process.kill(pid, 'SIGCONT');
  }
  await until(async () => (await ask('comparisons')).status === 200);
}, 240_000);

const disk = smallDisk(250);
afterAll(() => disk?.close());

(disk ? test : test.skip)(
  disk
    ? 'the disk of the database is full: refused with a word, and well again when there is room'
    : 'not run: needs root',
  async () => {
    const { folder: at, keepFull, empty } = disk as SmallDisk;
    const full = await startCluster(join(at, 'database'));
    const server = await serve({
      databaseUrl: full.url('postgres'),
      port: 0,
      demo: 'none',
      report: () => undefined,
    });
    const send = async (id: string): Promise<number> =>
      (
        await fetch(new URL('api/comparisons', server.url), {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ id, title: 'Full', question: '?'.repeat(500) }),
        })
      ).status;
    const acknowledged: string[] = [];
    const statuses = new Set<number>();
    // Its log has some room in files that are there already: it is written to until the disk is felt.
    for (let i = 0; i < 60_000 && !statuses.has(503); i++) {
      if (i === 20) keepFull();
      const id = randomUUID();
      const status = await send(id);
      statuses.add(status);
      if (status === 201) acknowledged.push(id);
    }
    expect([...statuses].sort()).toEqual([201, 503]);
    empty();
    await until(async () => (await send(randomUUID())) === 201);
    const list = (await (await fetch(new URL('api/comparisons', server.url))).json()) as { id: string }[];
    const there = new Set(list.map((c) => c.id));
    expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
    await server.close();
    await full.stop();
  },
  450_000,
);
