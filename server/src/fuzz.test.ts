import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { serve, type Serving } from './serve.ts';
import { fuzz } from './test/fuzz.ts';
import { scratchDatabase } from './test/scratchDatabase.ts';

// The short form of npm run fuzz.

const REQUESTS = 500;
let scratch: Awaited<ReturnType<typeof scratchDatabase>>;
let serving: Serving;
const reported: unknown[] = [];

beforeAll(async () => {
  scratch = await scratchDatabase();
  serving = await serve({
    databaseUrl: scratch.url,
    port: 0,
    demo: 'none',
    webRoot: new URL('../../web', import.meta.url).pathname,
    report: (error) => reported.push(error),
  });
}, 60_000);
afterAll(async () => {
  await serving.close();
  await scratch.drop();
});

test(`${REQUESTS} hostile requests: none fails the server, none hangs`, async () => {
  const { failures, hangs, byStatus } = await fuzz(serving.url, REQUESTS, 'fuzz in the tests');
  expect(failures).toEqual([]);
  expect(hangs).toEqual([]);
  expect(reported).toEqual([]);
  // Every kind of refusal was met, and good requests among them.
  expect(Object.keys(byStatus)).toEqual(expect.arrayContaining(['200', '400', '404', '413', '415', '422']));
}, 120_000);

test('60 MB of nothing are refused before anything is built from them', async () => {
  const piece = Buffer.from('{},'.repeat(100_000));
  let sentPieces = 0;
  const stream = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (sentPieces++ < 200) controller.enqueue(piece);
      else controller.close();
    },
  });
  const since = performance.now();
  const answer = await fetch(new URL('api/comparisons/import', serving.url), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: stream,
    duplex: 'half',
  } as RequestInit).catch(() => undefined);
  if (answer) expect(answer.status).toBe(413);
  // It was not read to its end.
  expect(sentPieces).toBeLessThan(150);
  expect(performance.now() - since).toBeLessThan(5000);
  expect((await fetch(new URL('api/health', serving.url))).status).toBe(200);
}, 60_000);
