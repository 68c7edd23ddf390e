import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { NEXT_PAGE, type Comparison, type WalkHeader } from '@urvek/contract';
import { ARITHMETIC, type WalkEvent } from '@urvek/core';
import { findWalks, nameFindings, type DerivedEntry } from '@urvek/study';
import { createHash, randomUUID } from 'node:crypto';
import { DataSource } from 'typeorm';
import { DEMO_ID, DEMO_SETUP, demoWalks } from './demo/cindermoor.ts';
import { SLATE_WORKS, slateWorksWalks } from './demo/slateWorks.ts';
import { useServer } from './test/useServer.ts';

const server = useServer({ demo: 'small' });
let database: DataSource;

beforeAll(async () => {
  database = await new DataSource({
    type: 'postgres',
    url: server.databaseUrl,
    installExtensions: false,
  }).initialize();
}, 60_000);
afterAll(() => database.destroy());

const at = (path: string): string => new URL(`api${path}`, server.serving.url).href;
const send = (method: string, path: string, body: unknown): Promise<Response> =>
  fetch(at(path), { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

interface Page {
  walks: (DerivedEntry & { entries: number })[];
  next?: string;
}
async function pages(id: string): Promise<{ walks: Page['walks']; sizes: number[] }> {
  const walks: Page['walks'] = [];
  const sizes: number[] = [];
  let after: string | undefined;
  do {
    const response = await fetch(at(`/comparisons/${id}/findings${after ? `?after=${after}` : ''}`));
    const page = (await response.json()) as Page;
    // Said before the body, too.
    expect(response.headers.get(NEXT_PAGE)).toBe(page.next ?? null);
    walks.push(...page.walks);
    sizes.push(page.walks.length);
    after = page.next;
  } while (after !== undefined);
  return { walks, sizes };
}
const keysKept = async (): Promise<Map<string, string>> =>
  new Map(
    (await database.query<{ walk_id: string; key: string }[]>('SELECT walk_id, key FROM walk_finding')).map(
      (r) => [r.walk_id, r.key],
    ),
  );

const header = (startedMs: number): WalkHeader => ({
  id: randomUUID(),
  comparisonId: DEMO_ID,
  productId: (DEMO_SETUP.products[0] as { id: string }).id,
  rigId: 'standard',
  pathId: (DEMO_SETUP.paths[0] as { id: string }).id,
  startedMs,
});

describe('what is worked out from logs is kept', () => {
  test('and is what the logs give, to the last digit', async () => {
    const { walks } = await pages(DEMO_ID);
    const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
    expect(plain(nameFindings(DEMO_SETUP, walks))).toEqual(plain(findWalks(DEMO_SETUP, demoWalks())));
    expect((await keysKept()).size).toBe(12);
  });

  test(
    'an answer that did not change is not sent again; a log that grew is worked out anew, and it ' + 'alone',
    async () => {
      const first = await fetch(at(`/comparisons/${DEMO_ID}/findings`));
      const tag = first.headers.get('etag') as string;
      await first.text();
      const again = (): Promise<Response> =>
        fetch(at(`/comparisons/${DEMO_ID}/findings`), {
          headers: { 'if-none-match': tag, 'cache-control': 'max-age=0' },
        });
      expect((await again()).status).toBe(304);

      const before = await keysKept();
      const [walk] = demoWalks();
      const last = walk?.log.at(-1) as WalkEvent;
      const note = {
        ...last,
        seq: last.seq + 1000,
        kind: 'note',
        body: { text: 'seen afterwards' },
      } as WalkEvent;
      expect((await send('POST', `/walks/${note.walkId}/events`, { events: [note] })).status).toBe(200);
      const changed = await again();
      expect(changed.status).toBe(200);
      const page = (await changed.json()) as Page;
      const found = page.walks.find((w) => w.header.id === note.walkId);
      expect(found?.derived?.directions[0]?.trace.notes).toEqual([
        expect.objectContaining({ text: 'seen afterwards' }),
      ]);
      const after = await keysKept();
      expect([...after].filter(([id, key]) => before.get(id) !== key).map(([id]) => id)).toEqual([
        note.walkId,
      ]);
    },
  );

  test('a path that was changed makes its walks anew; a plan that was, does not', async () => {
    const comparison = (await (await fetch(at(`/comparisons/${DEMO_ID}`))).json()) as Comparison;
    const { title, question, setup, revision } = comparison;
    const put = async (changed: Comparison['setup'], at: number): Promise<void> => {
      expect(
        (await send('PUT', `/comparisons/${DEMO_ID}`, { title, question, setup: changed, revision: at }))
          .status,
      ).toBe(200);
      await pages(DEMO_ID);
    };
    const before = await keysKept();
    await put({ ...setup, plan: { ...setup.plan, walksEach: 5 } }, revision);
    expect(await keysKept()).toEqual(before);
    await put({ ...setup, paths: setup.paths.map((p) => ({ ...p, startOffsetM: 3 })) }, revision + 1);
    const after = await keysKept();
    expect([...after.keys()].every((id) => after.get(id) !== before.get(id))).toBe(true);
    await put(setup, revision + 2);
    expect(await keysKept()).toEqual(before);
  });

  test('walks come in pages, in order, each once; a walk without a beginning stands as such', async () => {
    const id = randomUUID();
    await send('POST', '/comparisons', { id, title: 'Many', question: '' });
    const rows = Array.from({ length: 450 }, (_, i) => ({
      ...header(1e12 + Math.floor(i / 3)),
      comparisonId: id,
    }));
    await database.query(
      `INSERT INTO walk (id, comparison_id, product_id, rig_id, path_id, started_at)
       SELECT (w->>'id')::uuid, $2, w->>'productId', 'r', 'p', to_timestamp((w->>'startedMs')::bigint / 1000.0)
       FROM jsonb_array_elements($1::jsonb) w`,
      [JSON.stringify(rows), id],
    );
    const { walks, sizes } = await pages(id);
    expect(sizes).toEqual([200, 200, 50]);
    expect(new Set(walks.map((w) => w.header.id)).size).toBe(450);
    expect(walks.map((w) => w.header.startedMs)).toEqual(
      [...walks.map((w) => w.header.startedMs)].sort((a, b) => a - b),
    );
    expect(walks.every((w) => w.derived === null && w.entries === 0)).toBe(true);
    expect((await fetch(at(`/comparisons/${id}/findings?after=nowhere`))).status).toBe(422);
  });

  test('the list of comparisons and the entries of a log are counted as they are appended', async () => {
    const mine = header(Date.UTC(2026, 0, 1));
    await send('PUT', `/walks/${mine.id}`, mine);
    const event = (seq: number, kind: string, body: object): unknown => ({
      walkId: mine.id,
      deviceId: randomUUID(),
      seq,
      version: 1,
      kind,
      time: { walkS: seq, rate: 1, inputMs: seq, originMs: 0, wallMs: seq },
      body,
    });
    const events = [event(1, 'note', { text: 'a' }), event(2, 'end', { reason: 'time' })];
    for (let i = 0; i < 2; i++)
      expect((await send('POST', `/walks/${mine.id}/events`, { events })).status).toBe(200);
    const rows = await database.query<unknown[]>('SELECT entries, finished FROM walk WHERE id = $1', [
      mine.id,
    ]);
    expect(rows).toEqual([{ entries: 2, finished: true }]);
  });
});

/** What the demos' logs give, by the version of the arithmetic. */
const KNOWN = { arithmetic: 10, digest: '9f000b4c5fec089c' };

test('another finding from the same log is another version of the arithmetic', () => {
  const found = [...findWalks(DEMO_SETUP, demoWalks()), ...findWalks(SLATE_WORKS, slateWorksWalks())].map(
    ({ directions, seconds, summary, logged }) => ({ directions, seconds, summary, logged }),
  );
  // Ten digits: the last ones are the machine's.
  const text = JSON.stringify(found, (_, v: unknown) =>
    typeof v === 'number' ? Number(v.toPrecision(10)) : v,
  );
  const digest = createHash('sha256').update(text).digest('hex').slice(0, 16);
  // Both differ: raise ARITHMETIC in core/src/walk/finding.ts, and state both here.
  expect({ arithmetic: ARITHMETIC, digest }).toEqual(KNOWN);
});
