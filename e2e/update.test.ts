import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';

// A newer version comes while one walks; and a server that takes a request and never answers.

const webRoot = mkdtempSync(join(tmpdir(), 'urvek-update-'));
let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  cpSync(process.env.URVEK_TEST_WEB ?? '', webRoot, { recursive: true });
  app = await startApp({ demo: true, webRoot });
  browser = await openBrowser();
  page = new Page(browser.driver, app.url);
}, 300_000);
afterAll(async () => {
  await browser.close();
  await app.close();
  rmSync(webRoot, { recursive: true });
});

const workers = (): Promise<{ active: string; waiting: boolean }> =>
  page.driver.executeAsyncScript(`
    const done = arguments[0];
    navigator.serviceWorker.getRegistration().then(async (r) => {
      await r.update().catch(() => undefined);
      done({ active: r.active?.state, waiting: Boolean(r.waiting) });
    });`);

test('a newer version waits while one walks, and takes over at a start without a walk', async () => {
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.until('the first version', () =>
    page.driver.executeScript<boolean>('return Boolean(navigator.serviceWorker.controller)'),
  );
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await page.key('d');
  appendFileSync(join(webRoot, 'serviceWorker.js'), '\n// another version\n');
  await page.until('the newer version waits', async () => (await workers()).waiting);
  // Reloaded in mid-walk: the walk goes on with the parts that it began with.
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Go on with it');
  await page.see('Dropout ends');
  expect(await workers()).toEqual({ active: 'activated', waiting: true });
  await page.press('End …');
  await page.press('weather');
  await page.see('ended: weather');
  await page.until('the newer version took over', async () => {
    // A page that has just gone may still count as open: then it waits for the next start. A page is given time to
    // load itself anew: one that does so while it is sent elsewhere may never be said to have loaded.
    await page.open('/');
    await page.see('Clip microphones');
    const tookOver = async (): Promise<boolean> => !(await workers()).waiting;
    return page.driver.wait(tookOver, 10_000).catch(() => false);
  });
  await page.see('Clip microphones');
  // One more than was planned.
  await page.see('walks, 12 planned');
}, 300_000);

test('a server that hangs is given up after ten seconds: what is known is shown, and one can begin', async () => {
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.see('Begin the walk');
  await page.until('kept for offline', () =>
    page.driver.executeAsyncScript<boolean>(
      `const done = arguments[0]; caches.open('base').then(async (c) => done((await c.keys()).length >= 2));`,
    ),
  );
  await app.stopServer();
  const hung = createServer(() => undefined);
  await new Promise<void>((resolve) => hung.listen(Number(new URL(app.url).port), '127.0.0.1', resolve));
  expect((hung.address() as AddressInfo).port).toBe(Number(new URL(app.url).port));
  const beganMs = Date.now();
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.see('Begin the walk');
  process.stdout.write(`a way on after ${((Date.now() - beganMs) / 1000).toFixed(1)} s\n`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await page.key('d');
  await page.see('Dropout ends');
  hung.closeAllConnections();
  await new Promise((resolve) => hung.close(resolve));
  await app.startServer();
}, 300_000);
