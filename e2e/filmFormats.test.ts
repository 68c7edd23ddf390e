import { expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Key } from 'selenium-webdriver';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { FILM, SHOWN_FRAME } from './support/madeFilm.ts';
import { useSession } from './support/session.ts';

// Six files in a row, one of each format, as one recording of a walk (fixtures/make.mjs made them).

const session = useSession({ demo: true });
const folder = fileURLToPath(new URL('./fixtures/', import.meta.url));
const files = readdirSync(folder)
  .filter((name) => name.startsWith('two-seconds'))
  .sort();

const press = (...keys: string[]): Promise<void> => session.page.keys(...keys);
const clock = async (): Promise<number> =>
  Number(await (await session.page.find('//*[@data-clock]')).getAttribute('data-clock'));
const playing = async (): Promise<string> => {
  const video = await session.page.find("//video[starts-with(@aria-label, 'Recording')]");
  return (await video.getAttribute('aria-label')) ?? '';
};
/** Goes on by a key, and waits until the clock has followed. */
async function go(key: string): Promise<void> {
  const before = await clock();
  await press(key);
  await session.page.until('another moment', async () => (await clock()) !== before);
}
/** The burnt-in number is the frame that the player names. @returns that frame, counted from 0 */
async function frameShown(): Promise<number> {
  const named = async (): Promise<number> =>
    Number(/frame (\d+)/.exec(await session.page.text('//*[@data-clock]'))?.[1]) - 1;
  await session.page.until('the frame that is named', async () => {
    const shown = await session.page.driver.executeScript<number>(SHOWN_FRAME);
    return shown === (await named());
  });
  return named();
}

test('MP4, MOV, MKV, M4A, MP3 and WAV in a row: each decoded, stepped and logged on one clock', async () => {
  const { page } = session;
  expect(files.map((name) => name.split('.')[1])).toEqual(['m4a', 'mkv', 'mov', 'mp3', 'mp4', 'wav']);
  await page.open(`/c/${DEMO_ID}/film`);
  await page.see('Choose the recording');
  await (
    await page.driver.findElement({ css: 'input[type=file]' })
  ).sendKeys(files.map((name) => folder + name).join('\n'));
  await page.see('The walk begins here');
  await page.choose('Rig that was walked', 'Ossimere Clip');
  await page.press('The walk begins here');
  await page.see('Dropout begins');
  await page.driver.executeScript('document.activeElement.blur()');

  // Sound alone is stepped by hundredths.
  expect(await playing()).toContain('two-seconds.m4a');
  await go(Key.ARROW_RIGHT);
  expect(await clock()).toBeCloseTo(0.01, 3);
  // Films are exact to the frame, and stepping goes over the edge of a file.
  await go(Key.PAGE_DOWN);
  await page.until('the third file', async () => (await playing()).includes('two-seconds.mov'));
  const begins: number[] = [];
  for (let left = await frameShown(); left > 0; left -= 1) await go(Key.ARROW_LEFT);
  expect(await frameShown()).toBe(0);
  begins.push((await clock()) - 0.5 / FILM.rate);
  await go(Key.ARROW_LEFT);
  await page.until('the second file', async () => (await playing()).includes('two-seconds.mkv'));
  expect(await frameShown()).toBe(49);
  begins.push((await clock()) - 49.5 / FILM.rate);
  await press('d');
  await page.see('Dropout ends');
  // What one logs stands on the recording's clock, so that going on by seconds finds the next files.
  await go(Key.PAGE_DOWN);
  await page.until('the fifth file', async () => (await playing()).includes('two-seconds.mp4'));
  begins.push((await clock()) - ((await frameShown()) + 0.5) / FILM.rate);
  // Encoders pad sound at its ends: a file of two seconds lasts a little longer.
  const [mov = NaN, mkv = NaN, mp4 = NaN] = begins;
  expect(mkv).toBeGreaterThanOrEqual(2 - 1e-3);
  expect(mov - mkv).toBeGreaterThanOrEqual(2 - 1e-3);
  expect(mp4 - mov).toBeGreaterThanOrEqual(4 - 1e-3);
  expect(mp4).toBeLessThan(8.8);
  // In play it runs from file to file.
  const before = await clock();
  await press(' ');
  await page.until('the last file', async () => (await playing()).includes('two-seconds.wav'));
  await page.until('its end', async () => (await clock()) > before + 1);
  await page.see('of 0:12');
}, 300_000);
