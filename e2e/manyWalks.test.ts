import { beforeAll, expect, test } from '@jest/globals';
import { get } from 'node:http';
import { gunzipSync } from 'node:zlib';
import { manyWalks } from '../server/src/demo/manyWalks.ts';
import { useSession } from './support/session.ts';
import { STAGES } from './support/stages.ts';

const ID = '0c1d0000-0000-4000-8000-00000000beef';
/** 7 times 108 walks: 756, with 33,000 entries. */
const TIMES = 7;
const session = useSession({ demo: false });
/** Of the answers with findings, as they are sent, bytes. */
const sizes: number[] = [];

const answer = (path: string): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    get(new URL(path, session.app.url), { headers: { 'accept-encoding': 'gzip' } }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => resolve(Buffer.concat(parts)));
    }).once('error', reject);
  });

beforeAll(async () => {
  const response = await fetch(new URL('/api/comparisons/import', session.app.url), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(manyWalks(ID, TIMES)),
  });
  expect(response.status).toBe(201);
  // The first look works all walks out; what follows finds them kept.
  let after: string | undefined;
  do {
    const body = await answer(`/api/comparisons/${ID}/findings${after ? `?after=${after}` : ''}`);
    sizes.push(body.length);
    after = (JSON.parse(gunzipSync(body).toString()) as { next?: string }).next;
  } while (after !== undefined);
}, 450_000);

test.each(STAGES)(
  'with 756 walks, %s shows “%s”, and its page is never long at work',
  async (stage, sign, longTasks) => {
    const { page } = session;
    await page.open(`/c/${ID}/${stage}`);
    await page.see(sign);
    await page.driver.sleep(1500);
    const tasks = await page.driver.executeAsyncScript<number[]>(`
      const done = arguments[0];
      const found = [];
      const keep = (list) => found.push(...list.getEntries().map((e) => Math.round(e.duration)));
      new PerformanceObserver(keep).observe({ type: 'longtask', buffered: true });
      setTimeout(() => done(found), 300);
    `);
    expect(tasks.length).toBeLessThanOrEqual(longTasks);
    // What it shows first the base answered: no walk was fetched for it.
    const asked = await page.driver.executeScript<string[]>(
      "return performance.getEntriesByType('resource').map((r) => new URL(r.name).pathname)",
    );
    expect(asked).toContain(`/api/comparisons/${ID}/answers/overview`);
  },
  300_000,
);

test('no answer with findings is over 1 MB', () => {
  expect(sizes).toHaveLength(4);
  expect(Math.max(...sizes)).toBeLessThan(1_000_000);
});
