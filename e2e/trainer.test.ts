import { expect, test } from '@jest/globals';
import type { EventBodies } from '@urvek/core';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { keptEvents } from './support/keptEvents.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });

/**
 * Presses a key a fixed time after each dropout is heard, by the page's own clock, and notes when each
 * press really came: on a busy machine a timer is late, and then the press is.
 */
const ANSWER = `
  const [delayMs, skip] = arguments;
  window.pressedAfter = [];
  const onsets = JSON.parse(document.querySelector('[data-onsets]').dataset.onsets);
  onsets.forEach((ms, i) => {
    if (i === skip) return;
    setTimeout(() => {
      window.pressedAfter.push((performance.now() - ms) / 1000);
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'd' }));
    }, ms + delayMs - performance.now());
  });
  return onsets.length;`;

test('the trainer learns a scripted delay to 20 ms, counts a miss, and walks begin with it', async () => {
  const { page } = session;
  await page.open('/trainer');
  await page.see('Nothing is learned yet');
  await page.choose('Dropouts', '6, about');
  await (await page.find("//label[contains(., 'by wire')]/input")).click();
  await page.press('Begin the lesson');
  await page.see('It dropped out');
  expect(await page.driver.executeScript<number>(ANSWER, 350, 2)).toBe(6);
  await page.until(
    'the lesson is over',
    async () => (await page.driver.findElements({ css: '[data-delay]' })).length > 0,
    60_000,
  );
  const learned = Number(await (await page.find('//*[@data-delay]')).getAttribute('data-delay'));
  const pressedAfter = await page.driver.executeScript<number[]>('return window.pressedAfter');
  expect(pressedAfter).toHaveLength(5);
  expect(Math.abs(learned - pressedAfter.reduce((a, b) => a + b, 0) / 5)).toBeLessThan(0.02);
  expect(Math.min(...pressedAfter)).toBeGreaterThanOrEqual(0.349);
  await page.see('Answered 5, missed 1, pressed for nothing 0.');
  await page.see('from 5 answers');
}, 450_000);

test('Grade trainer: two people grade clips blind; where each sets the grades, and how far they agree', async () => {
  const { page } = session;
  // The page tells nobody how much is lost: it is heard, by what the volume is set to.
  await page.devtools('Page.addScriptToEvaluateOnNewDocument', {
    source: `
      window.lostShares = [];
      let turns = [];
      const set = AudioParam.prototype.setValueAtTime;
      AudioParam.prototype.setValueAtTime = function (value, atS) {
        turns.push([value, atS]);
        return set.call(this, value, atS);
      };
      const start = AudioBufferSourceNode.prototype.start;
      AudioBufferSourceNode.prototype.start = function (...given) {
        const lostS = turns.reduce((sum, [value, atS]) => sum + (value === 0 ? -atS : atS), 0);
        window.lostShares.push(lostS / 3);
        turns = [];
        return start.apply(this, given);
      };`,
  });
  await page.open('/trainer');
  await page.press('Grade trainer');
  let clips = 0;
  const heard = async (): Promise<number> => {
    clips++;
    await page.until('the clip is heard', () =>
      page.driver.executeScript<boolean>('return window.lostShares.length === arguments[0]', clips),
    );
    return page.driver.executeScript<number>('return window.lostShares.at(-1)');
  };
  /** One grades by what was lost, the other is a grade stricter where much was. */
  const gradeOf = [
    (level: number) => (level === 0 ? 5 : level < 0.1 ? 4 : level < 0.3 ? 3 : level < 1 ? 2 : 1),
    (level: number) => (level === 0 ? 5 : level < 0.1 ? 4 : level < 0.2 ? 3 : level < 0.4 ? 2 : 1),
  ];
  for (const [i, person] of ['Ilse', 'Jannik'].entries()) {
    await page.fill('Who grades', person);
    await page.press('Grade 14 clips');
    for (let clip = 1; clip <= 14; clip++) {
      await page.see(`Clip ${clip} of 14`);
      // Rounded, since a sum of moments is never quite the share.
      const level = Math.round(1000 * (await heard())) / 1000;
      await page.key(String((gradeOf[i] as (level: number) => number)(level)));
    }
    await page.find(
      `//table[@aria-label='Where each sets the grades of a voice']//th[normalize-space(.)='${person}']`,
    );
  }
  const rows = await page.text("//table[@aria-label='Where each sets the grades of a voice']//tbody");
  expect(rows).toMatch(/Ilse.*0 to 2 %.*5 to 12 %.*25 to 50 %.*50 to 100 %.*0\.0 grades apart/s);
  expect(rows).toMatch(/Jannik.*12 to 25 %/s);
  // 12 of 14 alike, 2 of them a grade apart.
  await page.see('Ilse and Jannik: weighted kappa 0.9');
}, 300_000);

test('Grade trainer: a picture stands still where it is lost, and is kept apart from voices', async () => {
  const { page } = session;
  await page.open('/trainer/grades');
  await page.fill('Who grades', 'Marit');
  await page.choose('What is graded', 'a picture that moves');
  await page.press('Grade 14 clips');
  const picture = (): Promise<string> =>
    page.driver.executeScript<string>("return document.querySelector('canvas').toDataURL()");
  let moved = 0;
  for (let clip = 1; clip <= 14; clip++) {
    await page.see(`Clip ${clip} of 14`);
    const before = await picture();
    await page.driver.sleep(300);
    if ((await picture()) !== before) moved++;
    if (clip === 1) expect(await wcagFindings(page.driver)).toEqual([]);
    await page.key('3');
  }
  // Two of the fourteen are black all through.
  expect(moved).toBeGreaterThanOrEqual(6);
  expect(moved).toBeLessThanOrEqual(12);
  const rows = await page.text(
    "//table[@aria-label='Where each sets the grades of a picture that moves']//tbody",
  );
  expect(rows).toMatch(/Marit/);
  expect(rows).not.toMatch(/Ilse/);
}, 200_000);

test(
  'a walk that says who grades carries how they grade; what was kept before there were kinds is of ' +
    'a voice',
  async () => {
    const { page } = session;
    // As it was kept before there was more than speech.
    await page.driver.executeAsyncScript(`
    const done = arguments[0];
    const open = indexedDB.open('urvek-field');
    open.onsuccess = () => {
      const facts = open.result.transaction('facts', 'readwrite').objectStore('facts');
      facts.get('graders').onsuccess = ({ target }) => {
        const kept = JSON.parse(target.result.value);
        kept.push({ person: 'Oda', atMs: 1, graded: [{ level: 0, grade: 5 }, { level: 1, grade: 1 }] });
        facts.put({ name: 'graders', value: JSON.stringify(kept) }).onsuccess = () => {
          open.result.close();
          done();
        };
      };
    };`);
    await page.open('/trainer/grades');
    const voices = await page.text("//table[@aria-label='Where each sets the grades of a voice']//tbody");
    expect(voices).toMatch(/Oda/);
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.press('The day: weather');
    await page.fill('Graded by', 'Oda');
    await page.press('Begin the walk');
    await page.see('Dropout begins');
    const begun = (await keptEvents<EventBodies['begin']>(page.driver)).find((e) => e.kind === 'begin');
    expect(begun?.body.conditions).toEqual({ gradedBy: 'Oda' });
    expect(begun?.body.graded).toEqual([
      {
        clips: 'speech',
        graded: [
          { level: 0, grade: 5 },
          { level: 1, grade: 1 },
        ],
      },
    ]);
  },
  200_000,
);
