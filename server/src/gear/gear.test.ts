import { expect, test } from '@jest/globals';
import { joinCode, type GearAnswer } from '@urvek/contract';
import { joinLogs, type WalkEvent } from '@urvek/core';
import { execFile, spawn } from 'node:child_process';
import { promisify } from 'node:util';
import { fileURLToPath } from 'node:url';
import { readFileSync } from 'node:fs';
import { WebSocket } from 'ws';
import { useServer } from '../test/useServer.ts';

const run = promisify(execFile);
const URVEK = fileURLToPath(new URL('../../../bin/urvek.mjs', import.meta.url));
const KEY = 'k'.repeat(32);
const server = useServer({ key: KEY });
const COMPARISON = '00000000-0000-4000-8000-0000000000aa';
const WALK = '00000000-0000-4000-8000-0000000000ab';
const WALKER = '00000000-0000-4000-8000-0000000000ac';

const call = async <T>(method: string, path: string, body?: unknown, key = KEY): Promise<T> => {
  const response = await fetch(new URL(`api/${path}`, server.serving.url), {
    method,
    headers: { 'content-type': 'application/json', 'X-Urvek-Key': key },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
  const text = await response.text();
  return (text === '' ? undefined : JSON.parse(text)) as T;
};

/** Gear that says lines, one after the other is answered. */
async function gear(key: string): Promise<{ say(line: object | string): Promise<GearAnswer>; end(): void }> {
  const ws = new WebSocket(new URL('api/gear', server.serving.url.replace('http', 'ws')), {
    headers: { 'X-Urvek-Key': key },
  });
  await new Promise((resolve, reject) => ws.once('open', resolve).once('error', reject));
  return {
    say: (line) => {
      const answer = new Promise<GearAnswer>((resolve) =>
        ws.once('message', (data) => resolve(JSON.parse(String(data)) as GearAnswer)),
      );
      ws.send(typeof line === 'string' ? line : JSON.stringify(line));
      return answer;
    },
    end: () => ws.terminate(),
  };
}

/** A walk under way since ten seconds, by a phone whose clock is an hour ahead and which has compared it. */
async function begin(): Promise<void> {
  await call('POST', 'comparisons', { id: COMPARISON, title: 'Gear', question: '' });
  const startedMs = Date.now() - 10_000;
  const header = { id: WALK, comparisonId: COMPARISON, productId: 'p', rigId: 'r', pathId: 'q', startedMs };
  await call('PUT', `walks/${WALK}`, header);
  const time = (walkS: number) => ({
    ...{ walkS, rate: 1, inputMs: 1000 * walkS, originMs: startedMs + 3_600_000 },
    wallMs: startedMs + 3_600_000 + 1000 * walkS,
  });
  const of = { walkId: WALK, deviceId: WALKER, version: 1 };
  await call('POST', `walks/${WALK}/events`, {
    events: [
      {
        ...{ ...of, seq: 1, kind: 'begin', time: time(0) },
        body: { direction: 'mobile-to-fixed', mode: 'continuous', conditions: {}, checks: [] },
      },
      {
        ...{ ...of, seq: 2, kind: 'clock', time: time(9) },
        body: { baseMs: startedMs + 9000, halfRttMs: 2 },
      },
    ],
  });
}

test('gear with a key of its own joins a walk by its code, and its lines are on the walk’s clock', async () => {
  await begin();
  const made = await call<{ key: string }>('POST', 'lan/keys', { name: 'Wheel', role: 'logger' });
  const { say, end } = await gear(made.key);
  const hello = { hello: 'urvek-gear', version: 1, name: 'Wheel', end: 'mobile' };
  expect(await say({ ...hello, code: 'ZZZZZZ' })).toMatchObject({
    refused: expect.stringContaining('ZZZZZZ'),
  });
  expect(await say({ ...hello, code: joinCode(WALK) })).toEqual({ welcome: WALK });
  const saidMs = Date.now();
  expect(await say({ say: 'wheel', m: 12.5, ageMs: 500 })).toEqual({ kept: 1 });
  expect(await say({ say: 'reading', quantity: 'level', value: -71 })).toEqual({ kept: 2 });
  expect(await say('{"say":"lost","why":"no carrier"}\n')).toEqual({ kept: 3 });
  expect(await say({ say: 'back' })).toEqual({ kept: 4 });
  expect(await say({ say: 'tried', tries: 3, failed: 1 })).toEqual({ kept: 5 });
  for (const [line, why] of [
    [{ say: 'wheel', m: -1 }, 'm must be greater'],
    [{ say: 'shout' }, 'say is one of'],
    [{ say: 'tried', tries: 1, failed: 2 }, 'failed must be'],
    [{ say: 'reading', quantity: 'loss', value: 300 }, ''],
    ['no json', 'this is no JSON'],
  ] as const)
    expect(await say(line)).toMatchObject({ refused: expect.stringContaining(why) });
  end();
  const { log, joined } = joinLogs(await call<WalkEvent[]>('GET', `walks/${WALK}/events`));
  expect(joined).toMatchObject([{ role: 'walker', direction: 'fixed-to-mobile', by: 'clocks compared' }]);
  const own = log.filter(
    (e) => e.deviceId !== WALKER && e.kind !== 'joined' && e.kind !== 'clock' && e.kind !== 'note',
  );
  expect(own.map((e) => [e.kind, e.body])).toEqual([
    ['mark', { reading: { travelledM: 12.5, method: 'wheel', pressed: false } }],
    [
      'measured',
      {
        ...{ quantity: 'level', direction: 'fixed-to-mobile', value: -71 },
        ...{ instrument: 'Wheel', provenance: 'measured' },
      },
    ],
    ['dropoutBegin', { found: 'Wheel: no carrier' }],
    ['dropoutEnd', { found: 'Wheel' }],
    ['tried', { tries: 3, failed: 1 }],
  ]);
  // It began ten seconds before; the wheel was read half a second before it was told.
  const markS = own[0]?.time.walkS ?? NaN;
  expect(Math.abs(markS - (saidMs - 500 - startedOf(log)) / 1000)).toBeLessThan(0.5);
});

/** When the walk began by the base's clock, from what the walker's phone compared. */
const startedOf = (log: readonly WalkEvent[]): number => {
  const compared = log.find((e) => e.kind === 'clock' && e.deviceId === WALKER);
  return compared?.kind === 'clock' ? compared.body.baseMs - 1000 * compared.time.walkS : NaN;
};

test.each(['wheel', 'link', 'remote'])('a simulated %s walks away, and its lines are kept', async (kind) => {
  const before = await call<WalkEvent[]>('GET', `walks/${WALK}/events`);
  const { stdout } = await run(process.execPath, [
    ...[URVEK, 'gear', kind, `${server.serving.url}?key=${KEY}`],
    ...['--code', joinCode(WALK), '--seconds', '20', '--faster', '50'],
  ]);
  const said = stdout.trim().split('\n');
  expect(stdout).not.toContain('refused');
  const known = new Set(before.map((e) => e.deviceId));
  const own = (await call<WalkEvent[]>('GET', `walks/${WALK}/events`)).filter(
    (e) => !known.has(e.deviceId) && e.kind !== 'note',
  );
  expect(own.map((e) => e.kind)).toEqual([
    ...['joined', 'clock'],
    ...Array.from({ length: said.length }, () =>
      kind === 'wheel' ? 'mark' : kind === 'remote' ? 'tried' : 'measured',
    ),
  ]);
  expect(said.length).toBeGreaterThanOrEqual(4);
  await expect(run(process.execPath, [URVEK, 'gear', kind, server.serving.url])).rejects.toThrow('--code');
});

test('a connection that drops is noted, and its gear goes on as the same device', async () => {
  const hello = { hello: 'urvek-gear', version: 1, name: 'Meter', end: 'fixed', code: joinCode(WALK) };
  const first = await gear(KEY);
  await first.say(hello);
  await first.say({ say: 'lost' });
  first.end();
  const meter = async (): Promise<WalkEvent[]> => {
    const log = await call<WalkEvent[]>('GET', `walks/${WALK}/events`);
    const device = log.find((e) => e.kind === 'dropoutBegin' && e.body.found === 'Meter')?.deviceId;
    return log.filter((e) => e.deviceId === device);
  };
  while (!(await meter()).some((e) => e.kind === 'note')) await new Promise((r) => setTimeout(r, 20));
  const second = await gear(KEY);
  expect(await second.say(hello)).toEqual({ welcome: WALK });
  expect(await second.say({ say: 'back' })).toEqual({ kept: 1 });
  const log = await meter();
  expect(log.map((e) => [e.seq, e.kind])).toEqual(
    ['joined', 'clock', 'dropoutBegin', 'note', 'clock', 'dropoutEnd'].map((kind, i) => [i + 1, kind]),
  );
  // Another of the same name meanwhile.
  const twin = await gear(KEY);
  await twin.say(hello);
  await twin.say({ say: 'note', text: 'me too' });
  expect(await second.say({ say: 'lost' })).toMatchObject({ refused: expect.stringContaining('same name') });
  twin.end();
  second.end();
});

test('the example of the documentation hands in a level', async () => {
  const text = readFileSync(new URL('../../../docs/gear.md', import.meta.url), 'utf8');
  const example = /```js\n(.*?)```/s.exec(text)?.[1] ?? '';
  expect(example.trim().split('\n').length).toBeLessThanOrEqual(21);
  const child = spawn(
    process.execPath,
    [
      ...['--input-type=module', '-e', example, '--'],
      ...[new URL('api/gear', server.serving.url.replace('http', 'ws')).href, KEY, joinCode(WALK)],
    ],
    { stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, NODE_OPTIONS: '' } },
  );
  const said = await new Promise<string>((resolve) => {
    let heard = '';
    child.stdout.on('data', (data) => {
      heard += String(data);
      if (heard.includes('kept')) resolve(heard);
    });
    child.once('exit', () => resolve(heard));
  });
  child.kill();
  expect(said).toBe(`{"welcome":"${WALK}"}\n{"kept":1}\n`);
});

test('a program logs by its key, reads its own, changes nothing, makes no keys; revoked it is out', async () => {
  const { key } = await call<{ key: string }>('POST', 'lan/keys', { name: 'Script', role: 'logger' });
  await expect(call('GET', 'comparisons', undefined, key)).resolves.toBeDefined();
  await expect(call('GET', `walks/${WALK}/events`, undefined, key)).rejects.toThrow('404');
  await expect(call('DELETE', `comparisons/${COMPARISON}`, undefined, key)).rejects.toThrow('403');
  await expect(call('POST', 'lan/keys', { name: 'More', role: 'editor' }, key)).rejects.toThrow('403');
  const editor = await call<{ key: string }>('POST', 'lan/keys', { name: 'Findings', role: 'editor' });
  await expect(call('GET', `walks/${WALK}/events`, undefined, editor.key)).resolves.not.toHaveLength(0);
  const { devices } = await call<{ devices: { id: string; name: string }[] }>('GET', 'lan');
  expect(devices.map((d) => d.name)).toEqual(['Wheel', 'Script', 'Findings']);
  await call('DELETE', `lan/devices/${devices[1]?.id}`);
  await expect(call('GET', 'comparisons', undefined, key)).rejects.toThrow('401');
  await expect(gear(key)).rejects.toThrow('403');
  await expect(gear('wrong')).rejects.toThrow('403');
});
