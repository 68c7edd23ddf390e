import { walksOf } from './support/walks.ts';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { StoredWalk } from '@urvek/contract';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { kill, openBrowser, Page, type Browser } from './support/browser.ts';
import { seen } from './support/walker.ts';

let app: App;
let browser: Browser;

beforeAll(async () => {
  app = await startApp({ demo: true });
}, 450_000);

afterAll(async () => {
  await browser.close();
  await app.close();
});

test('a browser killed in mid-walk loses nothing that was kept', async () => {
  browser = await openBrowser();
  const page = new Page(browser.driver, app.url);
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  for (const key of ['4', '3', 'm', 'd']) await page.key(key);
  await page.until('five events kept', async () => (await seen(page)).kept >= 5);
  const before = await seen(page);
  await kill(browser);

  browser = await openBrowser({ profile: browser.profile });
  const again = new Page(browser.driver, app.url);
  await again.open(`/c/${DEMO_ID}/walk`);
  await again.see('A walk is not finished');
  await again.press('Go on with it');
  await again.see('Dropout ends');
  expect((await seen(again)).kept).toBeGreaterThan(before.kept);
  expect((await seen(again)).wheelM).toBeGreaterThanOrEqual(before.wheelM - 3);
  await again.key('d');
  await again.key('e');
  await again.press('danger');
  await again.see('ended: danger');

  await again.until('all at the base', async () => lastLog(await walks()).some((e) => e.kind === 'end'));
  const log = lastLog(await walks());
  expect(log.map((e) => e.seq)).toEqual(log.map((_, i) => i + 1));
  expect(log.filter((e) => e.kind !== 'mark' || e.body.reading?.pressed).map((e) => e.kind)).toEqual([
    'begin',
    'grade',
    'grade',
    'mark',
    'dropoutBegin',
    'gap',
    'dropoutEnd',
    'end',
  ]);
}, 450_000);

const walks = async (): Promise<readonly StoredWalk[]> => walksOf(app.url, DEMO_ID);
const lastLog = (all: readonly StoredWalk[]): StoredWalk['log'] =>
  [...(all.toSorted((a, b) => a.header.startedMs - b.header.startedMs).at(-1)?.log ?? [])].sort(
    (a, b) => a.seq - b.seq,
  );

/**
 * Puts events into the log on the device behind the application's back, as a faulty version of it might have.
 */
const SMUGGLE = `
  const [walkId, made, done] = arguments;
  const open = indexedDB.open('urvek-field');
  open.onsuccess = () => {
    const transaction = open.result.transaction(['walks', 'events'], 'readwrite');
    const [walks, events] = ['walks', 'events'].map((name) => transaction.objectStore(name));
    walks.get(walkId).onsuccess = ({ target: { result: walk } }) => {
      events.index('walkId').get(walkId).onsuccess = ({ target: { result: { deviceId, event: first } } }) => {
        made.forEach((m, i) => {
          const seq = walk.nextSeq + i;
          events.add({ walkId, deviceId, seq, place: 0, event: { ...first, ...m, seq } });
        });
        walks.put({ ...walk, nextSeq: walk.nextSeq + made.length });
      };
    };
    transaction.oncomplete = () => { open.result.close(); done(true); };
  };`;

test('an event that the base refuses is set aside and the rest goes on; a batch too large is halved', async () => {
  const page = new Page(browser.driver, app.url);
  const [latest] = (await walks()).toSorted((a, b) => b.header.startedMs - a.header.startedMs);
  const id = latest?.header.id as string;
  const before = latest?.log.length as number;
  // 200 notes of 6 kB are more than the base takes at once.
  const notes = Array.from({ length: 200 }, (_, i) => ({
    kind: 'note',
    body: { text: `${i} ${'…'.repeat(1900)}` },
  }));
  await page.driver.executeAsyncScript(SMUGGLE, id, [{ kind: 'grade', body: { grade: 9 } }, ...notes]);
  await page.open(`/c/${DEMO_ID}/trace/${id}`);
  await page.see('1 refused, set aside');
  await page.see('number ' + String(before + 1) + ', grade');
  await page.until('the rest at the base', async () => lastLog(await walks()).length === before + 200);
}, 450_000);

test('with the server gone the log goes on', async () => {
  const page = new Page(browser.driver, app.url);
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await page.until('the beginning at the base', async () => (await seen(page)).atBase >= 1);
  await app.stopServer();
  await page.key('4');
  await page.key('d');
  await page.until('kept here', async () => (await seen(page)).kept >= 3);
  expect((await seen(page)).atBase).toBeLessThan((await seen(page)).kept);
}, 450_000);
