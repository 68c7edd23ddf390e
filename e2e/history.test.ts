import { afterAll, expect, test } from '@jest/globals';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });
let second: Browser | undefined;
afterAll(() => second?.close());

const walksEach = async (page: Page): Promise<string> =>
  (await (await page.field('Walks of each product')).getAttribute('value')) ?? '';

test('two people change one plan: both stand side by side, nothing is lost, the history tells it', async () => {
  const { page } = session;
  second = await openBrowser();
  const other = new Page(second.driver, page.origin);
  for (const p of [page, other]) {
    await p.open(`/c/${DEMO_ID}/plan`);
    await p.press('Settings');
    await p.field('Walks of each product');
  }
  // Here another number is typed, not knowing of what the other saves.
  await page.fill('Walks of each product', '9');
  await other.fill('Walks of each product', '7');
  await other.fill('Smallest difference that matters', '1.4');
  await other.press('Save plan');
  await other.see('Plan saved');
  // It is told of it at its own save, or, where it is slow, before.
  await page.until('told of the other', async () => {
    const [save] = await page.driver.findElements({ xpath: "//button[normalize-space(.)='Save plan']" });
    await save?.click().catch(() => undefined);
    return (await page.text('//body')).includes('changed elsewhere');
  });
  await page.see('This set-up was changed elsewhere while you edited it');
  expect(await wcagFindings(page.driver)).toEqual([]);
  const rows = await page.text("//table[@aria-label='Changed by both']//tbody");
  expect(rows).toMatch(/walks of each product.*\b6\b.*\b7\b.*\b9\b/s);
  expect(rows).not.toMatch(/difference/);
  await (await page.find("(//table[@aria-label='Changed by both']//input[@type='radio'])[2]")).click();
  await page.press('Take these, then save');
  expect(await walksEach(page)).toBe('9');
  await page.press('Save plan');
  await page.see('Plan saved');
  // The other, who changes nothing, has both by the next look.
  await other.open(`/c/${DEMO_ID}/plan`);
  await other.press('Settings');
  await other.until('mine', async () => (await walksEach(other)) === '9');
  expect(await (await other.field('Smallest difference that matters')).getAttribute('value')).toBe('1.4');

  await page.press('History');
  const table = "//table[@aria-label='Changes of the set-up, the newest first']//tbody";
  await page.until('three of them', async () => (await page.text(table)).includes('as it is first kept'));
  expect(await page.text(`(${table}/tr)[1]`)).toMatch(/this machine.*walks of each product/s);
  expect(await page.text(`(${table}/tr)[2]`)).toMatch(/this machine.*difference that matters/s);
  await page.press('Bring back change 1');
  await page.see('As it was after change 1');
  await page.open(`/c/${DEMO_ID}/plan`);
  await page.press('Settings');
  await page.until('as before', async () => (await walksEach(page)) === '6');
}, 450_000);
