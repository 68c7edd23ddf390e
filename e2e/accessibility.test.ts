import { expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { useSession } from './support/session.ts';
import { setSpeed } from './support/walker.ts';

const session = useSession({ demo: true });

const send = (name: string, parameters: object): Promise<void> => session.page.devtools(name, parameters);

const violations = (): Promise<string[]> => wcagFindings(session.page.driver);

const screen = (width: number, height: number): Promise<void> =>
  send('Emulation.setDeviceMetricsOverride', {
    ...{ width, height, deviceScaleFactor: 1 },
    mobile: width < 1000,
  });
/** A phone zooms out where a page is too wide: the device's width is meant. */
const tooWide = (width: number): Promise<number> =>
  session.page.driver.executeScript<number>(`return document.documentElement.scrollWidth - ${width}`);
const NARROW = `return [...document.querySelectorAll('main input:not([type=checkbox]):not([type=radio]), main select')]
  .filter((e) => e.offsetParent && !e.classList.contains('sr-only') && e.getBoundingClientRect().width < 44).length`;
const HIDDEN = `const e = document.activeElement; const r = e.getBoundingClientRect();
  if (e === document.body || r.width === 0) return null;
  const within = (v, most) => Math.min(most - 1, Math.max(0, v));
  const at = document.elementFromPoint(
    within(r.left + r.width / 2, innerWidth), within(r.top + Math.min(r.height, 20) / 2, innerHeight));
  const seen = at && (e.contains(at) || at.contains(e) || e.labels?.[0]?.contains(at));
  return seen ? null : e.outerHTML.slice(0, 80);`;
const titles = new Map<string, string>();

test.each([
  ['/', 'Clip microphones'],
  ['/new?from=router', 'Create it, and go to the first walk'],
  ['/words', 'What Urvek calls things'],
  ['/walk-now', 'Begin the walk'],
  ['/trainer', 'Begin the lesson'],
  ['/trainer/grades', 'Who grades'],
  ['/signals', 'Nothing plays'],
  ['history', 'as it is first kept'],
  ['/notebook', 'From notes as text'],
  ['/devices', 'Devices'],
  ['/join', 'Join a walk'],
  ['/methods', 'Methods'],
  ['key-sheet', 'show the key'],
  ['kit', 'Add a product'],
  ['kit?show=sheet', 'hatched: not stated'],
  ['paths', 'On one scale'],
  ['paths?part=across-1', 'loss by eye'],
  ['plan', 'Home after'],
  ['plan?show=checks', 'Balance'],
  ['run-sheet', 'Back by'],
  ['film', 'Choose the recording'],
  ['import-sheet', 'No file yet'],
  ['walk', 'Begin the walk'],
  ['trace', 'Outcomes, in separation'],
  ['ranges', 'Each walk'],
  ['ranges?show=ratios', 'How fast the level falls'],
  ['verdict', 'Judged on the median'],
  ['verdict?show=fairness', 'with the names known'],
  ['report', 'What was tested'],
])(
  '%s: no WCAG 2.2 AA finding, a title of its own, no wider than a phone, and usable at 400 %%',
  async (stage, sign) => {
    const { page } = session;
    await page.open(stage.startsWith('/') ? stage : `/c/${DEMO_ID}/${stage}`);
    await page.see(sign);
    const wrong = await violations();
    const title = await page.driver.getTitle();
    // A view of a stage has the stage's title.
    if (titles.has(title) && !stage.includes('?')) wrong.push(`the title of ${titles.get(title)}`);
    titles.set(title, stage);
    for (const [width, height] of [
      [390, 844],
      [844, 390],
      [320, 640],
    ] as const) {
      await screen(width, height);
      const over = await tooWide(width);
      if (over > 0) wrong.push(`at ${width}: ${over} px over`);
      if (stage === 'kit' && (await page.driver.executeScript<number>(NARROW)) > 0)
        wrong.push(`at ${width}: fields narrower than a thumb`);
    }
    // 1280 × 800 at 400 %: what has the focus is not hidden.
    await send('Emulation.setDeviceMetricsOverride', {
      ...{ width: 320, height: 200, deviceScaleFactor: 4, mobile: false },
    });
    for (let i = 0; i < 12; i++) {
      await page.driver.actions().sendKeys(Key.TAB).perform();
      const hidden = await page.driver.executeScript<string | null>(HIDDEN);
      if (hidden) wrong.push(`at 400 %: hidden ${hidden}`);
    }
    await screen(1280, 800);
    expect(wrong).toEqual([]);
  },
  450_000,
);

test('nor has a walk under way, in sun mode too; and its buttons are thumb-sized', async () => {
  await session.page.open(`/c/${DEMO_ID}/walk`);
  await session.page.press('Begin the walk');
  await setSpeed(session.page, 2);
  await session.page.key('d');
  await session.page.see('Dropout ends');
  expect(await violations()).toEqual([]);
  await session.page.press('options');
  await (await session.page.find("//label[contains(., 'sun')]/input")).click();
  expect(await violations()).toEqual([]);
  const heights = await session.page.driver.executeScript<number[]>(
    "return [...document.querySelectorAll('[role=group][aria-label=Log] button')].map((b) => " +
      'b.getBoundingClientRect().height)',
  );
  expect(heights.length).toBeGreaterThanOrEqual(11);
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(64);
  await session.page.press('End …');
  await session.page.press('weather');
  await session.page.see('ended: weather');
}, 450_000);

test('nor have a table’s preview, a correction, the questions of a walk, and what the system colours', async () => {
  const { page } = session;
  const found: string[] = [];
  const look = async (state: string): Promise<void> => {
    // The system's colours once where there are many: they are of one style sheet.
    for (const value of state === 'correction' || state === 'End …' ? ['active', 'none'] : ['none']) {
      await send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value }] });
      found.push(...(await violations()).map((v) => `${state}, forced colours ${value}: ${v}`));
    }
  };
  await page.open(`/c/${DEMO_ID}/trace`);
  await page.press('Correct');
  await page.find('//*[@role="dialog"]');
  await look('correction');
  await page.open(`/c/${DEMO_ID}/import-sheet`);
  await page.find('//input[@type="file"]');
  const folder = mkdtempSync(join(tmpdir(), 'urvek-axe-'));
  writeFileSync(join(folder, 'walks.csv'), 'walk,distance,grade\n1,20,5\n1,40,1\n1,far,3\n');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(join(folder, 'walks.csv'));
  await page.see('walks.csv');
  await look('preview');
  rmSync(folder, { recursive: true });
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  for (const key of ['Note', 'At … m', 'Reading …', 'Door, hand-over …', 'End …']) {
    await page.press(key);
    await look(key);
    if (key !== 'End …') await page.press(key === 'Reading …' ? 'Done' : 'Cancel');
  }
  await page.press('weather');
  await page.see('ended: weather');
  await look('after End');
  expect(found).toEqual([]);
}, 600_000);
