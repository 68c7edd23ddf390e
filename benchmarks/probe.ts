// npm run bench:probe: the probe, from the command line and from a page, and iperf3 (Debian's package), on one link of
// known rate and loss between two hosts. Needs root, and what bin/test.mjs installs.
import { readIperf3 } from '@urvek/core';
import { execFile, spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { startCluster } from '../bin/lib/postgres.mjs';
import { systemClock } from '../server/src/clock.ts';
import { openAuthority } from '../server/src/lan/authority.ts';
import { Devices } from '../server/src/lan/devices.ts';
import { serve } from '../server/src/serve.ts';
import { openDatabase } from '../server/src/storage/postgres/database.ts';
import { farHost, loseDatagrams, loseNothing, shape } from '../server/src/test/farHost.ts';

const [, , ...given] = process.argv;
/** Or those that are given after it; 0: only the link of known delay. */
const RATES_MBPS = given.length > 0 ? given.map(Number).filter((r) => r > 0) : [20, 100, 300];
const LOSS_PERCENT = 5;
/** One way over the relay; even between less and more by the jitter. */
const [DELAY_MS, JITTER_MS] = [20, 2];
const run = promisify(execFile);
const far = farHost('bench');
if (!far) throw new Error('this bench makes a host of its own: it needs root');
const delayed = far.here.replace(/\.(\d+)\.1$/, (_, third: string) => `.${(Number(third) + 1) % 250}.1`);
const delayedThere = delayed.replace(/1$/, '2');
const relay = spawn(
  'python3',
  ['benchmarks/delayRelay.py', far.name, delayed, delayedThere, String(DELAY_MS), String(JITTER_MS)],
  { stdio: ['ignore', 'pipe', 'inherit'] },
);
await new Promise((resolve) => relay.stdout.once('data', resolve));
const folder = mkdtempSync(join(tmpdir(), 'urvek-bench-'));
chmodSync(folder, 0o711);
const cluster = await startCluster(join(folder, 'database'), { fast: true });
const databaseUrl = cluster.url('postgres');
const serving = await serve({
  ...{ databaseUrl, port: 0, demo: 'none', webRoot: fileURLToPath(new URL('../web/dist', import.meta.url)) },
  report: (error) => console.error(error),
  lan: { folder: join(folder, 'authority'), addresses: [far.here, delayed], port: 0 },
});
const afar = async (command: string, ...args: string[]): Promise<string> =>
  (await run('ip', ['netns', 'exec', far.name, command, ...args], { timeout: 150_000 })).stdout;
const iperfed = async (...way: string[]): Promise<number> => {
  const server = spawn('iperf3', ['-s', '-1', '--forceflush', '-B', far.here], {
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const out = await afar('iperf3', '-c', far.here, '-t', '8', '-O', '2', '-P', '4', '-J', ...way);
  return readIperf3(out).whole[0]?.value ?? NaN;
};
/** What `urvek probe --json` prints, as far as it is asked here. */
type Probed = Record<'down' | 'up', { mbps: number } | null> & {
  loss: Partial<Record<'down' | 'up', { loss_pct: number; jitter_ms: number | null } | null>>;
  rtt_ms: { median: number };
  limited_by: string | null;
};
const row = (...cells: string[]): void => console.log(cells.map((c) => c.padStart(14)).join(''));
const show = (value: number | null | undefined): string => (value ?? NaN).toFixed(2);
try {
  const database = await openDatabase(databaseUrl);
  const devices = new Devices(database, systemClock);
  const token = await devices.add('Bench', 'logger');
  await database.destroy();
  const trust = join(folder, 'authority.crt');
  writeFileSync(
    trust,
    (await openAuthority(join(folder, 'authority'), [far.here, delayed], systemClock)).certificatePem,
  );
  const at = (address: string): string => serving.lanUrls.find((u) => u.includes(address)) ?? '';
  const url = at(far.here);
  const probed = async (where: string): Promise<Probed> =>
    JSON.parse(
      await afar('bin/urvek', 'probe', where, '--json', '--authority', trust, '--device', token),
    ) as Probed;
  row('Mbit/s', 'by', 'down', 'up', 'loss down %', 'loss up %', 'rest ms', 'limited by');
  for (const rate of RATES_MBPS) {
    shape(far, rate);
    loseDatagrams(far, LOSS_PERCENT);
    const own = await probed(url);
    row(
      ...[
        String(rate),
        'command line',
        show(own.down?.mbps),
        show(own.up?.mbps),
        show(own.loss.down?.loss_pct),
      ],
      ...[show(own.loss.up?.loss_pct), show(own.rtt_ms.median), own.limited_by ?? ''],
    );
    const offer = (await (
      await fetch(new URL('api/lan/offers', serving.url), {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{"role":"logger"}',
      })
    ).json()) as { code: string };
    const page = JSON.parse(
      await afar(process.execPath, 'bin/tsx.mjs', 'benchmarks/probePage.ts', url, offer.code),
    ) as { quantity: string; direction: string; value?: number }[];
    const of = (quantity: string, direction: string): string =>
      show(page.find((m) => m.quantity === quantity && m.direction === direction)?.value);
    const [down, up] = ['fixed-to-mobile', 'mobile-to-fixed'];
    row(
      ...[String(rate), 'page', of('throughput', down as string), of('throughput', up as string)],
      ...[of('loss', down as string), of('loss', up as string), of('round trip', down as string)],
    );
    loseNothing(far);
    row(String(rate), 'iperf3', show(await iperfed('-R')), show(await iperfed()));
  }
  // Without a shaped rate or a loss: what it takes and how it varies, one way and there and back.
  const late = await probed(at(delayed));
  const pinged = /= [\d.]+\/([\d.]+)\//.exec(await afar('ping', '-c', '25', '-i', '0.2', delayed))?.[1];
  const trembling = spawn('iperf3', ['-s', '-1', '--forceflush', '-B', delayed], {
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  await new Promise((resolve) => trembling.stdout.once('data', resolve));
  const udp = ['-u', '-b', '320k', '-l', '200', '-t', '5'];
  const told = readIperf3(await afar('iperf3', '-c', delayed, ...udp, '-J'));
  console.log(
    [
      `relay of ${DELAY_MS} ms one way, even to ± ${JITTER_MS} ms (mean difference of two: ` +
        `${((2 * JITTER_MS) / 3).toFixed(2)} ms)`,
      `round trip: probe ${show(late.rtt_ms.median)} ms, ping ${pinged} ms, set ${2 * DELAY_MS} ms`,
      `jitter: probe ${show(late.loss.down?.jitter_ms)} down, ${show(late.loss.up?.jitter_ms)} up; ` +
        `iperf3 ${show(told.whole.find((r) => r.quantity === 'jitter')?.value)} up`,
    ].join('\n'),
  );
} finally {
  relay.kill();
  far.away();
  await serving.close();
  await cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
