import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { AxeBuilder } from '@axe-core/webdriverjs';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { setSpeed } from './support/walker.ts';

let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  app = await startApp({ demo: true });
  browser = await openBrowser();
  page = new Page(browser.driver, app.url);
}, 60_000);

afterAll(async () => {
  await browser.close();
  await app.close();
});

async function violations(): Promise<string[]> {
  const { violations: found } = await new AxeBuilder(page.driver).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  return found.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).slice(0, 2).join(' ')}`);
}

test.each([
  ['/', 'Clip microphones'], ['kit', 'Add a product'], ['paths', 'Lay them out'], ['plan', 'Balance'], ['run-sheet', 'Back by'], ['walk', 'Begin the walk'],
  ['trace', 'Outcomes, in separation'], ['ranges', 'Each walk'], ['verdict', 'Judged on the median'], ['report', 'What was tested'],
])('%s has no WCAG 2.2 AA finding', async (stage, sign) => {
  await page.open(stage === '/' ? '/' : `/c/${DEMO_ID}/${stage}`);
  await page.see(sign);
  expect(await violations()).toEqual([]);
}, 40_000);

test('nor has a walk under way, in sun mode too; and its buttons are thumb-sized', async () => {
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await setSpeed(page, 2);
  await page.key('d');
  await page.see('Dropout ends');
  expect(await violations()).toEqual([]);
  await (await page.find("//label[contains(., 'sun')]/input")).click();
  expect(await violations()).toEqual([]);
  const heights = await page.driver.executeScript<number[]>("return [...document.querySelectorAll('[role=group][aria-label=Log] button')].map((b) => b.getBoundingClientRect().height)");
  expect(heights.length).toBeGreaterThanOrEqual(11);
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(64);
}, 40_000);
