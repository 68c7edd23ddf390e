import { expect, test } from '@jest/globals';
import { fuzz } from './test/fuzz.ts';
import { useServer } from './test/useServer.ts';

// The short form of npm run fuzz.

const REQUESTS = 500;
const server = useServer({ webRoot: new URL('../../web', import.meta.url).pathname });

test(`${REQUESTS} hostile requests: none fails the server, none hangs`, async () => {
  const { failures, hangs, byStatus } = await fuzz(server.serving.url, REQUESTS, 'fuzz in the tests');
  expect(failures).toEqual([]);
  expect(hangs).toEqual([]);
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
  const answer = await fetch(new URL('api/comparisons/import', server.serving.url), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: stream,
    duplex: 'half',
  } as RequestInit).catch(() => undefined);
  if (answer) expect(answer.status).toBe(413);
  // It was not read to its end.
  expect(sentPieces).toBeLessThan(150);
  expect(performance.now() - since).toBeLessThan(5000);
  expect((await fetch(new URL('api/health', server.serving.url))).status).toBe(200);
}, 60_000);
