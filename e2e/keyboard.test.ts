import { expect, test } from '@jest/globals';
import { Key } from 'selenium-webdriver';
import { useSession } from './support/session.ts';

// No pointer in this file: Tab, Enter, Space, letters, arrows and Escape, as on a machine without a mouse.

const session = useSession({ demo: false });

/** More presses of Tab than this between two things that belong together is a wall. */
const FAR = 90;

const NAME = `
  const e = document.activeElement;
  if (!e || e === document.body) return '';
  const labelled = e.getAttribute('aria-labelledby');
  return (e.getAttribute('aria-label')
    ?? (labelled ? document.getElementById(labelled)?.textContent : undefined)
    ?? (e.labels?.[0] ?? e).textContent ?? '').replace(/\\s+/g, ' ').replace(/\\u00ad/g, '').trim();`;

const press = (...keys: string[]): Promise<void> => session.page.keys(...keys);
const withKey = (held: string, key: string): Promise<void> =>
  session.page.driver.actions().keyDown(held).sendKeys(key).keyUp(held).perform();

/** Tab, or back with Shift, until what is called so has the focus; a focus that nobody can see is none. */
async function tabTo(name: string, back = false): Promise<void> {
  const { driver } = session.page;
  const seen: string[] = [];
  for (let i = 0; i < FAR; i++) {
    const at = await driver.executeScript<string>(NAME);
    seen.push(at.slice(0, 30));
    if (at.startsWith(name)) {
      const ring = await driver.executeScript<string>(
        `const s = getComputedStyle(document.activeElement); return s.outlineStyle + ' ' + s.outlineWidth;`,
      );
      expect(`${name}: ${ring}`).not.toMatch(/: none|: \w+ 0px/);
      return;
    }
    await (back ? withKey(Key.SHIFT, Key.TAB) : press(Key.TAB));
  }
  throw new Error(`no way by Tab to “${name}”: ${seen.join(' | ')}`);
}

async function go(name: string): Promise<void> {
  await tabTo(name);
  await press(Key.ENTER);
}

/** The stages stand before what has the focus when a page comes. */
async function stage(name: string): Promise<void> {
  await tabTo(name, true);
  await press(Key.ENTER);
}

async function type(label: string, value: string): Promise<void> {
  await tabTo(label);
  await press(value);
}

test('the whole job, from an empty Bench to a corrected walk and the report, by keyboard alone', async () => {
  const { page } = session;
  await page.open('/');
  await page.see('Where does the voice drop out?');
  // What is there before the page's own begins can be skipped.
  await press(Key.TAB);
  expect(await page.driver.executeScript<string>(NAME)).toContain('Skip');
  await press(Key.ENTER);
  await go('Microphone: Where does the voice drop out?');
  await type('The first', 'Clip A');
  await type('The other', 'Clip B');
  await type('How long is the path?', '200 ft');
  await tabTo('Walks of each');
  await withKey(Key.CONTROL, 'a');
  await press('3');
  await go('Create it, and go to the first walk');
  for (let walk = 0; walk < 6; walk++) {
    if (walk > 0) await page.find('//*[@aria-label="The walk that has just ended"]');
    await page.see('Begin the walk');
    await go('Begin the walk');
    await page.see('Mark post 1');
    // Letters act: nothing else has the focus.
    await press('m');
    await page.see('Mark post 2');
    if (walk % 2) await press('m');
    if (walk === 0) {
      await press('n');
      await page.find('//*[@aria-label="Note"]');
      await type('Note', 'a bus passed');
      await press(Key.ESCAPE);
      await page.see('Dropout begins');
    }
    await press('j');
  }
  await page.find('//*[@aria-label="The walk that has just ended"]');

  // Trace: what was logged is put right.
  await stage('5Trace');
  await page.see('Outcomes, in separation');
  await go('Correct: mark post 1');
  await page.find('//*[@role="dialog"]');
  await tabTo('Correction');
  await press(Key.ARROW_DOWN, Key.ARROW_DOWN);
  await tabTo('Travelled distance');
  await withKey(Key.CONTROL, 'a');
  await press('9 m');
  await type('Reason', 'read off the wrong post');
  await go('Log the correction');
  await page.see('measured again: 9.00 m');

  // Ranges: a bracket leads to its trace.
  await stage('6Ranges');
  await page.see('Each walk');
  await go('Clip A, walk 1');
  await page.see('Outcomes, in separation');

  await stage('8Report');
  await page.see('In short');
  await page.see('Clip A against Clip B');
  await page.driver.executeScript('window.print = () => (document.title = `printed: ${document.title}`)');
  await go('Print or save as PDF');
  expect(await page.driver.getTitle()).toContain('printed: ');
}, 600_000);
