import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';

const KEY = 'k'.repeat(32);
let app: App;
let browser: Browser;

beforeAll(async () => {
  app = await startApp({ demo: true, key: KEY });
  browser = await openBrowser();
}, 450_000);
afterAll(async () => {
  await browser.close();
  await app.close();
});

test('without the key it is said how to open Urvek, and logging goes on; with it all is there', async () => {
  const page = new Page(browser.driver, app.url);
  await page.open('/');
  await page.see('This browser has no key to this Urvek.');
  await page.see('it stands in the file .urvek/address');
  // What is logged meanwhile is kept here.
  await page.open('/walk-now');
  await page.press('Begin the walk');
  await page.until('a walk', async () =>
    page.driver.executeScript<boolean>('return document.querySelector("[data-kept]")?.dataset.kept > 0'),
  );
  await page.open(`/?key=${KEY}`);
  await page.see('Clip microphones on the Incline');
  expect(new URL(await page.driver.getCurrentUrl()).search).toBe('');
  // Out of scripts' reach, and lost in a crash: the page has its own.
  expect(await page.driver.executeScript('return document.cookie')).toBe('');
  await page.driver.manage().deleteAllCookies();
  await page.open('/');
  await page.see('Clip microphones on the Incline');
  expect((await page.driver.manage().getCookies()).map((c) => c.value)).toEqual([KEY]);
  expect(await page.driver.findElements({ xpath: "//*[contains(., 'has no key')][@role='alert']" })).toEqual(
    [],
  );
}, 300_000);

test('a comparison is set aside with a reason, and taken back', async () => {
  const page = new Page(browser.driver, app.url);
  await page.open('/');
  await page.press('Set aside');
  await page.fill('Why', 'tried out');
  await (await page.find("//button[normalize-space(.)='Set aside']")).click();
  await page.see('is set aside; nothing of it is lost.');
  await page.press('Set aside: 1');
  await page.see('tried out');
  await page.press('Take Clip microphones on the Incline back');
  await page.until('back', async () =>
    page.driver.executeScript<boolean>(
      `return [...document.querySelectorAll('article h2')].some((h) => h.textContent.includes('Clip microphones'))`,
    ),
  );
}, 300_000);
