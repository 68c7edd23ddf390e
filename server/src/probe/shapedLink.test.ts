import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { isIperf3, readIperf3, readPing } from '@urvek/core';
import { execFile, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { systemClock } from '../clock.ts';
import { openAuthority } from '../lan/authority.ts';
import { Devices } from '../lan/devices.ts';
import { serve, type Serving } from '../serve.ts';
import { openDatabase } from '../storage/postgres/database.ts';
import { farHost, loseDatagrams, loseNothing, shape } from '../test/farHost.ts';
import { scratchDatabase } from '../test/scratchDatabase.ts';

// A link of known rate and loss between two hosts, measured by the probe and by iperf3 (Debian's package) in one
// minute.

const TOOLS = ['/usr/bin/iperf3', '/usr/bin/ping', '/usr/sbin/nft', '/usr/sbin/tc'];
const far = TOOLS.every((file) => existsSync(file)) ? farHost('probe') : undefined;
const folder = mkdtempSync(join(tmpdir(), 'urvek-probe-'));
const urvek = fileURLToPath(new URL('../../../bin/urvek.mjs', import.meta.url));
const run = promisify(execFile);
let scratch: Awaited<ReturnType<typeof scratchDatabase>>;
let serving: Serving;
let token = '';

beforeAll(async () => {
  if (!far) return;
  scratch = await scratchDatabase();
  const lan = { folder, addresses: [far.here], port: 0 };
  serving = await serve({ databaseUrl: scratch.url, port: 0, demo: 'none', report: () => undefined, lan });
  const database = await openDatabase(scratch.url);
  token = await new Devices(database, systemClock).add('Probe', 'logger');
  await database.destroy();
  const { certificatePem } = await openAuthority(folder, [far.here], systemClock);
  writeFileSync(join(folder, 'authority.crt'), certificatePem);
}, 60_000);
afterAll(async () => {
  if (far) {
    await serving.close();
    await scratch.drop();
    far.away();
  }
  rmSync(folder, { recursive: true });
});

interface Probed {
  readonly outcome: string;
  readonly rehearsal: boolean;
  readonly limited_by: string | null;
  readonly rtt_ms: { readonly median: number };
  readonly down: { readonly mbps: number };
  readonly up: { readonly mbps: number };
  readonly loss: Record<'down' | 'up', { readonly sent: number; readonly loss_pct: number }>;
}

const afar = async (command: string, ...args: string[]): Promise<string> => {
  const { name } = far as NonNullable<typeof far>;
  try {
    const { stdout } = await run('ip', ['netns', 'exec', name, command, ...args], { timeout: 150_000 });
    return stdout;
  } catch (error) {
    // A run that broke says so, and ends with 1.
    const { stdout, stderr } = error as { stdout: string; stderr: string };
    if (stdout === '') throw new Error(`${command} ${args[1] ?? ''}: ${stderr}`, { cause: error });
    return stdout;
  }
};
const probed = async (): Promise<Probed> => {
  const trusted = ['--authority', join(folder, 'authority.crt'), '--device', token];
  const url = serving.lanUrls[0] ?? '';
  return JSON.parse(
    await afar(
      process.execPath,
      urvek,
      'probe',
      url,
      '--json',
      '--seconds',
      '8',
      '--streams',
      '3',
      ...trusted,
    ),
  ) as Probed;
};
/** Beside other tests the two are not measured in one quiet minute: bench:probe shows how near they come. */
const NEAR = 0.25;
/** What arrived, Mbit/s, of a transfer one way; each has a server of its own. */
const iperfed = async (...way: string[]): Promise<number> => {
  const { here } = far as NonNullable<typeof far>;
  const server = spawn('iperf3', ['-s', '-1', '--forceflush', '-B', here], {
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  try {
    const out = await afar('iperf3', '-c', here, '-t', '6', '-O', '2', '-P', '3', '-J', ...way);
    // As Urvek takes it in from a file.
    expect(isIperf3(out)).toBe(true);
    const { whole, steps } = readIperf3(out);
    expect(whole[0]?.direction).toBe(way.includes('-R') ? 'fixed-to-mobile' : 'mobile-to-fixed');
    expect(steps.length).toBeGreaterThanOrEqual(5);
    return whole[0]?.value ?? NaN;
  } finally {
    server.kill();
  }
};

(far ? test : test.skip)(
  far
    ? 'the probe agrees with a link of known rate and loss, and with iperf3'
    : 'not run: needs root, iperf3, ping and nft',
  async () => {
    const host = far as NonNullable<typeof far>;
    shape(host, 20);
    loseDatagrams(host, 5);
    try {
      let found = await probed();
      let [down, up] = [await iperfed('-R'), await iperfed()];
      const near = (): boolean =>
        Math.abs(found.down.mbps / down - 1) < NEAR && Math.abs(found.up.mbps / up - 1) < NEAR;
      // A machine that is busy with other tests says so itself, or hinders either of the two: then once more.
      for (let i = 0; i < 2 && (found.limited_by !== null || !near()); i++) {
        found = await probed();
        [down, up] = [await iperfed('-R'), await iperfed()];
      }
      process.stdout.write(
        `20 Mbit/s, 5 %: probe ${found.down.mbps.toFixed(2)} down, ${found.up.mbps.toFixed(2)} up, ` +
          `${found.loss.down.loss_pct.toFixed(1)} and ${found.loss.up.loss_pct.toFixed(1)} % lost; iperf3 ` +
          `${down.toFixed(2)} and ${up.toFixed(2)}\n`,
      );
      expect(found).toMatchObject({ outcome: 'done', rehearsal: false });
      if (found.limited_by === null) expect(near()).toBe(true);
      else expect(found.limited_by).toContain('came to its limit: that was measured, not the link');
      // Of 1000 sent at 5 % lost four standard deviations are 2.8 points: nothing is sent again.
      for (const way of ['down', 'up'] as const) {
        expect(found.loss[way].sent).toBe(1000);
        expect(found.loss[way].loss_pct).toBeGreaterThan(2.2);
        expect(found.loss[way].loss_pct).toBeLessThan(7.8);
      }
      const pinged = readPing(await afar('ping', '-c', '5', '-i', '0.2', '-D', host.here));
      const roundTrip = pinged.whole.find((w) => w.quantity === 'round trip')?.value ?? NaN;
      // A program waits for its turn where the kernel answers at once.
      expect(found.rtt_ms.median).toBeGreaterThan(roundTrip - 1);
      expect(found.rtt_ms.median).toBeLessThan(roundTrip + 20);
      expect(pinged.notes).toEqual(['5 of 5 answered']);
    } finally {
      loseNothing(host);
    }
  },
  400_000,
);

(far ? test : test.skip)(
  far
    ? 'a link that goes in mid-run is an outcome, and what was measured stands'
    : 'not run: needs root, iperf3, ping and nft',
  async () => {
    const host = far as NonNullable<typeof far>;
    shape(host, 20);
    const measuring = probed();
    // Half of what it takes down: the ramp is over, and the end is not there yet. A machine that is too busy to send so
    // much is cut off in the middle of its time.
    const sent = (): number =>
      Number(readFileSync(`/sys/class/net/${host.cable}/statistics/tx_bytes`, 'utf8'));
    const before = sent();
    const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 100));
    let over = false;
    const ended = (): void => void (over = true);
    measuring.then(ended, ended);
    while (!over && sent() < before + 1e6) await pause();
    for (const until = Date.now() + 5000; !over && sent() < before + 12e6 && Date.now() < until;)
      await pause();
    await run('ip', ['link', 'set', host.cable, 'down']);
    const found = await measuring;
    await run('ip', ['link', 'set', host.cable, 'up']);
    expect(found.outcome).toBe('broken');
    if (found.limited_by === null) expect(found.down.mbps).toBeGreaterThan(15);
    expect(found.up).toBeNull();
  },
  240_000,
);
