// npm run fuzz: hostile requests against a server in a process of its own, and whether its memory comes back.
import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from '../bin/lib/postgres.mjs';
import { fuzz } from '../server/src/test/fuzz.ts';

const REQUESTS = Number(process.argv[2] ?? 2000);
const SEED = process.argv[3] ?? 'fuzz';

const folder = mkdtempSync(join(tmpdir(), 'urvek-fuzz-'));
chmodSync(folder, 0o711);
const cluster = await startCluster(join(folder, 'database'), { fast: true });
const server = spawn(
  process.execPath,
  ['bin/tsx.mjs', 'server/src/test/serveAlone.ts', cluster.url('postgres'), '0'],
  { stdio: ['ignore', 'pipe', 'inherit'] },
);
const memoryMB = (): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
try {
  const port = await new Promise<string>((resolve) =>
    server.stdout.once('data', (data) => resolve(String(data).trim())),
  );
  const url = `http://127.0.0.1:${port}/`;
  // What a server takes for itself once it has done something of everything.
  await fuzz(url, 200, `${SEED}, before`);
  const before = memoryMB();
  const since = performance.now();
  const { byStatus, failures, hangs, slowestMs } = await fuzz(url, REQUESTS, SEED);
  const tookS = (performance.now() - since) / 1000;
  const body = '{},'.repeat(20_000_000);
  const sixty = performance.now();
  const status = await fetch(new URL('api/comparisons/import', url), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  }).then(
    (r) => String(r.status),
    () => 'cut off',
  );
  const sixtyMs = performance.now() - sixty;
  await new Promise((resolve) => setTimeout(resolve, 35_000));
  const lines = [
    `${REQUESTS} requests in ${tookS.toFixed(1)} s, slowest ${slowestMs.toFixed(0)} ms`,
    `by status: ${JSON.stringify(byStatus)}`,
    `5xx: ${failures.length}; hangs over 2 s or answers over 1 MB: ${hangs.length}`,
    `60 MB of {},: ${status}, after ${sixtyMs.toFixed(0)} ms`,
    `memory before ${before.toFixed(0)} MB, half a minute after ${memoryMB().toFixed(0)} MB`,
    ...failures.slice(0, 20),
    ...hangs.slice(0, 20),
  ];
  process.stdout.write(`${lines.join('\n')}\n`);
  process.exitCode = failures.length + hangs.length === 0 ? 0 : 1;
} finally {
  server.kill('SIGTERM');
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
