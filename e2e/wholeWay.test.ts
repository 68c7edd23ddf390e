import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { formatLength, readWalkIntervals, summariseRanges } from '@urvek/core';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { listen, seen, setSpeed } from './support/walker.ts';

let app: App;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  app = await startApp({ demo: false });
  browser = await openBrowser();
  page = new Page(browser.driver, app.url);
}, 60_000);

afterAll(async () => {
  await browser.close();
  await app.close();
});

async function enterProduct(nth: number, name: string, claim: string, requiredDbm: string): Promise<void> {
  await page.press('Add a product');
  await page.fill('Name', name, nth);
  await page.driver.executeScript('document.querySelectorAll("details").forEach((d) => { d.open = true; })');
  await page.fill('Level needed', requiredDbm, nth);
  await (await page.find(`(//button[normalize-space(.)='Add a claim'])[${nth}]`)).click();
  await page.fill('Distance', claim, nth);
}

/** One walk: out until the link is lost, back or not, and ended. */
async function walkOnce(back: boolean): Promise<void> {
  await page.press('Begin the walk');
  await setSpeed(page, 10);
  const heard = await listen(page, (now) => now.heard === 1 && now.wheelM > 10);
  await page.key('m');
  if (back) {
    await page.key('t');
    await page.see('on the way back');
    await listen(page, (now) => now.wheelM < 8, heard);
  }
  await page.key('e');
  await page.press('time');
  await page.see('Outcomes, in separation');
}

test('from two boxes on the bench to a published range', async () => {
  // 1. Bench
  await page.open('/');
  await page.see('No comparison yet');
  await page.fill('Title', 'Two clips in the yard');
  await page.fill('Question', 'Which one holds farther?');
  await page.press('Make it');

  // 2. Kit
  await page.see('No product yet');
  await enterProduct(1, 'Pellarn One', '20 m', '-70');
  await enterProduct(2, 'Quenby Two', '600 ft', '-76');
  await page.press('Save kit');
  await page.see('Kit saved');

  // 3. Paths
  await page.press('Paths');
  await page.press('Add a path');
  await page.fill('Name', 'Yard');
  await page.fill('Length', '300');
  await page.press('Add an obstruction');
  await page.fill('What', 'Gate');
  await page.fill('At', '100');
  await page.press('Lay them out');
  await page.press('Save paths');
  await page.see('Paths saved');

  // 4. Plan: neither always goes first.
  await page.press('Plan');
  await page.fill('Walks of each product', '2');
  await page.press('Save plan');
  await page.see('Plan saved');
  await page.see('Every product stands in every place equally often.');
  const order = await page.driver.executeScript<string[]>("return [...document.querySelectorAll('section[aria-label=\"Order of walks\"] tbody tr')].map((r) => r.cells[2].textContent)");
  expect(order).toEqual(['Pellarn One', 'Quenby Two', 'Quenby Two', 'Pellarn One']);

  // 5. Walk, and 6. Trace: out and back the first time.
  for (const [i, product] of order.entries()) {
    await page.press('Walk');
    await page.see(`Next in the plan: round ${i < 2 ? 1 : 2}, place ${(i % 2) + 1}.`);
    await walkOnce(i === 0);
    await page.see(`Trace: ${product} on Yard, walk ${i < 2 ? 1 : 2}`);
  }
  await page.see('simulated gear');

  // A correction stands beside the entry, with its reason, and can be undone.
  await page.press('Correct');
  await page.fill('Reason', 'pressed by mistake');
  await page.press('Log the correction');
  await page.see('withdrawn: pressed by mistake');
  await page.press('Undo');
  await page.until('the correction is undone', async () => !(await page.driver.getPageSource()).includes('line-through'));

  // 7. Ranges: the figures are those of the file that can be downloaded.
  await page.press('Ranges');
  const link = await (await page.find("//a[contains(., 'Intervals as CSV')]")).getAttribute('href') as string;
  await page.until('all four walks at the base', async () => readWalkIntervals(await (await fetch(link)).text()).length === 4);
  const summary = summariseRanges(readWalkIntervals(await (await fetch(link)).text()));
  expect(summary.n).toBe(4);

  // 8. Verdict
  await page.press('Verdict');
  await page.see('Pellarn One: “up to 20 m, open”');
  const outcomes = await page.driver.executeScript<string[]>("return [...document.querySelectorAll('[data-verdict]')].map((v) => v.dataset.verdict)");
  expect(outcomes).toHaveLength(2);
  // 600 ft is five times what the stand-in reaches; two walks may leave it open, but never support it.
  expect(outcomes[1]).not.toBe('supported');

  // 9. Report: every figure is in it, and the walks are said to be made up.
  await page.press('Report');
  await page.see('Made up: these walks were played by simulated gear.');
  const report = await page.text('//main');
  for (const cell of summary.fitted) {
    expect(cell.walks).toBe(2);
    if (cell.median) expect(report).toContain(formatLength(cell.median.estimateM));
    else expect(report).toContain(formatLength(cell.bounds?.common?.heldM as number));
  }
  const ratio = summary.productRatios[0];
  expect(report).toContain(ratio?.estimate ? `${ratio.estimate.ratio.toFixed(2)}×` : 'no ratio');
  for (const part of ['Claims', 'What was tested, and how it was set up', 'Where', 'Conditions and caveats', 'Gate at 100 m', 'One unit of Pellarn One was tested']) expect(report).toContain(part);
}, 150_000);

test('what was logged of a walk that was cut short is whole, on the device and at the base', async () => {
  await page.press('Walk');
  await page.press('Begin the walk');
  await page.key('4');
  await page.key('3');
  await page.key('u');
  await page.until('five events at the base', async () => (await seen(page)).atBase >= 4);
  await page.driver.navigate().refresh();
  await page.see('A walk is not finished');
  await page.press('End it where it stopped');
  await page.see('Begin the walk');
}, 60_000);
