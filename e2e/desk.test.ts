import { expect, test } from '@jest/globals';
import { STAGES } from '@urvek/study';
import { Key } from 'selenium-webdriver';
import { SLATE_WORKS_ID } from '../server/src/demo/slateWorks.ts';
import { wcagFindings } from './support/axe.ts';
import { useSession } from './support/session.ts';

// Ten products on five paths, 109 walks: every stage is seen at a glance, and what is selected stands in the address.

const session = useSession({ demo: 'whole' });
const at = (path: string): string => `/c/${SLATE_WORKS_ID}/${path}`;
const address = async (): Promise<URL> => new URL(await session.page.driver.getCurrentUrl());
const script = <T>(code: string): Promise<T> => session.page.driver.executeScript<T>(code);

/** Texts that are drawn smaller than 13 px, with what they say. */
const SMALL_TEXTS = `
  const small = new Set();
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const e = node.parentElement;
    if (!node.data.trim() || !e.checkVisibility() || e.closest('.sr-only, style, script, title')) continue;
    const px = parseFloat(getComputedStyle(e).fontSize);
    if (px < 12.99) small.add(px + ' px: ' + node.data.trim().slice(0, 40));
  }
  return [...small];`;

/**
 * How many words the page itself says on its first screen, and in how many sizes of type. Not counted: what the
 * comparison says (names, notes), notes of the log, figures with their units, and what is drawn.
 */
const OVERVIEW = `
  const comparison = JSON.stringify(arguments[0]).replace(/\\s+/g, ' ');
  const words = [];
  const sizes = new Set();
  const walk = document.createTreeWalker(document.querySelector('main'), NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const e = node.parentElement;
    const text = node.data.trim().replace(/\\s+/g, ' ');
    if (!text || !e.checkVisibility() || e.closest('.sr-only, svg')) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const box = range.getBoundingClientRect();
    if (box.width === 0 || box.bottom < 0 || box.top > innerHeight) continue;
    sizes.add(getComputedStyle(e).fontSize);
    if (!comparison.includes(text) && !/\\d|^“/.test(text)) words.push(...text.match(/\\p{L}{2,}/gu) ?? []);
  }
  return { words, sizes: [...sizes] };`;

test.each([
  ['kit', 'Not stated'],
  ['kit?show=sheet', 'set up alike'],
  ['paths', 'On one scale'],
  ['plan', 'Home after'],
  ['walk', 'Begin the walk'],
  ['trace', 'Outcomes, in separation'],
  ['ranges', 'one scale for all'],
  ['verdict', 'Next step'],
])(
  '%s: no longer than two screens, 120 words in three sizes of type, none under 13 px, nothing against WCAG 2.2 AA',
  async (stage, sign) => {
    const { page } = session;
    await page.open(at(stage));
    await page.see(sign);
    await page.driver.sleep(500);
    expect(await script<number>('return document.documentElement.scrollHeight')).toBeLessThanOrEqual(1600);
    const said = await fetch(new URL(`api/comparisons/${SLATE_WORKS_ID}`, session.app.url));
    const { words, sizes } = await page.driver.executeScript<{ words: string[]; sizes: string[] }>(
      OVERVIEW,
      await said.json(),
    );
    expect(words.length).toBeGreaterThan(10);
    expect(words.length).toBeLessThanOrEqual(120);
    expect(sizes.length).toBeLessThanOrEqual(3);
    expect(await script<string[]>(SMALL_TEXTS)).toEqual([]);
    expect(await wcagFindings(page.driver)).toEqual([]);
  },
  450_000,
);

test('Bench: eight marks a comparison, and the demo in eight steps, each on its stage', async () => {
  const { page } = session;
  await page.open('/');
  await page.until(
    'both strips',
    async () =>
      (await script<number>("return document.querySelectorAll('article [data-mark]').length")) === 16,
  );
  expect(await wcagFindings(page.driver)).toEqual([]);
  await page.press('The demo in three minutes');
  for (const [i, stage] of STAGES.entries()) {
    await page.see(`${i + 1} of 8, `);
    const url = await address();
    expect([url.pathname.split('/')[3], url.searchParams.get('tour')]).toEqual([stage, String(i + 1)]);
    await page.press(i < 7 ? 'Next' : 'Done');
  }
  await page.see('Start from a question');
}, 450_000);

test('Trace: tape, time and log point at one moment, which is in the address', async () => {
  const { page } = session;
  // The last walk of all has no place anywhere.
  await page.open(at('trace?product=ossimere'));
  await page.see('Step to an entry');
  await page.press('Next');
  await page.press('Next');
  const pointed = async (): Promise<[number, number]> => [
    await script<number>("return document.querySelectorAll('[data-group=here]').length"),
    await script<number>("return document.querySelectorAll('[data-pointed]').length"),
  ];
  await page.until(
    'a line on the tape and over time, and a row',
    async () => (await pointed()).join() === '2,1',
  );
  const entry = (await address()).searchParams.get('entry');
  expect(entry).not.toBeNull();
  const said = await page.text('//*[@data-selected]');
  await page.driver.navigate().refresh();
  await page.until('the same after a reload', async () => (await page.text('//*[@data-selected]')) === said);
  // A row of the log is pointed at as well.
  await (await page.find("(//button[starts-with(@aria-label, 'Point at')])[4]")).click();
  await page.until('another', async () => (await address()).searchParams.get('entry') !== entry);
  expect(await pointed()).toEqual([2, 1]);
}, 450_000);

test('a cell is selected by pointer and by arrow keys; reload and back know it', async () => {
  const { page } = session;
  await page.open(at('ranges'));
  await page.see('Separation, one scale for all');
  const cells = await script<string[]>(
    'return [...document.querySelectorAll("[data-cell]")].map((c) => c.dataset.cell)',
  );
  expect(cells).toHaveLength(50);
  const selected = (): Promise<string> =>
    script<string>('return document.querySelector("[data-cell][aria-pressed=true]").dataset.cell');
  const [first = '', right = ''] = cells;
  await (await page.find(`//*[@data-cell='${first}']`)).click();
  expect((await address()).searchParams.get('cell')).toBe(first);
  await page.driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
  await page.until('the cell beside it', async () => (await selected()) === right);
  await page.driver.navigate().refresh();
  await page.see('Separation, one scale for all');
  expect(await selected()).toBe(right);
  await page.driver.navigate().back();
  await page.until('the first again', async () => (await selected()) === first);
  // What is told of it is what stands in the cell.
  const told = await page.text('//*[@data-told]');
  const label = await (await page.find(`//*[@data-cell='${first}']`)).getAttribute('aria-label');
  expect(told).toContain(label);
}, 450_000);

test('every state of the plan of walks has its figure; a ratio is against who is chosen', async () => {
  const { page } = session;
  await page.open(at('ranges'));
  await page.see('Separation, one scale for all');
  const ratios = (): Promise<string> => page.text("//tr[th[contains(., 'Threnlow T2')]]");
  expect(await ratios()).toContain('×1.48');
  await (await page.find("//select[option[.='first of each kind']]/option[.='Threnlow T2']")).click();
  await page.until('the other way round', async () => !(await ratios()).includes('×1.48'));
  expect(await page.text("//tr[th[contains(., 'Ossimere Clip')]]")).toContain('×0.68');
  expect((await address()).searchParams.get('against')).not.toBeNull();
}, 450_000);

test('the lens is chosen once, and goes along from stage to stage', async () => {
  const { page } = session;
  await page.open(at('ranges'));
  await page.see('Separation, one scale for all');
  await page.choose('Path', 'Incline');
  await page.choose('Kind', 'Microphone');
  await page.until(
    'two cells',
    async () => (await script<number>('return document.querySelectorAll("[data-cell]").length')) === 2,
  );
  for (const stage of ['Verdict', 'Report', 'Trace', 'Ranges']) {
    await page.press(stage);
    await page.until(`${stage} through the lens`, async () => {
      const { pathname, searchParams } = await address();
      return (
        pathname.includes(stage.toLowerCase()) &&
        searchParams.get('path') === 'incline' &&
        searchParams.get('kind') === 'microphone'
      );
    });
    if (stage === 'Verdict') {
      await page.see('Next step');
      expect(await script<number>('return document.querySelectorAll("[data-verdict]").length')).toBe(2);
    }
    if (stage === 'Trace') {
      await page.see('Outcomes, in separation');
      const shown = await page.text("//nav[@aria-label='Walks']");
      expect(shown).toContain('Ossimere Clip');
      expect(shown).not.toContain('Larkbell Post');
    }
  }
}, 450_000);

test('a line of the ledger opens by arrow keys, and the walks of Trace go by them too', async () => {
  const { page } = session;
  await page.open(at('verdict'));
  await page.see('Next step');
  const line = (): Promise<string> =>
    script<string>('return document.querySelector("[data-line][aria-pressed=true]").dataset.line');
  const before = await line();
  await script('document.querySelector("[data-line][aria-pressed=true]").focus()');
  await page.driver.actions().sendKeys(Key.ARROW_DOWN).perform();
  await page.until('the line below', async () => (await line()) !== before);
  expect((await address()).searchParams.get('line')).toBe(await line());
  await page.open(at('trace'));
  await page.see('Outcomes, in separation');
  const walk = (await address()).pathname;
  await script('document.querySelector("nav[aria-label=Walks] a[aria-current=page]").focus()');
  await page.driver.actions().sendKeys(Key.ARROW_UP).perform();
  await page.until('the walk before', async () => (await address()).pathname !== walk);
}, 450_000);
