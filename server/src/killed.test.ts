import { afterAll, expect, test } from '@jest/globals';
import type { Comparison } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { scratchDatabase } from './test/scratchDatabase.ts';

const KILLS = 20;
const BATCH = 40;
const scratch = await scratchDatabase();
const root = fileURLToPath(new URL('../..', import.meta.url));
/**
 * Bundled once, beside the packages that it imports: twenty starts from sources would compile them twenty
 * times.
 */
const bundle = mkdtempSync(join(root, 'node_modules/.urvek-serve-'));
let server: ChildProcess | undefined;

afterAll(async () => {
  server?.kill('SIGKILL');
  rmSync(bundle, { recursive: true, force: true });
  await scratch.drop();
});

/** Starts a server process on a free port; resolves with its address. */
function start(): Promise<string> {
  const env = { ...process.env };
  delete env.NODE_OPTIONS;
  const child = spawn(process.execPath, [join(bundle, 'serveAlone.js'), scratch.url, '0'], {
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server = child;
  return new Promise((resolve, reject) => {
    child.stdout?.once('data', (data) => resolve(`http://127.0.0.1:${String(data).trim()}/api`));
    child.once('exit', () => reject(new Error('the server ended before it served')));
  });
}

const gone = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    child.once('exit', () => resolve());
    child.kill('SIGKILL');
  });
const send = (url: string, method: string, body: unknown): Promise<Response> =>
  fetch(url, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

test(
  `a server killed in mid-sync, ${KILLS} times, loses and doubles nothing: a batch is there whole ` +
    'or not at all',
  async () => {
    const [comparisonId, walkId, deviceId] = [randomUUID(), randomUUID(), randomUUID()];
    const event = (seq: number): WalkEvent => ({
      walkId,
      deviceId,
      seq,
      version: 1,
      kind: 'note',
      time: { walkS: seq, rate: 1, inputMs: seq, originMs: 0, wallMs: seq },
      body: { text: `note ${seq} ${'…'.repeat(200)}` },
    });
    execFileSync(
      process.execPath,
      [
        join(root, 'node_modules/vite/bin/vite.js'),
        'build',
        '--configLoader',
        'native',
        '--logLevel',
        'error',
        '--ssr',
        join(root, 'server/src/test/serveAlone.ts'),
        '--outDir',
        bundle,
      ],
      { cwd: bundle, stdio: 'inherit' },
    );
    const batches = Array.from({ length: KILLS + 1 }, (_, b) =>
      Array.from({ length: BATCH }, (__, i) => event(BATCH * b + i + 1)),
    );
    let api = await start();
    const made = (await (
      await send(`${api}/comparisons`, 'POST', { id: comparisonId, title: 'Killed', question: '' })
    ).json()) as Comparison;
    expect(made.id).toBe(comparisonId);
    expect(
      (
        await send(`${api}/walks/${walkId}`, 'PUT', {
          id: walkId,
          comparisonId,
          productId: 'p',
          rigId: 'r',
          pathId: 'q',
          startedMs: 1,
        })
      ).status,
    ).toBe(204);
    const acknowledged = new Set<number>();
    let midway = 0;
    for (let kill = 0; kill < KILLS; kill++) {
      // The device sends what it has no answer for, again and again, and the server dies some milliseconds
      // into it.
      const answer = send(`${api}/walks/${walkId}/events`, 'POST', { events: batches[kill] }).then(
        (r) => r.ok,
        () => false,
      );
      await new Promise((resolve) => setTimeout(resolve, 4 * kill));
      await gone(server as ChildProcess);
      if (await answer) acknowledged.add(kill);
      else midway++;
      api = await start();
      const log = (await (await fetch(`${api}/walks/${walkId}/events`)).json()) as WalkEvent[];
      // Whole batches only, every acknowledged one among them, nothing twice.
      const perBatch = batches.map(
        (b) =>
          log.filter((e) => e.seq >= (b[0] as WalkEvent).seq && e.seq <= (b.at(-1) as WalkEvent).seq).length,
      );
      expect(perBatch.every((n) => n === 0 || n === BATCH)).toBe(true);
      for (const b of acknowledged) expect(perBatch[b]).toBe(BATCH);
      expect((await send(`${api}/walks/${walkId}/events`, 'POST', { events: batches[kill] })).status).toBe(
        200,
      );
      acknowledged.add(kill);
    }
    const log = (await (await fetch(`${api}/walks/${walkId}/events`)).json()) as WalkEvent[];
    expect(log.map((e) => e.seq)).toEqual(Array.from({ length: BATCH * KILLS }, (_, i) => i + 1));
    // Some of the deaths came before the answer: otherwise nothing was tried.
    expect(midway).toBeGreaterThan(0);
  },
  300_000,
);
