import type { Job } from '@urvek/contract';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import type { DataSource } from 'typeorm';
import { DEMO_ID, DEMO_SETUP, demoWalks } from './demo/cindermoor.ts';
import { serve, type Serving } from './serve.ts';
import { openDatabase } from './storage/postgres/database.ts';
import { scratchDatabase } from './test/scratchDatabase.ts';

const root = fileURLToPath(new URL('../..', import.meta.url));
/** After so long a job of the hasty server is taken from who was killed over it. */
const EXPIRES_S = 4;
const HASTY = 2;

let scratch: Awaited<ReturnType<typeof scratchDatabase>>;
let servers: Serving[] = [];
let workers: ChildProcess[] = [];
let database: DataSource;

beforeAll(async () => {
  scratch = await scratchDatabase();
  database = await openDatabase(scratch.url);
  // Servers that ask, and do none of the work themselves until they do. The last one gives a job up so soon that
  // a slow machine may do it twice: it is asked only where somebody is killed over it.
  servers = await Promise.all(
    (['small', 'none', 'none'] as const).map((demo, i) =>
      serve({
        databaseUrl: scratch.url,
        port: 0,
        demo,
        report: () => {},
        ...(i === HASTY && { jobExpiresS: EXPIRES_S }),
        works: false,
      }),
    ),
  );
  workers = await Promise.all([startWorker(), startWorker()]);
}, 120_000);

afterAll(async () => {
  for (const worker of workers) worker.kill('SIGKILL');
  for (const server of servers) await server.close();
  await database.destroy();
  await scratch.drop();
});

/** npm run worker, as it is started on another machine. */
function startWorker(): Promise<ChildProcess> {
  const env = { ...process.env, DATABASE_URL: scratch.url, URVEK_JOB_EXPIRES_S: String(EXPIRES_S) };
  delete (env as Record<string, string | undefined>).NODE_OPTIONS;
  const child = spawn(process.execPath, ['bin/worker.mjs'], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.stdout.once('data', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`the worker ended with ${code}`)));
  });
}

const at = (server: number, path: string): string => new URL(`api${path}`, servers[server]?.url).href;
async function ask(server: number, name: string, comparisonId = DEMO_ID): Promise<Job> {
  const response = await fetch(at(server, '/jobs'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ comparisonId, name }),
  });
  expect(response.status).toBe(202);
  return (await response.json()) as Job;
}
async function ended(server: number, id: string): Promise<Job> {
  for (let tries = 0; tries < 600; tries++) {
    const state = (await (await fetch(at(server, `/jobs/${id}`))).json()) as Job;
    if (state.state !== 'waiting' && state.state !== 'working') return state;
    await new Promise((wait) => setTimeout(wait, 100));
  }
  throw new Error(`job ${id} has not ended`);
}

test('two servers and two workers on one database: the same findings, and no job done twice', async () => {
  const asked = await Promise.all(Array.from({ length: 10 }, (_, i) => ask(i % 2, 'findings.csv')));
  const states = await Promise.all(asked.map(({ id }, i) => ended((i + 1) % 2, id)));
  expect(states.map(({ state, progress, attempts }) => ({ state, progress, attempts }))).toEqual(
    states.map(() => ({ state: 'done', progress: 1, attempts: 1 })),
  );
  const texts = await Promise.all(
    asked.map(async ({ id }, i) => (await fetch(at(i % 2, `/jobs/${id}/file`))).text()),
  );
  const direct = await (await fetch(at(0, `/comparisons/${DEMO_ID}/files/findings.csv`))).text();
  expect(new Set([...texts, direct]).size).toBe(1);
  expect(direct.split('\n').length).toBeGreaterThan(5);
}, 90_000);

test('a worker killed in mid-job loses nothing: another does it', async () => {
  // Walks whose logs nobody can read while their table is locked: a job on them stands still until it is
  // released.
  const id = await comparisonOfItsOwn();
  const lock = database.createQueryRunner();
  await lock.startTransaction();
  await lock.query('LOCK TABLE walk_event IN ACCESS EXCLUSIVE MODE');
  const job = await ask(HASTY, 'walks.csv', id);
  const begun = async (): Promise<Job> => (await (await fetch(at(0, `/jobs/${job.id}`))).json()) as Job;
  for (let tries = 0; (await begun()).state === 'waiting' && tries < 300; tries++)
    await new Promise((wait) => setTimeout(wait, 50));
  expect(await begun()).toMatchObject({ state: 'working', attempts: 1 });
  for (const worker of workers) worker.kill('SIGKILL');
  workers = [await startWorker()];
  await lock.commitTransaction();
  await lock.release();
  expect(await ended(1, job.id)).toMatchObject({ state: 'done', attempts: 2 });
}, 90_000);

test('a job that is cancelled ends, and its file is not there', async () => {
  for (const worker of workers) worker.kill('SIGKILL');
  const job = await ask(0, 'walks.csv');
  expect((await fetch(at(1, `/jobs/${job.id}`), { method: 'DELETE' })).status).toBe(204);
  expect(await ended(0, job.id)).toMatchObject({ state: 'cancelled' });
  expect((await fetch(at(0, `/jobs/${job.id}/file`))).status).toBe(404);
  expect((await fetch(at(0, `/jobs/${randomUUID()}`))).status).toBe(404);
});

async function comparisonOfItsOwn(): Promise<string> {
  const id = randomUUID();
  const walks = demoWalks().map(({ header, log }) => {
    const walkId = randomUUID();
    return {
      header: { ...header, id: walkId, comparisonId: id },
      log: log.map((e) => ({ ...e, walkId })),
    };
  });
  const response = await fetch(at(0, '/comparisons/import'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      format: 'urvek-comparison',
      version: 3,
      comparison: { id, title: 'Locked', question: '', simulated: true },
      setup: DEMO_SETUP,
      walks,
    }),
  });
  expect(response.status).toBe(201);
  return id;
}
