import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { smallDisk } from './support/smallDisk.ts';
import { seen } from './support/walker.ts';

// The browser's profile lies on a small disk of its own, which is filled under a walk.

const disk = smallDisk(120);
let app: App | undefined;
let browser: Browser | undefined;

beforeAll(async () => {
  if (!disk) return;
  app = await startApp({ demo: true });
  browser = await openBrowser({ profile: join(disk.folder, 'profile') });
}, 450_000);
afterAll(async () => {
  disk?.empty();
  await browser?.close();
  await app?.close();
  disk?.close();
});

(disk ? test : test.skip)(
  disk
    ? 'a full disk: presses wait, are not called kept, and are kept when there is room'
    : 'not run: needs root',
  async () => {
    const page = new Page((browser as Browser).driver, (app as App).url);
    const unkept = async (): Promise<number> =>
      (await page.driver.executeScript<number | null>(
        `return Number(document.querySelector('[data-unkept]')?.dataset.unkept ?? 0)`,
      )) ?? 0;
    // A browser clears storage that it may clear when the disk is full: the next test is of that.
    await page.devtools('Browser.grantPermissions', { permissions: ['durableStorage'] });
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.press('Begin the walk');
    await page.see('Dropout begins');
    await page.key('4');
    await page.until('kept', async () => (await seen(page)).kept >= 2);
    // A browser has some room in files it has already: it is pressed until the disk is felt.
    // On a slow machine an entry waits for a while without that: a full disk does not pass.
    const full = async (): Promise<boolean> => {
      for (let looks = 0; looks < 8; looks++) {
        if ((await unkept()) === 0) return false;
        await page.driver.sleep(1000);
      }
      return true;
    };
    disk?.keepFull();
    for (let presses = 0; !(await full()); presses++) {
      if (presses === 400)
        throw new Error(
          `The full disk was not felt: ${disk?.freeBytes()} bytes free, kept ${(await seen(page)).kept}.\n` +
            (await page.driver.executeScript<string>('return document.body.innerText')),
        );
      await page.key('3');
      await page.key('4');
    }
    await page.key('d');
    await page.see('not kept yet: this device has no room');
    await page.see('Dropout ends');
    expect(
      (await page.driver.findElements({ xpath: `//p[starts-with(normalize-space(.), 'kept')]` })).length,
    ).toBe(0);
    disk?.empty();
    const kept = (): Promise<{ kind: string; seq: number }[]> =>
      page.driver.executeAsyncScript<{ kind: string; seq: number }[]>(`
      const done = arguments[0];
      const open = indexedDB.open('urvek-field');
      open.onsuccess = () => {
        open.result.transaction('events').objectStore('events').getAll().onsuccess = ({ target }) => {
          open.result.close();
          done(target.result.map((k) => ({ kind: k.event.kind, seq: k.seq })));
        };
      };`);
    await page
      .until(
        'all kept',
        async () => (await unkept()) === 0 && (await kept()).some((e) => e.kind === 'dropoutBegin'),
        200_000,
      )
      .catch(async (cause: unknown) => {
        const there = await kept().catch((error: Error) => error.message);
        throw new Error(
          `${await unkept()} not kept, ${disk?.freeBytes()} bytes free, there: ${JSON.stringify(there)}\n` +
            (await page.driver.executeScript<string>('return document.body.innerText')),
          { cause },
        );
      });
    // Nothing failed for another reason than the disk.
    expect(
      (await page.driver.findElements({ xpath: `//*[contains(text(), 'Urvek failed on it')]` })).length,
    ).toBe(0);
    const log = await kept();
    // Every press once, in its order, without a gap in the numbers.
    expect(log.map((e) => e.seq)).toEqual(log.map((_, i) => i + 1));
    expect(log.filter((e) => e.kind === 'dropoutBegin')).toHaveLength(1);
  },
  400_000,
);

test('storage that the browser clears under a walk: the walk goes on, is put back, and reaches the base', async () => {
  const own = app ?? (app = await startApp({ demo: true }));
  const plain = await openBrowser();
  try {
    const page = new Page(plain.driver, own.url);
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.press('Begin the walk');
    await page.see('Dropout begins');
    await page.key('4');
    await page.until('kept', async () => (await seen(page)).kept >= 2);
    await page.devtools('Storage.clearDataForOrigin', { origin: own.url, storageTypes: 'indexeddb' });
    await page.key('3');
    await page.see('The browser cleared what this device had kept');
    await page.see('Save this walk as a file');
    await page.key('2');
    await page.until('all at the base', async () => {
      const { kept, atBase } = await seen(page);
      return kept >= 4 && atBase === kept;
    });
  } finally {
    await plain.close();
  }
}, 240_000);
