import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { By } from 'selenium-webdriver';
import { fileURLToPath } from 'node:url';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { startApp, type App } from './support/app.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';

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

test('Kit: two rigs side by side, claims that disagree, and undo', async () => {
  await page.open(`/c/${DEMO_ID}/kit`);
  await page.see('They are set up alike in everything that is stated.');
  await page.driver.executeScript('document.querySelectorAll("details").forEach((d) => { d.open = true; })');
  await page.fill('Power as set', '20', 1);
  await page.fill('Power as set', '10', 2);
  await page.see('−3.0 dB'.replace('−', '-'));
  await page.press('Add a claim');
  await page.fill('Distance', '500 m', 2);
  await page.see('cannot both be meant');
  await page.press('Save kit');
  await page.see('Kit saved');
  await page.press('Undo');
  await page.see('They are set up alike in everything that is stated.');
}, 60_000);

test('Paths: an obstruction that becomes a wall moves the prediction', async () => {
  await page.open(`/c/${DEMO_ID}/paths`);
  const breaks = async (): Promise<string> => page.text('(//*[@data-prediction]//tbody/tr)[1]/td[last()]');
  expect(await breaks()).toContain('distance alone');
  await page.choose('Kind', 'wall');
  await page.fill('At', '38');
  await page.choose('Material', 'concrete');
  await page.fill('Thickness', '0.4');
  await page.until('the wall in the prediction', async () => (await breaks()).includes('Footbridge, 38 m'));
  expect(await page.driver.executeScript<number>("return document.querySelectorAll('[data-scene] .s-obstruction').length")).toBe(2);
  await page.press('Discard changes');
  await page.until('the prediction as it was', async () => (await breaks()).includes('distance alone'));
}, 60_000);

test('Paths: a route from a GPX file becomes a path with its posts; a bad file is refused in words', async () => {
  await page.open(`/c/${DEMO_ID}/paths`);
  await page.see('Lay them out');
  const pick = async (file: string): Promise<void> => (await page.driver.findElement(By.css('input[type=file]'))).sendKeys(file);
  await pick(fileURLToPath(new URL('../package.json', import.meta.url)));
  await page.see('was not imported: feature 1: not GeoJSON');
  await pick(fileURLToPath(new URL('../core/src/formats/fixtures/route-1.1.gpx', import.meta.url)));
  await page.see('Fixed end at');
  const names = await page.driver.executeScript<string[]>("return [...document.querySelectorAll('main section[aria-label]')].map((s) => s.getAttribute('aria-label'))");
  expect(names).toContain('Incline');
  expect(names).toHaveLength(2);
  const travelled = await page.text("(//main//section)[2]//p[starts-with(normalize-space(.), 'Travelled')]");
  // gate to upper gate: about 343 m by the geodesics between the four places.
  expect(Number(/Travelled (\d+) m/.exec(travelled)?.[1])).toBeGreaterThan(335);
  expect(Number(/Travelled (\d+) m/.exec(travelled)?.[1])).toBeLessThan(350);
  await page.press('Save paths');
  await page.see('Paths saved');
  await page.press('Undo');
}, 60_000);

test('Plan: simulated power with progress and stop, then the run sheet', async () => {
  await page.open(`/c/${DEMO_ID}/plan`);
  await page.fill('Ratio worth telling', '1.4');
  await page.press('Simulate comparisons');
  await page.press('Stop');
  await page.press('Simulate comparisons');
  await page.see('28 of 28, 300 comparisons each');
  const row = await page.driver.executeScript<string[]>("return [...document.querySelectorAll('section[aria-label=\"How many walks\"] tbody tr')].map((r) => r.cells[1].textContent)");
  const powers = row.map((text) => Number(text.replace(/\D/g, '')));
  expect(powers).toHaveLength(7);
  // More walks tell more; 1.4× at σ 0.12 is certain with 16 (normal approximation: over 99.9 %).
  expect(powers[6]).toBeGreaterThanOrEqual(99);
  expect(powers[0]).toBeLessThan(powers[3] as number);
  await page.press('Discard changes');
  await page.press('Run sheet');
  await page.see('15:12');
  const sheet = await page.text('//main//table');
  expect(sheet.split('\n').filter((line) => line.startsWith('1') && line.includes('Incline'))).toHaveLength(12);
  expect(await page.text('//main')).toContain('field telephone at the footbridge');
}, 60_000);

test('Walk: what fails in the rig check is kept with the walk and printed', async () => {
  await page.open(`/c/${DEMO_ID}/walk`);
  await (await page.find("//input[@aria-label='Batteries fresh at both ends: failed']")).click();
  await page.see('1 failed: mend it now');
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await page.key('e');
  await page.press('weather');
  await page.see('Failed in the rig check:');
  await page.press('Report');
  await page.see('failed in the rig check: Batteries fresh at both ends');
}, 60_000);
