import { expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { wcagFindings } from './support/axe.ts';
import { cellText, paste } from './support/grid.ts';
import { useSession } from './support/session.ts';

// Notes of an outing, brought home: from Bench to the report, with nothing set up.

const session = useSession({ demo: false });

const type = (...typed: string[]): Promise<void> => session.page.keys(...typed);
const control = (letter: string): Promise<void> =>
  session.page.driver.actions().keyDown(Key.CONTROL).sendKeys(letter).keyUp(Key.CONTROL).perform();
const cell = (row: number, column: number): Promise<string> => cellText(session.page, row, column);

test('typed like a spreadsheet: what is wrong is said, and the rows become walks that say the same', async () => {
  const { page } = session;
  await page.open('/');
  await page.press('Write a walk down');
  await page.find('//*[@role="grid"]');
  await page.driver.executeScript("document.querySelector('[role=grid]').focus()");
  // walk, product, direction, at, point, grade, words, event, remark
  await type('1', Key.TAB, 'Radio A', Key.TAB, Key.ARROW_RIGHT, '1,476', Key.TAB, 'bridge', Key.ENTER);
  await page.until('the first row', async () => (await cell(0, 4)) === 'bridge');
  await page.see('“1,476” has no unit');
  await page.choose('Figures without a unit are', 'm');
  await page.see('can be 1476 or 1.476');
  // Corrected in its cell; the words give the grade.
  const grid = (): Promise<void> =>
    page.driver.executeScript("document.querySelector('[role=grid]').focus()");
  await grid();
  await type(Key.ARROW_UP, Key.ARROW_LEFT, '450 m', Key.ENTER);
  await type(Key.ARROW_UP, Key.END, Key.ARROW_LEFT, Key.ARROW_LEFT, 'loud and clear', Key.ENTER);
  await page.until('the words', async () => (await cell(0, 6)) === 'loud and clear');
  await type(Key.HOME, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, '600', Key.TAB, 'shop', Key.ENTER);
  await type(Key.ARROW_UP, Key.END, Key.ARROW_LEFT, Key.ARROW_LEFT, 'no answer', Key.ENTER);
  await page.see('1 walk');
  expect(await wcagFindings(page.driver)).toEqual([]);
  // Undone and done again; a reload keeps it.
  await grid();
  await control('z');
  await page.until('undone', async () => (await cell(1, 6)) === '');
  await control('y');
  await page.until('again', async () => (await cell(1, 6)).startsWith('no answer'));
  await page.driver.navigate().refresh();
  await page.until('kept', async () => (await cell(1, 6)).startsWith('no answer'));
  await page.choose('New products are', 'Two-way radio');
  await page.press('Take 2 rows');
  await page.see('Trace: Radio A on Unknown path, walk 1');
  await page.see('held to 450 m, failed by 600 m');
  await page.press('Report');
  await page.see('What was tested');
  await page.see('Radio A');
}, 450_000);

test('pasted from a spreadsheet, 500 rows: what is wrong stays, the rest is taken', async () => {
  const { page } = session;
  const rows = ['device\tdistance (yd)\trun\tquality'];
  for (let walk = 1; walk <= 50; walk++)
    for (let at = 1; at <= 10; at++)
      rows.push(`Clip ${(walk % 2) + 1}\t${at * 10}\t${walk}\t${at <= 5 + (walk % 3) ? 5 : 1}`);
  rows[7] = rows[7]?.replace(/\t\d$/, '\tgreat') as string;
  await page.open('/notebook');
  await page.find('//*[@role="grid"]');
  await paste(page, rows.join('\n'));
  await page.see('“great” is no grade');
  await page.see('row 7, grade');
  await page.press('Leave 1 here, and take the other 499');
  await page.see('Trace: Clip');
  await page.press('Ranges');
  await page.find('//table[@data-estimates]');
  const comparisons = (await (await fetch(new URL('/api/comparisons', page.origin))).json()) as {
    id: string;
    title: string;
    walksMade: number;
  }[];
  expect(comparisons.find((c) => c.walksMade === 50)?.title).toBe('From a notebook');
  // The row that was left waits.
  await page.open('/notebook');
  await page.until('the row that waits', async () => (await cell(0, 1)).startsWith('Clip'));
  expect(await cell(1, 0)).toBe('');
}, 450_000);

test(
  'notes as text become rows beside their words; the table of words is corrected; XLSX goes out ' + 'and in',
  async () => {
    const { page } = session;
    const folder = mkdtempSync(join(tmpdir(), 'urvek-notes-'));
    await page.saveTo(folder);
    await page.open('/notebook');
    await page.find('//*[@role="grid"]');
    // What waits from before is not wanted any more.
    await page.press('Remove row 1');
    await page.press('From notes as text');
    await page.fill(
      'Notes, as they were written',
      'Clear at 50 m, like a bathroom at about 100 m and completely gone by the old oak. The sandwiches were good.',
    );
    await page.press('Propose rows');
    await page.see('“like a bathroom at about 100 m”');
    // Not all of it is wanted as it was proposed.
    await page.fill('Place of row 1', '55 m');
    await page.choose('Grade of row 1', '5');
    await page.see('Put 4 rows into the grid');
    await (await page.find("//label[contains(., 'row 4')]/input")).click();
    await page.press('Put 3 rows into the grid');
    await page.until('the rows', async () => (await cell(0, 3)) === '55 m');
    const last = "//section[@aria-label='Words of this notebook, and your own']//tbody/tr[last()]";
    await page.press('What words are taken to mean');
    await page.see('nothing of the quality: kept as a remark');
    await page.fill('Another saying', 'like a bathroom');
    await page.press('Add it, as grade 3');
    await page.see('grade 3, from “like a bathroom”');
    await page.choose('“like a bathroom” means', 'grade 2, here');
    await page.see('grade 2, from “like a bathroom”');
    expect(await page.text(last)).toContain('like a bathroom');
    await page.fill('Look a saying up', 'crackl');
    await page.see('Here it means');
    await page.fill('Comparison', 'Out of prose');
    await page.press('Save as XLSX');
    const file = join(folder, 'notebook.xlsx');
    await page.until('the file', () => Promise.resolve(existsSync(file)));
    await page.press('Take 3 rows');
    await page.see('Trace: Unknown product on Unknown path, walk 1');
    await page.see('grade 2');

    // The same sheet into another notebook, and one that is meant to hurt.
    await page.open('/notebook');
    await page.find('//*[@role="grid"]');
    const input = await page.driver.findElement({ css: 'input[type=file]' });
    await input.sendKeys(file);
    await page.until(
      'its rows',
      async () => (await cell(0, 3)) === '55 m' && (await cell(2, 6)).includes('gone'),
    );
    const torn = join(folder, 'torn.xlsx');
    writeFileSync(torn, readFileSync(file).subarray(0, 2000));
    await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(torn);
    await page.see('torn.xlsx was not imported: line 1: the XLSX file');
    await page.see('The notebook is as it was.');
    rmSync(folder, { recursive: true });

    // "The old oak" gets its distance off a map, and what was logged there follows.
    await page.driver.navigate().back();
    await page.press('Paths');
    await page.press('Place “old oak”');
    await page.fill('Place of checkpoint 1', '180');
    await page.press('leg 1');
    await page.fill('Length', '200');
    await page.press('Save paths');
    await page.see('Paths saved');
    await page.press('Trace');
    await page.see('failed by 180 m');
  },
  450_000,
);
