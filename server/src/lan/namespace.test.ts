import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { LanState } from '@urvek/contract';
import { execFile, execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { serve, type Serving } from '../serve.ts';
import { scratchDatabase } from '../test/scratchDatabase.ts';
import { openAuthority } from './authority.ts';
import { privateAddresses } from './network.ts';
import { ATTEMPTS } from './pairing.ts';

// Other hosts: a network namespace with three addresses of its own, on a cable to this one.

const NAME = `urvek-${process.pid}`;
const CABLE = `uv${process.pid % 1_000_000}`;
const NET = `10.${200 + (process.pid % 50)}.${process.pid % 250}`;
const [HERE, SIX, ONE, TWO, SIX_THERE] = [
  `${NET}.1`,
  'fd75:7276:656b::1',
  `${NET}.2`,
  `${NET}.3`,
  'fd75:7276:656b::2',
];

const ip = (...given: string[]): void =>
  void execFileSync('ip', given, { stdio: ['ignore', 'ignore', 'pipe'] });

/** Undefined where none can be made: that needs root. */
function lay(): (() => void) | undefined {
  try {
    ip('netns', 'add', NAME);
  } catch {
    return undefined;
  }
  const away = (): void => ip('netns', 'del', NAME);
  try {
    ip('link', 'add', CABLE, 'type', 'veth', 'peer', 'name', 'far0', 'netns', NAME);
    ip('addr', 'add', `${HERE}/24`, 'dev', CABLE);
    ip('addr', 'add', `${SIX}/64`, 'dev', CABLE, 'nodad');
    ip('link', 'set', CABLE, 'up');
    for (const at of [`${ONE}/24`, `${TWO}/24`]) ip('-n', NAME, 'addr', 'add', at, 'dev', 'far0');
    ip('-n', NAME, 'addr', 'add', `${SIX_THERE}/64`, 'dev', 'far0', 'nodad');
    ip('-n', NAME, 'link', 'set', 'far0', 'up');
    return away;
  } catch {
    away();
    return undefined;
  }
}

const before = privateAddresses();
const away = lay();
const folder = mkdtempSync(join(tmpdir(), 'urvek-namespace-'));
let scratch: Awaited<ReturnType<typeof scratchDatabase>>;
let serving: Serving;
let ca = '';

beforeAll(async () => {
  if (!away) return;
  scratch = await scratchDatabase();
  serving = await serve({
    databaseUrl: scratch.url,
    port: 0,
    demo: 'none',
    clock: { now: () => new Date() },
    report: (e) => {
      throw e;
    },
    // Whatever else this host has is not meant.
    lan: {
      folder,
      addresses: [HERE, SIX],
      port: 0,
      current: () => privateAddresses().filter((a) => !before.includes(a)),
    },
  });
  ca = (await openAuthority(folder, [HERE, SIX], { now: () => new Date() })).certificatePem;
  writeFileSync(join(folder, 'ask.mjs'), ASK);
}, 60_000);
afterAll(async () => {
  if (away) {
    await serving.close();
    await scratch.drop();
    away();
  }
  rmSync(folder, { recursive: true });
});

/** Run in the namespace: asks what it is given, one after the other, from an address of its own. */
const ASK = `
import { request } from 'node:https';
const { asked, localAddress, ca } = JSON.parse(process.argv[2]);
const said = [];
for (const { url, method, body, cookie } of asked)
  said.push(await new Promise((resolve) => {
    const sent = request(url, { method, ca, localAddress, timeout: 5000,
      headers: { accept: 'application/json', 'content-type': 'application/json', ...(cookie ? { cookie } : {}) } },
      (answer) => {
        answer.resume();
        const cookie = String(answer.headers['set-cookie'] ?? '').split(';')[0];
        answer.on('end', () => resolve({ status: answer.statusCode, cookie }));
      });
    sent.on('error', (e) => resolve({ error: e.code ?? e.message }));
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  }));
console.log(JSON.stringify(said));`;

interface Asked {
  readonly url: string;
  readonly method: string;
  readonly body?: unknown;
  readonly cookie?: string;
}
interface Said {
  readonly status?: number;
  readonly cookie?: string;
  readonly error?: string;
}

const fromAfar = async (localAddress: string, asked: readonly Asked[], trusted = ca): Promise<Said[]> => {
  const { stdout } = await promisify(execFile)('ip', [
    ...['netns', 'exec', NAME, process.execPath, join(folder, 'ask.mjs')],
    JSON.stringify({ asked, localAddress, ca: trusted }),
  ]);
  return JSON.parse(stdout) as Said[];
};

(away ? test : test.skip)(
  away
    ? 'from other hosts: wrong codes shut out their address alone, and loopback is out of reach'
    : 'not run: needs root',
  async () => {
    const [four = '', six = ''] = serving.lanUrls;
    expect([four, six].map((u) => new URL(u).hostname)).toEqual([HERE, `[${SIX}]`]);
    const api = (url: string): Asked => ({ url: new URL('/api/comparisons', url).href, method: 'GET' });
    const pair = (url: string, code: string): Asked => ({
      url: new URL('/pair', url).href,
      method: 'POST',
      body: { code, name: 'Phone' },
    });
    const own = async (): Promise<string> =>
      (
        (await (
          await fetch(new URL('api/lan/offers', serving.url), {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{"role":"logger"}',
          })
        ).json()) as { code: string }
      ).code;
    const code = await own();
    const wrong = Array.from({ length: ATTEMPTS + 1 }, () => pair(four, 'WRNGWRNG'));
    const guessed = await fromAfar(ONE, [api(four), ...wrong, pair(four, code)]);
    expect(guessed.map((s) => s.status)).toEqual([
      401,
      ...Array.from({ length: ATTEMPTS }, () => 403),
      429,
      429,
    ]);
    // Another host is not meant, nor are its requests afterwards; nor is the other family of addresses.
    const [paired] = await fromAfar(TWO, [pair(four, code)]);
    expect(paired?.status).toBe(204);
    expect((await fromAfar(TWO, [{ ...api(four), cookie: paired?.cookie }]))[0]?.status).toBe(200);
    expect((await fromAfar(SIX_THERE, [pair(six, await own())]))[0]?.status).toBe(204);
    // This host gets another address while it serves, and loses it.
    const changed = async (): Promise<LanState['changed']> =>
      ((await (await fetch(new URL('api/lan', serving.url))).json()) as LanState).changed;
    ip('addr', 'add', `${NET}.9/24`, 'dev', CABLE);
    expect((await changed()).got).toEqual([`${NET}.9`]);
    ip('addr', 'del', `${NET}.9/24`, 'dev', CABLE);
    ip('addr', 'del', `${SIX}/64`, 'dev', CABLE);
    expect(await changed()).toEqual({ got: [], lost: [SIX] });
    // Loopback's port is not reached over the cable, and what the authority did not sign is not trusted.
    const loopback = new URL('/api/health', `https://${HERE}:${serving.port}/`).href;
    expect((await fromAfar(ONE, [{ url: loopback, method: 'GET' }]))[0]?.error).toBe('ECONNREFUSED');
    expect((await fromAfar(ONE, [api(four)], ''))[0]?.error).toMatch(/SELF_SIGNED|UNABLE_TO/);
  },
  60_000,
);
