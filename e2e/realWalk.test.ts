import { beforeAll, expect, test } from '@jest/globals';
import { useSession } from './support/session.ts';
import { walksOf } from './support/walks.ts';

const session = useSession({ demo: true });
const DEMO_ID = '0c1d0000-0000-4000-8000-000000000001';

beforeAll(async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.choose('Gear', 'real');
  await page.choose('Begins at', 'a distance');
  await page.fill('From the fixed end', '10 yd');
  await page.choose('How', 'hits');
  await page.press('Begin the walk');
  await page.see('Once a real one is finished they are rehearsals');
  await page.press('Begin with real gear');
  await page.see('0 of 0 answered');
}, 300_000);

/** A mark at a distance that is typed, whatever the unit. */
async function markAt(text: string): Promise<void> {
  const { page } = session;
  await page.key('w');
  await page.fill('Travelled distance', text);
  await page.press('Mark it');
}
async function count(answers: readonly boolean[]): Promise<void> {
  const { page } = session;
  for (const [i, answered] of answers.entries()) {
    await page.press(answered ? 'Answered' : 'No answer');
    const hits = answers.slice(0, i + 1).filter(Boolean).length;
    await page.see(`${hits} of ${i + 1} answered`);
    // Within a tenth of a second two touches are one.
    await new Promise((resolve) => setTimeout(resolve, 130));
  }
}

test('a real walk, one mark a stand: counts are kept, the way back is asked for, and the place is right', async () => {
  const { page } = session;
  // On foot M marks the next post, and then the one after.
  await page.see('Mark post 1');
  await page.key('m');
  await page.see('Mark post 2');
  await count([true, true, true]);
  // A count stays while another question stands in its place.
  await page.key('n');
  await page.press('Cancel');
  await page.see('3 of 3 answered');
  await page.press('Log 3 of 3');
  await markAt('about 44 yd');
  await count([false, false, false]);
  await page.press('Log 0 of 3');
  // Beside a point that the path does not have nothing can be added up.
  await page.key('w');
  await page.fill('Travelled distance', 'ten feet beyond the hedge');
  await page.see('No point of this path is called “hedge”');
  await page.see('Mark it by these words');
  await page.press('Cancel');
  await markAt('20');
  await page.see('Is this the way back?');
  await page.press('Yes: I have turned round');
  await page.see('on the way back');
  await count([true]);
  await page.key('e');
  await page.see('1 of 1 are counted and not logged. Log them before the walk ends?');
  await page.press('Log them');
  await page.press('time');
  await page.press('its trace');
  await page.see('Outcomes, in separation');
  await page.see('held to 20.0 m, failed by 40.2 m');
  await page.see('begun, at 9.14 m, by marked line, baseline not stated');
  const [walk] = (await walksOf(page.origin, DEMO_ID)).slice(-1);
  expect(walk?.log.some((e) => e.kind === 'turn')).toBe(true);
}, 300_000);

test('what is remembered beside another product is kept in Trace, and can be undone', async () => {
  const { page } = session;
  await page.press('Outing and filing');
  await page.press('Beside another, without a distance');
  await page.choose('this one', 'held where the other failed');
  await page.press('Keep what is said of both');
  await page.see('beside another: held where the other failed');
  await page.press('Undo');
  await page.see('withdrawn: undone');
}, 300_000);

test('the outing of a walk is seen, and corrected', async () => {
  const { page } = session;
  await page.fill('It belongs to', 'second set-up');
  await page.press('Put it there');
  await page.see('It belongs to “second set-up”');
  await page.see('belongs to the outing “second set-up”');
}, 300_000);

test('what it began with is corrected afterwards, and the next walk is offered as the last was', async () => {
  const { page } = session;
  await (await page.find("(//button[starts-with(@aria-label, 'Correct: begun')])[1]")).click();
  await page.choose('Correction', 'it was at another distance');
  await page.fill('Travelled distance', '2 yd');
  await page.fill('Reason', 'read it again');
  await page.press('Log the correction');
  await page.see('measured again: 1.83 m, by marked line');
  await page.press('Walk');
  await page.see('Begin the walk');
  expect(
    await page.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("select")].map((s) => s.selectedOptions[0].textContent)',
    ),
  ).toEqual(expect.arrayContaining(['hits', 'real, on foot', 'not graded']));
}, 300_000);

test('every figure leads to how it is made', async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/ranges`);
  await (await page.find("(//a[@aria-label='How the median is worked out'])[1]")).click();
  await page.see('How every figure is made');
  expect(await page.driver.getCurrentUrl()).toContain('/methods#range-of-one-product');
}, 300_000);
