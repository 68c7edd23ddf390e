import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import {
  BATCH_LIMIT,
  readInterchange,
  type Comparison,
  type Interchange,
  type StoredWalk,
} from '@urvek/contract';
import { parseRecords, readWalkIntervals } from '@urvek/core';
import { findWalks, rangesByPath } from '@urvek/study';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { DataSource } from 'typeorm';
import { DEMO_ID } from './demo/cindermoor.ts';
import { serve } from './serve.ts';
import { openDatabase } from './storage/postgres/database.ts';
import { scratchDatabase } from './test/scratchDatabase.ts';
import { useServer } from './test/useServer.ts';

const server = useServer({ demo: 'small' });

interface Answer {
  status: number;
  body: never;
}
const call = async (
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer> => {
  const response = await fetch(new URL(`api${path}`, server.serving.url), {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
  });
  const text = await response.text();
  return {
    status: response.status,
    body: (text === ''
      ? undefined
      : text.startsWith('{') || text.startsWith('[')
        ? JSON.parse(text)
        : text) as never,
  };
};

const header = (id: string = randomUUID()) => ({
  id,
  comparisonId: DEMO_ID,
  productId: 'ossimere',
  rigId: 'ossimere-rig',
  pathId: 'incline',
  startedMs: 1_780_000_000_000,
});
const deviceId = randomUUID();
const grade = (walkId: string, seq: number, value = 4) => ({
  walkId,
  deviceId,
  seq,
  version: 1,
  kind: 'grade',
  time: { walkS: seq, rate: 1, inputMs: seq, originMs: 0, wallMs: seq },
  body: { grade: value },
});

async function newWalk(): Promise<string> {
  const { id } = header();
  expect((await call('PUT', `/walks/${id}`, header(id))).status).toBe(204);
  return id;
}
/** The answer to a body of so many megabytes, streamed. */
const megabytes = async (url: string, count: number): Promise<number> => {
  const chunk = new TextEncoder().encode(' '.repeat(1_000_000));
  let left = count;
  const body = new ReadableStream({ pull: (to) => (left-- > 0 ? to.enqueue(chunk) : to.close()) });
  return (
    await fetch(new URL('api/comparisons/import', url), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      duplex: 'half',
    } as RequestInit)
  ).status;
};
const stored = async (id: string): Promise<unknown[]> => (await call('GET', `/walks/${id}/events`)).body;

describe('the log of a walk', () => {
  test('the same batch twice changes nothing', async () => {
    const id = await newWalk();
    const batch = { events: [grade(id, 1), grade(id, 2), grade(id, 3)] };
    expect(await call('POST', `/walks/${id}/events`, batch)).toEqual({
      status: 200,
      body: { stored: 3, alreadyHere: 0 },
    });
    expect(await call('POST', `/walks/${id}/events`, batch)).toEqual({
      status: 200,
      body: { stored: 0, alreadyHere: 3 },
    });
    expect(await stored(id)).toEqual(batch.events);
  });

  test('the same key with other content is 409, named by position, and nothing of the batch is stored', async () => {
    const id = await newWalk();
    await call('POST', `/walks/${id}/events`, { events: [grade(id, 1)] });
    const answer = await call('POST', `/walks/${id}/events`, { events: [grade(id, 2), grade(id, 1, 2)] });
    expect(answer).toMatchObject({ status: 409, body: { code: 'conflict', positions: [1] } });
    expect(await stored(id)).toEqual([grade(id, 1)]);
  });

  test('one bad event refuses the batch whole, by its position', async () => {
    const id = await newWalk();
    const answer = await call('POST', `/walks/${id}/events`, {
      events: [grade(id, 1), { ...grade(id, 2), body: { grade: 7 } }, grade(id, 3)],
    });
    expect(answer).toMatchObject({ status: 422, body: { code: 'invalid', positions: [1] } });
    expect(await stored(id)).toEqual([]);
  });

  test('text that no database can hold, and a clock that no date can hold, are 422 by their place', async () => {
    const id = await newWalk();
    const note = (seq: number, text: string) => ({ ...grade(id, seq), kind: 'note', body: { text } });
    for (const bad of [note(2, 'half \ud83d'), note(2, 'nul \u0000')])
      expect(
        await call('POST', `/walks/${id}/events`, { events: [note(1, 'whole 🚶'), bad, grade(id, 3)] }),
      ).toMatchObject({ status: 422, body: { positions: [1], what: expect.stringContaining('text') } });
    const late = { ...grade(id, 1), time: { ...grade(id, 1).time, wallMs: 1e308 } };
    expect(await call('POST', `/walks/${id}/events`, { events: [late] })).toMatchObject({
      status: 422,
      body: { positions: [0] },
    });
    expect(await stored(id)).toEqual([]);
    for (const title of ['half \udc00', 'nul \u0000'])
      expect(
        await call('POST', '/comparisons', { id: crypto.randomUUID(), title, question: '' }),
      ).toMatchObject({ status: 422, body: { what: expect.stringContaining('title') } });
  });

  test('a device learns how much of its part of a log is here', async () => {
    const id = await newWalk();
    await call('POST', `/walks/${id}/events`, { events: [grade(id, 1), grade(id, 2)] });
    const { deviceId } = grade(id, 1);
    const other = crypto.randomUUID();
    expect(
      await call('POST', '/walks/held', {
        logs: [
          { walkId: id, deviceId },
          { walkId: id, deviceId: other },
          { walkId: other, deviceId },
        ],
      }),
    ).toEqual({ status: 200, body: [{ walkId: id, deviceId, highest: 2, count: 2 }] });
    expect((await call('POST', '/walks/held', { logs: [{ walkId: 'x', deviceId }] })).status).toBe(422);
  });

  test('a device is told what the others noticed last, and nothing of its own', async () => {
    const id = await newWalk();
    const { deviceId } = grade(id, 1);
    const other = crypto.randomUUID();
    const theirs = Array.from({ length: 20 }, (_, i) => ({ ...grade(id, i + 1), deviceId: other }));
    const note = { ...grade(id, 21), deviceId: other, kind: 'note', body: { text: 'rain' } };
    await call('POST', `/walks/${id}/events`, { events: [grade(id, 1), ...theirs, note] });
    expect(await call('GET', `/walks/${id}/noticed?besides=${deviceId}`)).toEqual({
      status: 200,
      body: theirs.slice(-12),
    });
    expect((await call('GET', `/walks/${id}/noticed?besides=${other}`)).body).toEqual([grade(id, 1)]);
    expect((await call('GET', `/walks/${id}/noticed`)).status).toBe(422);
  });

  test('a device that joined is told what the clock of the walk is known by, and nothing else', async () => {
    const id = await newWalk();
    const { deviceId, time, ...walk } = grade(id, 1);
    const own = [
      { kind: 'begin', body: { direction: 'mobile-to-fixed' } },
      { kind: 'clock', body: { baseMs: 1000, halfRttMs: 4 } },
      { kind: 'note', body: { text: 'rain' } },
      { kind: 'shared', body: { count: 1 } },
    ].map((e, i) => ({ ...walk, deviceId, time, ...e, seq: i + 1 }));
    await call('POST', `/walks/${id}/events`, { events: own });
    expect(await call('GET', `/walks/${id}/clock?besides=${crypto.randomUUID()}`)).toEqual({
      status: 200,
      body: [own[0], own[1], own[3]],
    });
    expect((await call('GET', `/walks/${id}/clock?besides=${deviceId}`)).body).toEqual([]);
    expect((await call('GET', `/walks/${id}/clock`)).status).toBe(422);
  });

  test('a batch over the limit is 413, by count and by size; half of it is taken', async () => {
    const id = await newWalk();
    const many = Array.from({ length: BATCH_LIMIT + 1 }, (_, i) => grade(id, i + 1));
    expect((await call('POST', `/walks/${id}/events`, { events: many })).status).toBe(413);
    expect(
      (
        await call('POST', `/walks/${id}/events`, {
          events: [{ ...grade(id, 1), kind: 'note', body: { text: 'x'.repeat(1_100_000) } }],
        })
      ).status,
    ).toBe(413);
    expect(await stored(id)).toEqual([]);
    expect(
      (await call('POST', `/walks/${id}/events`, { events: many.slice(0, BATCH_LIMIT / 2) })).status,
    ).toBe(200);
  });

  test('two devices, and batches sent at once, keep every event once', async () => {
    const id = await newWalk();
    const other: string = randomUUID();
    const mine = Array.from({ length: 60 }, (_, i) => grade(id, i + 1));
    const theirs = mine.map((e) => ({ ...e, deviceId: other }));
    const batches = [mine.slice(0, 40), mine.slice(20), theirs, mine, theirs.slice(10)];
    const answers = await Promise.all(
      batches.map((events) => call('POST', `/walks/${id}/events`, { events })),
    );
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200, 200]);
    const log = (await stored(id)) as { deviceId: string; seq: number }[];
    expect(log).toHaveLength(120);
    for (const device of [deviceId, other])
      expect(log.filter((e) => e.deviceId === device).map((e) => e.seq)).toEqual(mine.map((e) => e.seq));
  });

  test('is append-only in the database itself', async () => {
    const database = await new DataSource({
      type: 'postgres',
      url: server.databaseUrl,
      installExtensions: false,
    }).initialize();
    await expect(database.query("UPDATE walk_event SET kind = 'note'")).rejects.toThrow('append-only');
    await expect(database.query('DELETE FROM walk_event')).rejects.toThrow('append-only');
    await database.destroy();
  });

  test('a walk is registered once; another header under its id is 409', async () => {
    const id = await newWalk();
    expect((await call('PUT', `/walks/${id}`, header(id))).status).toBe(204);
    expect((await call('PUT', `/walks/${id}`, { ...header(id), productId: 'threnlow' })).status).toBe(409);
  });
});

describe('what is not here, or not allowed', () => {
  test.each([
    ['GET', `/comparisons/${randomUUID()}`],
    ['GET', '/comparisons/nonsense'],
    ['GET', `/comparisons/${randomUUID()}/findings`],
    ['GET', `/walks/${randomUUID()}/events`],
    ['GET', '/nothing'],
  ])('%s %s is 404', async (method, path) => {
    expect(await call(method, path)).toMatchObject({ status: 404, body: { code: 'not-found' } });
  });

  test('events of a walk that was never registered, and a walk of an unknown comparison, are 404', async () => {
    const id = randomUUID();
    expect((await call('POST', `/walks/${id}/events`, { events: [grade(id, 1)] })).status).toBe(404);
    expect((await call('PUT', `/walks/${id}`, { ...header(id), comparisonId: randomUUID() })).status).toBe(
      404,
    );
  });

  test('a page elsewhere cannot reach it: wrong Origin, wrong Host, cross-site requests are 403', async () => {
    for (const origin of ['http://evil.example', 'null', `https://127.0.0.1:${server.serving.port}`])
      expect((await call('GET', '/comparisons', undefined, { origin })).status).toBe(403);
    expect(
      (await call('GET', '/comparisons', undefined, { origin: `http://127.0.0.1:${server.serving.port}` }))
        .status,
    ).toBe(200);
    const rebound = await new Promise<number | undefined>((resolve, reject) => {
      rawRequest(
        {
          port: server.serving.port,
          host: '127.0.0.1',
          path: '/api/comparisons',
          headers: { host: 'rebound.example' },
        },
        (r) => resolve(r.resume().statusCode),
      )
        .on('error', reject)
        .end();
    });
    expect(rebound).toBe(403);
    expect((await call('GET', '/comparisons', undefined, { 'sec-fetch-site': 'cross-site' })).status).toBe(
      403,
    );
  });

  test('what is not JSON is 400, what is not of the form is 422', async () => {
    expect((await call('POST', '/comparisons', '{"id": ')).status).toBe(400);
    expect((await call('POST', '/comparisons', { id: 'x', title: '', question: '' })).status).toBe(422);
    expect(
      (await call('POST', '/comparisons', { id: randomUUID(), title: 'T', question: '', admin: true }))
        .status,
    ).toBe(422);
  });
});

const demoWalksNow = async (): Promise<readonly StoredWalk[]> =>
  ((await call('GET', `/comparisons/${DEMO_ID}/comparison.json?private=kept`)).body as Interchange).walks;

describe('comparisons', () => {
  test('making one twice makes one; a stale change is 409 and keeps what came first', async () => {
    const id = randomUUID();
    const wanted = { id, title: 'Two radios', question: '' };
    expect((await call('POST', '/comparisons', wanted)).status).toBe(201);
    const again = (await call('POST', '/comparisons', wanted)).body as Comparison;
    const change = { title: 'Renamed', question: '', setup: again.setup, revision: again.revision };
    expect((await call('PUT', `/comparisons/${id}`, change)).body).toMatchObject({
      title: 'Renamed',
      revision: 2,
    });
    expect((await call('PUT', `/comparisons/${id}`, { ...change, title: 'Late' })).status).toBe(409);
    expect((await call('GET', `/comparisons/${id}`)).body).toMatchObject({ title: 'Renamed' });
    // Who made which change, the newest first; each as it was.
    const plan = { ...again.setup, currency: 'EUR' };
    await call('PUT', `/comparisons/${id}`, { title: 'Renamed', question: '', setup: plan, revision: 2 });
    const revisions = (await call('GET', `/comparisons/${id}/revisions`)).body as object[];
    expect(revisions).toEqual([
      { revision: 3, who: 'this machine', atMs: expect.any(Number), what: ['currency: not stated → EUR'] },
      { revision: 2, who: 'this machine', atMs: expect.any(Number), what: ['title: Two radios → Renamed'] },
      { revision: 1, atMs: expect.any(Number), what: [] },
    ]);
    expect((await call('GET', `/comparisons/${id}/revisions/1`)).body).toMatchObject({
      title: 'Two radios',
      setup: again.setup,
    });
    expect((await call('GET', `/comparisons/${id}/revisions/9`)).status).toBe(404);
    expect((await call('GET', `/comparisons/${randomUUID()}/revisions`)).status).toBe(404);
  });

  test(
    'the demo is there once, however often the server starts, and its CSV holds what the findings ' + 'hold',
    async () => {
      const second = await serve({
        databaseUrl: server.databaseUrl,
        port: 0,
        demo: 'small',
        report: () => {},
      });
      await second.close();
      const list = (await call('GET', '/comparisons')).body as { demo: boolean; walksPlanned: number }[];
      expect(list.filter((c) => c.demo)).toEqual([
        expect.objectContaining({ walksPlanned: 12, walksMade: 12 }),
      ]);
      const { setup } = (await call('GET', `/comparisons/${DEMO_ID}`)).body as Comparison;
      const walks = await demoWalksNow();
      const finished = walks.filter((w) => w.log.some((e) => e.kind === 'end'));
      expect(finished).toHaveLength(12);
      const [range] = rangesByPath(setup, findWalks(setup, finished), 'first dropout');
      const rows = readWalkIntervals(
        (await call('GET', `/comparisons/${DEMO_ID}/walk-intervals.csv?criterion=first%20dropout`))
          .body as string,
      );
      expect(rows).toHaveLength(range?.summary.n as number);
      expect((await call('GET', `/comparisons/${DEMO_ID}/walk-intervals.csv?criterion=range`)).status).toBe(
        422,
      );
    },
  );

  test('entities and migrations agree, and two servers may migrate at once', async () => {
    const fresh = await scratchDatabase();
    const [one, two] = await Promise.all([openDatabase(fresh.url), openDatabase(fresh.url)]);
    const drift = await one.driver.createSchemaBuilder().log();
    expect(drift.upQueries.map((q) => q.query)).toEqual([]);
    await one.destroy();
    await two.destroy();
    await fresh.drop();
  });
});

describe('a walk that fills a place in the plan, and a whole comparison as a file', () => {
  test('its place comes back with it; another place under the same id is refused', async () => {
    const head = { ...header(), slot: { round: 2, place: 1, variant: 'plain', pair: 'incline/2' } };
    expect((await call('PUT', `/walks/${head.id}`, head)).status).toBe(204);
    expect((await call('PUT', `/walks/${head.id}`, head)).status).toBe(204);
    expect(
      (await call('PUT', `/walks/${head.id}`, { ...head, slot: { ...head.slot, place: 2 } })).status,
    ).toBe(409);
    expect(
      (await call('PUT', `/walks/${head.id}`, { ...head, slot: { ...head.slot, variant: 'sideways' } }))
        .status,
    ).toBe(422);
    const walks = await demoWalksNow();
    expect(walks.find((w) => w.header.id === head.id)?.header.slot).toEqual(head.slot);
  });

  test('the file holds the comparison whole, and reads back as it was written', async () => {
    const whole = readInterchange((await call('GET', `/comparisons/${DEMO_ID}/comparison.json`)).body);
    expect(whole.comparison).toMatchObject({ id: DEMO_ID, simulated: true });
    for (const { header, log } of whole.walks) expect(log).toEqual(await stored(header.id));
    expect(whole.walks.length).toBeGreaterThanOrEqual(12);
    expect((await call('GET', `/comparisons/${randomUUID()}/comparison.json`)).status).toBe(404);
  });

  test(
    'another Urvek takes it in, with the same findings to the last digit; twice is refused, and half ' +
      'of one is nothing',
    async () => {
      const file = (await call('GET', `/comparisons/${DEMO_ID}/comparison.json`)).body as Interchange;
      expect((await call('POST', '/comparisons/import', file)).status).toBe(409);
      const other = await scratchDatabase();
      const elsewhere = await serve({
        databaseUrl: other.url,
        port: 0,
        demo: 'none',
        report: (e) => {
          throw e;
        },
      });
      try {
        const send = async (body: unknown): Promise<number> =>
          (
            await fetch(new URL('api/comparisons/import', elsewhere.url), {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: typeof body === 'string' ? body : JSON.stringify(body),
            })
          ).status;
        const spoiled = structuredClone(file) as unknown as { walks: { log: { body: object }[] }[] };
        (spoiled.walks.find((w) => w.log.length > 50)?.log.at(-1) as { body: object }).body = {
          reason: 'bored',
        };
        expect(await send(spoiled)).toBe(422);
        expect(await send({ ...file, version: 99 })).toBe(422);
        expect(await send({ ...file, setup: { ...file.setup, products: 'many' } })).toBe(422);
        expect(await send('['.repeat(100_000))).toBe(413);
        expect(await send('{"format":')).toBe(400);
        // Nested deeper than any reader should follow, but well-formed.
        expect(
          await send(
            JSON.stringify({ ...file, setup: 0 }).replace(
              '"setup":0',
              `"setup":{"products":${'['.repeat(2000)}${']'.repeat(2000)}}`,
            ),
          ),
        ).toBe(413);
        expect(await megabytes(elsewhere.url, 200)).toBe(413);
        expect(await (await fetch(new URL('api/comparisons', elsewhere.url))).json()).toEqual([]);
        expect(await send(file)).toBe(201);
        const csv = async (at: string): Promise<string> =>
          (await fetch(new URL(`api/comparisons/${DEMO_ID}/walk-intervals.csv`, at))).text();
        expect(await csv(elsewhere.url)).toBe(await csv(server.serving.url));
        const again = (await (
          await fetch(new URL(`api/comparisons/${DEMO_ID}/comparison.json`, elsewhere.url))
        ).json()) as Interchange;
        expect(again).toEqual(file);
        expect(await send(file)).toBe(409);
      } finally {
        await elsewhere.close();
        await other.drop();
      }
    },
    60_000,
  );
});

test(
  'whatever the order of batches, repeated and split, by two devices at once: the same log, each ' +
    'device’s in order',
  async () => {
    const devices = [randomUUID(), randomUUID()];
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({ device: fc.nat(1), from: fc.nat(19), length: fc.integer({ min: 1, max: 20 }) }),
          {
            minLength: 2,
            maxLength: 10,
          },
        ),
        async (batches) => {
          const id = await newWalk();
          const event = (device: number, seq: number) => ({
            ...grade(id, seq, 1 + (seq % 5)),
            deviceId: devices[device],
          });
          const run = (device: number, from: number, length: number) =>
            Array.from({ length: Math.min(length, 20 - from) }, (_, i) => event(device, from + i + 1));
          const sent = batches.map(({ device, from, length }) => run(device, from, length));
          const answers = await Promise.all(
            [...sent, ...sent.toReversed()].map((events) => call('POST', `/walks/${id}/events`, { events })),
          );
          expect(answers.map((a) => a.status)).toEqual(answers.map(() => 200));
          const expected = devices.flatMap((deviceId, d) =>
            [
              ...new Set(
                batches
                  .filter((b) => b.device === d)
                  .flatMap((b) => run(d, b.from, b.length).map((e) => e.seq)),
              ),
            ]
              .sort((a, b) => a - b)
              .map((seq) => `${deviceId}:${seq}`),
          );
          const log = (await stored(id)) as { deviceId: string; seq: number }[];
          expect(log.map((e) => `${e.deviceId}:${e.seq}`)).toEqual(
            [...expected].sort((a, b) =>
              (a.split(':')[0] as string) < (b.split(':')[0] as string)
                ? -1
                : a.split(':')[0] === b.split(':')[0]
                  ? Number(a.split(':')[1]) - Number(b.split(':')[1])
                  : 1,
            ),
          );
        },
      ),
      { numRuns: 12 },
    );
  },
  60_000,
);

test('names that a browser or a spreadsheet might run come out of tables as text', async () => {
  const file = (await call('GET', `/comparisons/${DEMO_ID}/comparison.json`)).body as Interchange;
  const id = randomUUID();
  const named: Interchange = {
    ...file,
    comparison: { ...file.comparison, id, title: '<script>alert(1)</script>' },
    setup: {
      ...file.setup,
      products: file.setup.products.map((p, i) => ({ ...p, name: i === 0 ? '=cmd|calc' : '@SUM(A1)' })),
    },
    walks: file.walks.slice(0, 2).map((w) => {
      const walkId = randomUUID();
      return {
        header: { ...w.header, id: walkId, comparisonId: id },
        log: w.log.map((e) => ({ ...e, walkId })),
      };
    }),
  };
  expect((await call('POST', '/comparisons/import', named)).status).toBe(201);
  for (const name of ['walks.csv', 'marks.csv', 'events.csv', 'findings.csv', 'readings.csv']) {
    const text = (await call('GET', `/comparisons/${id}/files/${name}`)).body as string;
    for (const cell of parseRecords(text).flatMap((r) => r.cells)) expect(cell).not.toMatch(/^[=@]/);
  }
  expect((await call('GET', `/comparisons/${id}/files/secrets.csv`)).status).toBe(404);
  expect((await call('GET', `/comparisons/${id}/files/toString`)).status).toBe(404);
});

describe('the description of the HTTP interface', () => {
  interface Described {
    readonly paths: Readonly<Record<string, Readonly<Record<string, object>>>>;
  }
  const METHODS = ['get', 'post', 'put', 'delete'];
  const { paths } = JSON.parse(
    readFileSync(new URL('../../docs/openapi.json', import.meta.url), 'utf8'),
  ) as Described;
  const operations = Object.entries(paths).flatMap(([path, item]) =>
    METHODS.filter((m) => m in item).map((m) => `${m} ${path}`),
  );

  test('names nothing that is not there', async () => {
    for (const operation of operations) {
      const [method = '', path = ''] = operation.split(' ');
      // Of ids that nothing has: what is removed or changed is nothing.
      const at = path.replace(/\{(\w+)\}/g, (_, name) => (name === 'id' ? randomUUID() : '123456'));
      const { status, body } = await call(method.toUpperCase(), at, method === 'get' ? undefined : {});
      expect([operation, status < 500 && !JSON.stringify(body ?? '').includes('nothing at')]).toEqual([
        operation,
        true,
      ]);
    }
  });

  test('leaves out nothing that is there', () => {
    const written = (file: string, under: string): string[] =>
      [
        ...readFileSync(new URL(`./api/${file}.ts`, import.meta.url), 'utf8').matchAll(
          /router\.(get|post|put|delete)\(\s*'([^']+)'/g,
        ),
      ].map(([, method, path = '']) =>
        `${method} ${under}${path.replace(/:(\w+)/g, '{$1}')}`.replace(/\/$/, ''),
      );
    const there = [
      ...['answers', 'comparisons', 'files', 'findings'].flatMap((file) => written(file, '/comparisons')),
      ...written('walks', '/walks'),
      ...written('jobs', '/jobs'),
      ...written('router', ''),
    ];
    expect(there.length).toBeGreaterThan(25);
    expect(operations.toSorted()).toEqual(there.toSorted());
  });
});
