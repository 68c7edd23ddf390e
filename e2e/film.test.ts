import { expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { keptEvents, type Kept } from './support/keptEvents.ts';
import { FILM, madeFilm, SHOWN_FRAME } from './support/madeFilm.ts';
import { useSession } from './support/session.ts';

// One's own film of a walk: frames of known number, a beep a second, and no pointer.

const session = useSession({ demo: true });

const press = (...keys: string[]): Promise<void> => session.page.keys(...keys);
const shown = (): Promise<number> => session.page.driver.executeScript<number>(SHOWN_FRAME);
const clock = async (): Promise<number> =>
  Number(await (await session.page.find('//*[@data-clock]')).getAttribute('data-clock'));
type Recorded = Kept<{ readonly besideFromS?: number }>;
const kept = (): Promise<Recorded[]> => keptEvents(session.page.driver);
const last = async (kind: string): Promise<Recorded> => {
  let found: Recorded | undefined;
  await session.page.until(`${kind} kept`, async () => {
    found = (await kept()).findLast((e) => e.kind === kind);
    return found !== undefined;
  });
  return found as Recorded;
};
const middle = (frame: number): number => (frame + 0.5) / FILM.rate;
/** Frame by frame, until the burnt-in number is that. */
async function stepTo(frame: number): Promise<void> {
  const { page } = session;
  for (let i = 0; i < 400; i++) {
    const at = Math.round((await clock()) * FILM.rate - 0.5);
    if (at === frame) break;
    await press(at < frame ? Key.ARROW_RIGHT : Key.ARROW_LEFT);
    await page.until('the next frame', async () => Math.round((await clock()) * FILM.rate - 0.5) !== at);
  }
  await page.until(`frame ${frame} shown`, async () => (await shown()) === frame);
}

test('logged from a film by keyboard: to the frame where it stands, with a reaction in play', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-film-'));
  const file = join(folder, 'lane.webm');
  writeFileSync(file, await madeFilm(page.driver));
  await page.open(`/c/${DEMO_ID}/film`);
  await page.see('Choose the recording');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
  await page.see('The walk begins here');
  // Of several rigs none is taken for granted.
  const beginKey = await page.find("//button[.='The walk begins here']");
  expect(await beginKey.isEnabled()).toBe(false);
  await page.choose('Rig that was walked', 'Ossimere Clip');
  await page.driver.executeScript('document.activeElement.blur()');
  await stepTo(10);
  await page.driver.executeScript(
    "[...document.querySelectorAll('button')].find((b) => b.textContent === 'The walk begins here').focus()",
  );
  await press(Key.ENTER);
  await page.see('Dropout begins');
  const begin = await last('begin');
  expect(begin.time.walkS).toBeCloseTo(middle(10), 3);
  expect(begin.time.frameS).toBeCloseTo(1 / FILM.rate, 3);
  await page.until('where it began', async () => Math.abs((await clock()) - middle(10)) < 0.002);
  await page.driver.executeScript('document.activeElement.blur()');

  // Paused at a frame: exact to it.
  await stepTo(40);
  await press('d');
  const lost = await last('dropoutBegin');
  expect(lost.time.walkS).toBeCloseTo(middle(40), 3);
  expect(lost.time.frameS).toBeCloseTo(1 / FILM.rate, 3);
  // In play: at the moment of the key, and without a frame.
  const before = await clock();
  await press(' ');
  await page.until('it plays', async () => (await clock()) > before + 1.5);
  const playedS = (): Promise<number> =>
    page.driver.executeScript<number>("return document.querySelector('video').currentTime");
  const from = await playedS();
  await press('d');
  const to = await playedS();
  await press(' ');
  const back = await last('dropoutEnd');
  expect(back.time.frameS).toBeUndefined();
  expect(back.time.walkS).toBeGreaterThanOrEqual(from - 0.05);
  expect(back.time.walkS).toBeLessThanOrEqual(to + 0.05);
  // A mark is typed as it is read; the film stands meanwhile.
  await page.until('it stands', async () =>
    (await page.text("//*[@aria-label='The recording']")).includes('Play'),
  );
  await stepTo(Math.round((await clock()) * FILM.rate - 0.5) + 2);
  const marked = await clock();
  await press('w');
  await page.find('//label[starts-with(., "Travelled distance") or starts-with(., "Distance")]');
  await page.driver.switchTo().activeElement().sendKeys('12 m', Key.ENTER);
  const mark = await last('mark');
  expect(mark.time.walkS).toBeCloseTo(marked, 3);
  expect(await wcagFindings(page.driver)).toEqual([]);

  // A second recording, joined by a moment that both show, follows the first.
  await page.press('A second recording at once');
  await (
    await page.driver.findElement({ css: 'input[aria-label="A second film or sound file of the same walk"]' })
  ).sendKeys(file);
  const second = (what: string): Promise<number> =>
    page.driver.executeScript<number>(
      `const v = [...document.querySelectorAll('video')].at(-1); ${what}; return v.currentTime;`,
    );
  await page.see('Go to a clap or a clock in both.');
  await page.until(
    'the second one',
    async () => (await second('if (v.readyState > 1) v.currentTime = 5')) === 5,
  );
  await page.press('Both show the same moment now');
  await page.see('Joined: it begins');
  expect((await last('recording')).body.besideFromS).toBeCloseTo(5, 2);
  const together = await clock();
  await page.driver.executeScript('document.activeElement.blur()');
  await stepTo(Math.round(together * FILM.rate - 0.5) + 5);
  await page.until('it follows', async () => Math.abs((await second('')) - 5 - 5 / FILM.rate) < 0.005);

  // What the film takes along.
  await page.saveTo(folder);
  await page.press('End …');
  await page.press('path ended');
  await page.see('ended: path ended');
  await page.press('For the film');
  await page.press('Captions, WebVTT');
  await page.until('captions', () => Promise.resolve(existsSync(join(folder, 'lane.vtt'))));
  expect(readFileSync(join(folder, 'lane.vtt'), 'utf8')).toContain(
    'distance not known · lost, grade 1 · 1 dropout',
  );
  await page.choose('Size of the film', '1280×720');
  await page.press('Make the overlay');
  const overlay = (): string | undefined =>
    ['lane-overlay.webm', 'lane-overlay.zip'].map((n) => join(folder, n)).find((n) => existsSync(n));
  await page.until('the overlay', () => Promise.resolve(overlay() !== undefined));
  process.stdout.write(
    `overlay: ${overlay()?.split('.').at(-1)}, ${statSync(overlay() as string).size} bytes\n`,
  );
  expect(statSync(overlay() as string).size).toBeGreaterThan(5000);

  // From Trace, an entry opens the film at its place; another visit knows the file again.
  await page.press('Its trace');
  await page.see('Outcomes, in separation');
  await page.press(`In the film: dropout begins at ${middle(40).toFixed(1)} s`);
  await page.until('its frame', async () => (await shown()) === 40);
  await page.driver.navigate().refresh();
  await page.see('This log was made from');
  const other = join(folder, 'other.webm');
  writeFileSync(other, Buffer.concat([readFileSync(file), Buffer.from('x')]));
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(other);
  await page.see('This is another file than the log was made from');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
  // It is lost there: the key says so.
  await page.see('Dropout ends');
  await page.until('at its place', async () => (await shown()) === 40);
  const bad = join(folder, 'notes.mp4');
  writeFileSync(bad, 'no film at all');
  await page.open(`/c/${DEMO_ID}/film`);
  await page.see('Choose the recording');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(bad);
  await page.see('notes.mp4 was not opened');
  rmSync(folder, { recursive: true });
}, 600_000);
