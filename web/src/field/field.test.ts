import fc from 'fast-check';
import { afterAll, afterEach, describe, expect, test } from '@jest/globals';
import { InterchangeError, readWalkFile, writeWalkFile, type WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { Dexie } from 'dexie';
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';

// A database in memory in place of the browser's, before the log opens its own.
Object.assign(Dexie.dependencies, { indexedDB, IDBKeyRange });
const { Cleared, fieldLog, AT_BASE, HERE, REMOVED, SET_ASIDE, UNFILED } = await import('./fieldLog.ts');
const { compareWithBase, sync } = await import('./sync.ts');
const { eventTime } = await import('./time.ts');

/** A base that keeps logs in memory, answers as the real one does, and fails when it is told to. */
class FakeBase {
  readonly logs = new Map<string, Map<string, WalkEvent>>();
  calls = 0;
  constructor(
    private readonly plan: (call: number) => 'answer' | 'unreachable' | 'lost answer',
    private readonly limit = 50,
  ) {}

  /** Walks that were removed for good. */
  readonly gone = new Set<string>();

  readonly fetch = async (url: string | URL | Request, init?: RequestInit): Promise<Response> => {
    const fate = this.plan(this.calls++);
    if (fate === 'unreachable') throw new TypeError('failed to fetch');
    const response = this.answer(String(url), init);
    if (fate === 'lost answer') throw new TypeError('connection reset');
    return response;
  };

  private answer(url: string, init?: RequestInit): Response {
    const id = url.split('/')[3] as string;
    const body = JSON.parse(String(init?.body)) as {
      events: WalkEvent[];
      logs: { walkId: string; deviceId: string }[];
    };
    if (id === 'held')
      return Response.json(
        body.logs.flatMap(({ walkId, deviceId }) => {
          const own = [...(this.logs.get(walkId)?.values() ?? [])].filter((e) => e.deviceId === deviceId);
          const highest = Math.max(0, ...own.map((e) => e.seq));
          return own.length > 0 ? [{ walkId, deviceId, highest, count: own.length }] : [];
        }),
      );
    if (init?.method === 'PUT' && this.gone.has(id))
      return Response.json({ code: 'gone', what: 'gone', kept: '', todo: '' }, { status: 410 });
    if (init?.method === 'PUT') {
      if (!this.logs.has(id)) this.logs.set(id, new Map());
      return new Response(null, { status: 204 });
    }
    const problem = (status: number, positions?: number[]): Response =>
      Response.json({ code: 'x', what: 'no', kept: '', todo: '', positions }, { status });
    if (body.events.length > this.limit) return problem(413);
    const bad = body.events.findIndex((e) => e.kind === 'note' && e.body.text === 'bad');
    if (bad !== -1) return problem(422, [bad]);
    if (body.events.some((e) => e.kind === 'note' && e.body.text === 'poison')) return problem(500);
    const log = this.logs.get(id);
    if (!log) return problem(404);
    for (const event of body.events) {
      const known = log.get(`${event.deviceId}:${event.seq}`);
      // The same key must come with the same content, however often it comes.
      expect(known ?? event).toEqual(event);
      log.set(`${event.deviceId}:${event.seq}`, event);
    }
    return Response.json({ stored: body.events.length, alreadyHere: 0 });
  }
}

const header = (id: string): WalkHeader => ({
  id,
  comparisonId: crypto.randomUUID(),
  productId: 'p',
  rigId: 'r',
  pathId: 'q',
  startedMs: 0,
});
const note = (id: string, text: string): Promise<WalkEvent> =>
  fieldLog.append(id, 'note', { text }, eventTime(1, 1, 1));
const realFetch = globalThis.fetch;

// A failed attempt tries again after three seconds: let the last of those run out before the file ends.
afterAll(
  () =>
    new Promise((resolve) => {
      setTimeout(resolve, 3500);
    }),
);

afterEach(async () => {
  globalThis.fetch = realFetch;
  await Promise.all([fieldLog.walks.clear(), fieldLog.events.clear()]);
});

describe('the log on the device', () => {
  test(
    'numbers are given in the transaction that stores: no gap and none twice, however many press at ' +
      'once',
    async () => {
      const id = crypto.randomUUID();
      await fieldLog.adopt(header(id), 1);
      await Promise.all(Array.from({ length: 40 }, (_, i) => note(id, String(i))));
      expect((await fieldLog.logOf(id)).map((e) => e.seq)).toEqual(
        Array.from({ length: 40 }, (_, i) => i + 1),
      );
      expect(new Set((await fieldLog.logOf(id)).map((e) => e.deviceId)).size).toBe(1);
    },
  );

  test('a walk is under way until its end is logged, and adopting it twice changes nothing', async () => {
    const id = crypto.randomUUID();
    await fieldLog.adopt(header(id), 1);
    await fieldLog.append(id, 'end', { reason: 'time' }, eventTime(5, 1, 1));
    await fieldLog.adopt(header(id), 1);
    expect(await fieldLog.walks.get(id)).toMatchObject({ underWay: 0, nextSeq: 2 });
    await expect(note('unknown', 'x')).rejects.toThrow('invalid walkId: unknown');
  });
});

describe('sending', () => {
  test('whatever fails in between, every event arrives exactly once and in order', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('answer', 'unreachable', 'lost answer'), { maxLength: 6 }),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 1, max: 60 }),
        async (fates, count, limit) => {
          const id = crypto.randomUUID();
          const base = new FakeBase((call) => (fates[call] as 'answer' | undefined) ?? 'answer', limit);
          globalThis.fetch = base.fetch as typeof fetch;
          await fieldLog.adopt(header(id), 1);
          for (let i = 0; i < count; i++) await note(id, String(i));
          for (
            let tries = 0;
            tries <= fates.length && (await fieldLog.events.where({ walkId: id, place: HERE }).count()) > 0;
            tries++
          )
            await sync();
          expect(
            [...(base.logs.get(id)?.values() ?? [])].map((e) => (e.kind === 'note' ? e.body.text : '')),
          ).toEqual(Array.from({ length: count }, (_, i) => String(i)));
          expect(await fieldLog.events.where({ walkId: id, place: AT_BASE }).count()).toBe(count);
        },
      ),
      { numRuns: 15 },
    );
  }, 60_000);

  test('what the base removed for good is sent no more, and is counted nowhere as waiting', async () => {
    const base = new FakeBase(() => 'answer');
    globalThis.fetch = base.fetch as typeof fetch;
    const id = crypto.randomUUID();
    await fieldLog.adopt(header(id), 1);
    await note(id, 'one');
    await sync();
    base.logs.delete(id);
    base.gone.add(id);
    await compareWithBase();
    await note(id, 'two');
    await sync();
    expect((await fieldLog.events.where({ walkId: id }).toArray()).map((k) => k.place)).toEqual([
      REMOVED,
      REMOVED,
    ]);
    expect(await sync()).toBe(true);
    expect((await fieldLog.logOf(id)).length).toBe(2);
  });

  test('what the base refuses is set aside with its reason, and never blocks the rest', async () => {
    const id = crypto.randomUUID();
    const base = new FakeBase(() => 'answer');
    globalThis.fetch = base.fetch as typeof fetch;
    await fieldLog.adopt(header(id), 1);
    for (const text of ['a', 'bad', 'b', 'bad', 'c']) await note(id, text);
    expect(await sync()).toBe(true);
    const aside = await fieldLog.events.where({ walkId: id, place: SET_ASIDE }).toArray();
    expect(aside.map((k) => [k.seq, k.refusal])).toEqual([
      [2, 'no'],
      [4, 'no'],
    ]);
    expect(base.logs.get(id)?.size).toBe(3);
  });
});

describe('a base that was put back from an older backup', () => {
  const sent = async (id: string, base: FakeBase, texts: readonly string[]): Promise<void> => {
    globalThis.fetch = base.fetch as typeof fetch;
    await fieldLog.adopt(header(id), 1);
    for (const text of texts) await note(id, text);
    expect(await sync()).toBe(true);
  };
  const textsAt = (base: FakeBase, id: string): string[] =>
    [...(base.logs.get(id)?.values() ?? [])]
      .sort((a, b) => a.seq - b.seq)
      .map((e) => (e.kind === 'note' ? e.body.text : ''));

  test('gets a walk back that it does not know any more, with the next press', async () => {
    const id = crypto.randomUUID();
    const base = new FakeBase(() => 'answer');
    await sent(id, base, ['a', 'b', 'c']);
    base.logs.delete(id);
    await note(id, 'd');
    expect(await sync()).toBe(true);
    expect(textsAt(base, id)).toEqual(['a', 'b', 'c', 'd']);
  });

  test('gets at the next start what it lacks, of every walk', async () => {
    const [lost, cut, whole] = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()];
    const base = new FakeBase(() => 'answer');
    for (const id of [lost, cut, whole]) await sent(id, base, ['a', 'b', 'c']);
    base.logs.delete(lost);
    const [, , last] = [...(base.logs.get(cut)?.keys() ?? [])];
    base.logs.get(cut)?.delete(last as string);
    await compareWithBase();
    expect(await fieldLog.events.where({ walkId: whole, place: HERE }).count()).toBe(0);
    expect(await sync()).toBe(true);
    for (const id of [lost, cut, whole]) expect(textsAt(base, id)).toEqual(['a', 'b', 'c']);
  });
});

test('what is asked for while one goes on is sent before that is said', async () => {
  const base = new FakeBase(() => 'answer');
  globalThis.fetch = base.fetch as typeof fetch;
  const ids = Array.from({ length: 4 }, () => crypto.randomUUID());
  const going: Promise<boolean>[] = [];
  for (const id of ids) {
    await fieldLog.adopt(header(id), 1);
    await note(id, 'a');
    going.push(sync());
    // The one that goes on may have looked already.
    await note(ids[0] as string, 'b');
    expect(await sync()).toBe(true);
    expect(await fieldLog.events.where({ walkId: ids[0], place: HERE }).count()).toBe(0);
    expect(base.logs.get(id)?.size).toBeGreaterThan(0);
  }
  expect(await Promise.all(going)).toEqual(ids.map(() => true));
});

test('an event that the server fails on alone is set aside; where it fails on all, all of it waits', async () => {
  const id = crypto.randomUUID();
  const base = new FakeBase(() => 'answer');
  globalThis.fetch = base.fetch as typeof fetch;
  await fieldLog.adopt(header(id), 1);
  for (const text of ['a', 'b', 'poison', 'c', 'd']) await note(id, text);
  expect(await sync()).toBe(true);
  const aside = await fieldLog.events.where({ walkId: id, place: SET_ASIDE }).toArray();
  expect(aside.map((k) => [k.seq, k.refusal])).toEqual([
    [3, 'The server failed on it, and not on what was sent with it.'],
  ]);
  await note(id, 'poison');
  expect(await sync()).toBe(false);
  expect(await fieldLog.events.where({ walkId: id, place: HERE }).count()).toBe(1);
});

test('a walk under way outlives storage that the browser clears, under its own numbers', async () => {
  const base = new FakeBase(() => 'answer');
  globalThis.fetch = base.fetch as typeof fetch;
  const id = crypto.randomUUID();
  await fieldLog.adopt(header(id), 1);
  for (const text of ['a', 'b']) await note(id, text);
  expect(await sync()).toBe(true);
  await note(id, 'c');
  const log = await fieldLog.logOf(id);
  await Promise.all([fieldLog.walks.clear(), fieldLog.events.clear(), fieldLog.facts.clear()]);
  expect(await fieldLog.holds(id)).toBe(false);
  expect((await fieldLog.underWay(id)).map((w) => w.id)).toEqual([id]);
  await expect(note(id, 'd')).rejects.toThrow(Cleared);
  await fieldLog.putBack(id, log);
  await fieldLog.putBack(id, log);
  expect(await fieldLog.holds(id)).toBe(true);
  const after = await note(id, 'd');
  expect([after.seq, after.deviceId]).toEqual([4, log[0]?.deviceId]);
  expect(await sync()).toBe(true);
  expect([...(base.logs.get(id)?.values() ?? [])].map((e) => e.seq)).toEqual([1, 2, 3, 4]);
  await expect(fieldLog.putBack(crypto.randomUUID(), [])).rejects.toThrow('invalid walkId');
});

test('a walk that was saved as a file is read back, whole and once, and sent', async () => {
  const base = new FakeBase(() => 'answer');
  globalThis.fetch = base.fetch as typeof fetch;
  const id = crypto.randomUUID();
  await fieldLog.adopt(header(id), 1);
  for (const text of ['a', 'b', 'c']) await note(id, text);
  const text = writeWalkFile(header(id), await fieldLog.logOf(id));
  await Promise.all([fieldLog.walks.clear(), fieldLog.events.clear()]);
  const file = readWalkFile(JSON.parse(text));
  expect(await fieldLog.takeIn(file)).toBe(3);
  expect(await fieldLog.takeIn(file)).toBe(0);
  expect(await sync()).toBe(true);
  expect(base.logs.get(id)?.size).toBe(3);
  // It is this device's own: it goes on with its numbers.
  expect((await note(id, 'd')).seq).toBe(4);
  // Files of earlier versions hold the log alone: what it was a walk of is asked.
  const alone = readWalkFile((JSON.parse(text) as { log: unknown }).log);
  await Promise.all([fieldLog.walks.clear(), fieldLog.events.clear()]);
  await fieldLog.takeIn(alone);
  expect(await fieldLog.walks.get(id)).toMatchObject({ comparisonId: UNFILED, underWay: 0 });
  expect(() => readWalkFile({ format: 'other' })).toThrow('not a walk that was saved');
  expect(() => readWalkFile([{ walkId: id, kind: 'grade' }])).toThrow(InterchangeError);
});

describe('a log that was kept alone', () => {
  test('goes over to the walk of the other end whole and in order, and not when a part was sent', async () => {
    const [alone, walkOf] = [crypto.randomUUID(), crypto.randomUUID()];
    await fieldLog.adopt(header(alone), 1);
    await fieldLog.append(
      alone,
      'begin',
      {
        baselineGrade: 5,
        direction: 'mobile-to-fixed',
        reading: { travelledM: 0, method: 'by eye', pressed: false },
        playoutDelayS: 0,
      },
      eventTime(0, 1, 1),
    );
    await fieldLog.append(alone, 'shared', { count: 1 }, eventTime(1, 1, 2));
    await fieldLog.append(alone, 'dropoutBegin', {}, eventTime(2, 1, 3));
    await fieldLog.append(alone, 'end', { reason: 'time' }, eventTime(3, 1, 4));
    const before = await fieldLog.logOf(alone);
    await fieldLog.goOver(alone, header(walkOf), { role: 'base', direction: 'mobile-to-fixed' });
    const after = await fieldLog.logOf(walkOf);
    expect(after.map((e) => e.kind)).toEqual(['joined', 'shared', 'dropoutBegin', 'note']);
    expect(after.map((e) => [e.deviceId, e.seq, e.time])).toEqual(
      before.map((e) => [e.deviceId, e.seq, e.time]),
    );
    expect(await fieldLog.logOf(alone)).toEqual([]);
    // Once more, or after a part was sent: refused, and nothing moves.
    const again = crypto.randomUUID();
    await fieldLog.adopt(header(again), 1);
    await note(again, 'x');
    await expect(
      fieldLog.goOver(again, header(walkOf), { role: 'base', direction: 'mobile-to-fixed' }),
    ).rejects.toThrow('has a log of that walk already');
    globalThis.fetch = new FakeBase(() => 'answer').fetch as typeof fetch;
    await sync();
    await expect(
      fieldLog.goOver(again, header(crypto.randomUUID()), { role: 'base', direction: 'mobile-to-fixed' }),
    ).rejects.toThrow('was sent already');
    expect(await fieldLog.logOf(again)).toHaveLength(1);
  });
});
