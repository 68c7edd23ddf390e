import { walksOf } from './support/walks.ts';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { StoredWalk } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { seen, setSpeed } from './support/walker.ts';

let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  app = await startApp({ demo: true });
  browser = await openBrowser();
  page = new Page(browser.driver, app.url);
}, 450_000);

afterAll(async () => {
  await browser.close();
  await app.close();
});

/** Every event that the device holds of its newest walk. */
const HELD = `
  const done = arguments[0];
  const open = indexedDB.open('urvek-field');
  open.onsuccess = () => {
    const all = open.result.transaction('events').objectStore('events').getAll();
    all.onsuccess = () => { open.result.close(); done(all.result.map((k) => k.event)); };
  };`;

const walksAtBase = async (): Promise<readonly StoredWalk[]> => walksOf(app.url, DEMO_ID);
const inOrder = (log: readonly WalkEvent[]): WalkEvent[] => [...log].sort((a, b) => a.seq - b.seq);

test(
  'offline from cold: plan and paths are there, a walk is logged, and every event arrives once ' +
    'when the base is back',
  async () => {
    await page.open('/');
    await page.see('Clip microphones');
    await page.until('the application kept for offline use', async () =>
      page.driver.executeAsyncScript<boolean>(
        'const done = arguments[0]; navigator.serviceWorker.ready.then(async () => ' +
          'done(Boolean(navigator.serviceWorker.controller) && (await caches.keys()).some((k) => ' +
          "k.includes('precache'))));",
      ),
    );
    // Loaded once is enough.
    await page.until('the comparison kept for offline use', async () =>
      page.driver.executeAsyncScript<boolean>(
        `const done = arguments[0]; caches.open('base').then(async (c) => {
          const kept = (await c.keys()).map((r) => new URL(r.url).pathname);
          done(['', '/findings'].every((of) => kept.includes('/api/comparisons/${DEMO_ID}' + of)));
        });`,
      ),
    );
    await app.stopServer();
    // Closed as a person closes it: a browser that is shot may lose the index of what it kept of the base (never
    // of the log, which other tests hold).
    await browser.driver.quit();

    browser = await openBrowser({ profile: browser.profile });
    page = new Page(browser.driver, app.url);
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.press('Begin the walk');
    await setSpeed(page, 5);
    for (const key of ['4', 'm', 'd', 'd', '5']) await page.key(key);
    await page.until('six events kept', async () => (await seen(page)).kept >= 6);
    expect((await seen(page)).atBase).toBe(0);
    await page.key('e');
    await page.press('weather');
    await page.see('ended: weather');
    await page.see('to send');
    const held = inOrder(await page.driver.executeAsyncScript<WalkEvent[]>(HELD));

    await app.startServer();
    await page.until(
      'everything at the base',
      async () =>
        (await walksAtBase()).some((w) => w.header.id === held[0]?.walkId && w.log.length === held.length),
      30_000,
    );
    const sent = (await walksAtBase()).find((w) => w.header.id === held[0]?.walkId);
    expect(inOrder(sent?.log ?? [])).toEqual(held);
  },
  600_000,
);

test('walks of the base that did not come are said to be missing, and asked for again', async () => {
  await app.stopServer();
  await page.driver.executeAsyncScript(`
    const done = arguments[0];
    caches.open('base').then(async (kept) => {
      for (const request of await kept.keys())
        if (new URL(request.url).pathname.endsWith('/findings')) await kept.delete(request);
      done(null);
    });`);
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.see('The walks at the base did not come yet');
  await page.see('Begin the walk');
  await app.startServer();
  await page.until(
    'the walks came',
    () =>
      page.driver.executeScript<boolean>("return !document.body.textContent.includes('did not come yet')"),
    40_000,
  );
}, 450_000);

test(
  'Walk now: two presses to a running log, nothing set up; afterwards it is filed, and what is ' +
    'unknown says so',
  async () => {
    await page.open('/');
    await page.press('Walk now');
    await page.press('Begin the walk');
    await page.see('Dropout begins');
    await page.key('w');
    await page.fill('Travelled distance', '0.04 km');
    await page.press('Mark it');
    await page.key('n');
    await page.fill('Note', 'crackling by the wall');
    await page.press('Keep it, and grade 4');
    await page.key('d');
    await page.key('e');
    await page.press('time');
    await page.see('File the walk');
    await page.press('File it');
    await page.see('Trace: Unknown product on Unknown path, walk 1');
    await page.see('crackling by the wall');
    await page.see('mark 40.0 m, by eye');
    await page.see('begun, baseline not stated');
  },
  450_000,
);

test('stop and call: a checkpoint is not left silently half-filled', async () => {
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.choose('How', 'stop and call');
  await page.press('Begin the walk');
  await page.press('I stand at post 1');
  await page.press('Fixed end hears me: 5, clean');
  await page.see('Leave, not reported: “I hear the fixed end”');
  await page.press('I hear the fixed end: 1, silence');
  await page.press('Leave post 1');
  await page.see('post 2');
  await page.key('e');
  await page.press('time');
  await page.press('its trace');
  await page.see('went on');
  await page.open(`/c/${DEMO_ID}/ranges`);
  await page.see('one way only. The mobile end does not hear');
}, 450_000);
