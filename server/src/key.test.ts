import { expect, test } from '@jest/globals';
import { useServer } from './test/useServer.ts';

// Another user of this machine reaches loopback, and has no key.

const KEY = 'k'.repeat(32);
const removed: string[] = [];
const server = useServer({
  webRoot: new URL('../../web', import.meta.url).pathname,
  key: KEY,
  backupBefore: async (what) => {
    removed.push(what);
    return `/backups/before-${what}`;
  },
});

const ask = (path: string, headers: Record<string, string> = {}, init: RequestInit = {}): Promise<Response> =>
  fetch(new URL(path, server.serving.url), {
    headers: { 'content-type': 'application/json', ...headers },
    ...init,
  });

test('without the key: 401 with what to do, whatever the case of the path; health and the page are open', async () => {
  for (const path of [
    'api/comparisons',
    'api/lan',
    'api/time',
    'API/comparisons',
    'api/comparisons?key=wrong',
  ])
    expect([path, (await ask(path)).status]).toEqual([path, 401]);
  const said = (await (await ask('api/comparisons')).json()) as { todo: string };
  expect(said.todo).toContain('.urvek/address');
  expect((await ask('api/comparisons', { 'X-Urvek-Key': 'wrong' })).status).toBe(401);
  expect((await ask('api/comparisons', { cookie: `urvek-key-${server.serving.port}=wrong` })).status).toBe(
    401,
  );
  expect((await ask('api/health')).status).toBe(200);
  expect((await ask('')).status).toBe(200);
});

test('the printed address gives a cookie of this port; the header alone does too', async () => {
  const opened = await ask(`?key=${KEY}`);
  expect(String(opened.headers.get('set-cookie'))).toMatch(
    new RegExp(
      `^urvek-key-${server.serving.port}=${KEY}; Max-Age=\\d+; Path=/; .*HttpOnly; SameSite=Strict$`,
    ),
  );
  const cookie = String(opened.headers.get('set-cookie')).split(';')[0] as string;
  expect((await ask('api/comparisons', { cookie })).status).toBe(200);
  // A browser that lost its cookies in a crash.
  const byHeader = await ask('api/comparisons', { 'X-Urvek-Key': KEY });
  expect([byHeader.status, byHeader.headers.has('set-cookie')]).toEqual([200, true]);
});

test('set aside and taken back; removed for good only behind a backup', async () => {
  const key = { 'X-Urvek-Key': KEY };
  const id = '00000000-0000-4000-8000-00000000000a';
  const at = `api/comparisons/${id}`;
  await ask('api/comparisons', key, {
    method: 'POST',
    body: JSON.stringify({ id, title: 'Old', question: '' }),
  });
  const walk = '00000000-0000-4000-8000-00000000000b';
  await ask(`api/walks/${walk}`, key, {
    method: 'PUT',
    body: JSON.stringify({
      id: walk,
      comparisonId: id,
      productId: 'p',
      rigId: 'r',
      pathId: 'q',
      startedMs: 1,
    }),
  });
  const time = { walkS: 0, rate: 1, inputMs: 0, originMs: 0, wallMs: 0 };
  const deviceId = '00000000-0000-4000-8000-00000000000c';
  const event = { walkId: walk, deviceId, seq: 1, version: 1, kind: 'note', time, body: { text: 'logged' } };
  const logged = await ask(`api/walks/${walk}/events`, key, {
    method: 'POST',
    body: JSON.stringify({ events: [event] }),
  });
  expect(logged.status).toBe(200);
  const log = (...more: object[]): Promise<Response> =>
    ask(`api/walks/${walk}/events`, key, { method: 'POST', body: JSON.stringify({ events: more }) });
  const made = async (): Promise<unknown> =>
    ((await (await ask('api/comparisons', key)).json()) as { walksMade: number }[])[0]?.walksMade;
  // A walk that is left out is not made; withdrawn, it is.
  await log({ ...event, seq: 2, kind: 'end', body: { reason: 'time' } });
  expect(await made()).toBe(1);
  await log({ ...event, seq: 3, kind: 'leftOut', body: { reason: 'begun by mistake' } });
  expect(await made()).toBe(0);
  const amends = { deviceId, seq: 3 };
  await log({ ...event, seq: 4, kind: 'correction', body: { amends, action: 'withdraw', reason: 'undone' } });
  expect(await made()).toBe(1);
  // Beside a real walk, one with simulated gear is a rehearsal, and not made; alone it is.
  const rehearsal = '00000000-0000-4000-8000-00000000000e';
  const header = { id: rehearsal, comparisonId: id, productId: 'p', rigId: 'r', pathId: 'q', startedMs: 1 };
  await ask(`api/walks/${rehearsal}`, key, { method: 'PUT', body: JSON.stringify(header) });
  const begun = { direction: 'mobile-to-fixed', simulatedSeed: 's' };
  const rehearse = (...more: object[]): Promise<Response> =>
    ask(`api/walks/${rehearsal}/events`, key, { method: 'POST', body: JSON.stringify({ events: more }) });
  const of = { ...event, walkId: rehearsal };
  await rehearse(
    { ...of, kind: 'begin', body: begun },
    { ...of, seq: 2, kind: 'end', body: { reason: 'time' } },
  );
  expect(await made()).toBe(1);
  await log({ ...event, seq: 5, kind: 'leftOut', body: { reason: 'the receiver was off' } });
  expect(await made()).toBe(1);
  await rehearse({ ...of, seq: 3, kind: 'leftOut', body: { reason: 'only tried' } });
  expect(await made()).toBe(0);
  expect((await ask(`${at}/aside`, key, { method: 'PUT', body: '{"reason":"tried out"}' })).status).toBe(204);
  expect(await (await ask('api/comparisons', key)).json()).toMatchObject([
    { id, aside: { reason: 'tried out' } },
  ]);
  await ask(`${at}/aside`, key, { method: 'PUT', body: '{}' });
  expect(((await (await ask('api/comparisons', key)).json()) as object[])[0]).not.toHaveProperty('aside');
  // One walk goes by itself; who holds it still is told so, and an import brings it back.
  const single = '00000000-0000-4000-8000-00000000000d';
  const put = (): Promise<Response> =>
    ask(`api/walks/${single}`, key, {
      method: 'PUT',
      body: JSON.stringify({
        id: single,
        comparisonId: id,
        productId: 'p',
        rigId: 'r',
        pathId: 'q',
        startedMs: 1,
      }),
    });
  expect((await put()).status).toBe(204);
  const whole = (await (await ask(`${at}/comparison.json`, key)).json()) as {
    walks: { header: { id: string } }[];
  };
  expect(await (await ask(`api/walks/${single}`, key, { method: 'DELETE' })).json()).toEqual({
    backup: '/backups/before-removing',
  });
  expect((await ask(`api/walks/${single}`, key, { method: 'DELETE' })).status).toBe(404);
  const gone = await put();
  expect([gone.status, ((await gone.json()) as { code: string }).code]).toEqual([410, 'gone']);
  expect((await ask(`api/walks/${walk}/events`, key)).status).toBe(200);
  const back = await ask(`${at}/walks`, key, {
    method: 'POST',
    body: JSON.stringify({ walks: whole.walks.filter((w) => w.header.id === single) }),
  });
  expect([back.status, (await put()).status]).toEqual([201, 204]);
  expect(await (await ask(at, key, { method: 'DELETE' })).json()).toEqual({
    backup: '/backups/before-removing',
  });
  expect(removed).toEqual(['removing', 'removing']);
  expect((await put()).status).toBe(410);
  expect(await (await ask('api/comparisons', key)).json()).toEqual([]);
  expect((await ask(`api/walks/${walk}/events`, key)).status).toBe(404);
  const { trail } = (await (await ask('api/lan', key)).json()) as { trail: { what: string }[] };
  expect(trail.map((t) => t.what)).toEqual([
    'removed the comparison “Old” for good; it is in /backups/before-removing',
    expect.stringMatching(/^removed the walk of 1970-\S+ from “Old” for good; it is in \/backups/),
    'took the file Old.urvek.json',
    'took back the comparison “Old”',
    'set aside the comparison “Old”: tried out',
  ]);
});
