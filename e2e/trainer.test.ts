import { expect, test } from '@jest/globals';
import { useSession } from './support/session.ts';

const session = useSession({ demo: false });

/**
 * Presses a key a fixed time after each dropout is heard, by the page's own clock, and notes when each
 * press really came: on a busy machine a timer is late, and then the press is.
 */
const ANSWER = `
  const [delayMs, skip] = arguments;
  window.pressedAfter = [];
  const onsets = JSON.parse(document.querySelector('[data-onsets]').dataset.onsets);
  onsets.forEach((ms, i) => { if (i !== skip) setTimeout(() => { window.pressedAfter.push((performance.now() - ms) / 1000); window.dispatchEvent(new KeyboardEvent('keydown', { key: 'd' })); }, ms + delayMs - performance.now()); });
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
}, 180_000);
