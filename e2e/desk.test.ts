import { expect, test } from '@jest/globals';
import { Key } from 'selenium-webdriver';
import { SLATE_WORKS_ID } from '../server/src/demo/slateWorks.ts';
import { wcagFindings } from './support/axe.ts';
import { useSession } from './support/session.ts';

// Ten products on five paths, 109 walks: every stage is seen at a glance, and what is selected stands in the address.

const session = useSession({ demo: 'whole' });
const at = (path: string): string => `/c/${SLATE_WORKS_ID}/${path}`;
const address = async (): Promise<URL> => new URL(await session.page.driver.getCurrentUrl());
const script = <T>(code: string): Promise<T> => session.page.driver.executeScript<T>(code);

test.each([
  ['kit', 'Not stated'],
  ['kit?show=sheet', 'set up alike'],
  ['paths', 'On one scale'],
  ['plan', 'Home after'],
  ['walk', 'Begin the walk'],
  ['ranges', 'Separation, one scale for all'],
  ['verdict', 'Why, and what next'],
])(
  '%s: no longer than two screens, nothing against WCAG 2.2 AA',
  async (stage, sign) => {
    const { page } = session;
    await page.open(at(stage));
    await page.see(sign);
    await page.driver.sleep(500);
    expect(await script<number>('return document.documentElement.scrollHeight')).toBeLessThanOrEqual(1600);
    expect(await wcagFindings(page.driver)).toEqual([]);
  },
  180_000,
);

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
}, 180_000);

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
}, 180_000);

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
      await page.see('Why, and what next');
      expect(await script<number>('return document.querySelectorAll("[data-verdict]").length')).toBe(2);
    }
    if (stage === 'Trace') {
      await page.see('Outcomes, in separation');
      const shown = await page.text("//nav[@aria-label='Walks']");
      expect(shown).toContain('Ossimere Clip');
      expect(shown).not.toContain('Larkbell Post');
    }
  }
}, 180_000);

test('a line of the ledger opens by arrow keys, and the walks of Trace go by them too', async () => {
  const { page } = session;
  await page.open(at('verdict'));
  await page.see('Why, and what next');
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
}, 180_000);
