import { expect, test } from '@jest/globals';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import type { Comparison } from '@urvek/contract';
import { coordinateAt, deriveWalk, placeAt } from '@urvek/core';
import { wcagFindings } from './support/axe.ts';
import { keptEvents, type Kept } from './support/keptEvents.ts';
import { FILM, madeFilm, SHOWN_FRAME } from './support/madeFilm.ts';
import { useSession } from './support/session.ts';
import { walksOf } from './support/walks.ts';

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
  await page.fill('Graded by', 'Rowan Ash');
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
  expect(begin.body).toMatchObject({ conditions: { gradedBy: 'Rowan Ash' } });
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
  await page.see(
    'notes.mp4 was not opened: this browser cannot play it. If another program plays it, save it there',
  );
  rmSync(folder, { recursive: true });
}, 600_000);

test('a track with times places the walk, joined by a clock that the film shows, and is taken out again', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-track-'));
  const [film, gpx] = ['track.webm', 'track.gpx'].map((n) => join(folder, n)) as [string, string];
  writeFileSync(film, await madeFilm(page.driver));
  const address = new URL(`/api/comparisons/${DEMO_ID}`, page.origin);
  const { title, question, revision, setup } = (await (await fetch(address)).json()) as Comparison;
  const fixedEnd = { latitudeDeg: 51.23, longitudeDeg: -3.11 };
  const put = await fetch(address, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      ...{ title, question, revision },
      setup: { ...setup, paths: setup.paths.map((p) => ({ ...p, fixedEnd })) },
    }),
  });
  expect(put.status).toBe(200);
  const path = setup.paths.find((p) => p.name === 'Incline');
  if (!path) throw new Error('the demo has no Incline');
  // Twelve seconds of it, from 40 m on at 1.5 m/s; the film begins four seconds into it.
  const from = new Date(2026, 4, 12, 10, 5, 0);
  const points = Array.from({ length: 13 }, (_, s) => {
    const { latitudeDeg, longitudeDeg } = coordinateAt(path, fixedEnd, 40 + 1.5 * s);
    const time = new Date(from.getTime() + 1000 * s).toISOString();
    return `<trkpt lat="${latitudeDeg}" lon="${longitudeDeg}"><time>${time}</time></trkpt>`;
  });
  writeFileSync(
    gpx,
    `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`,
  );
  await page.open(`/c/${DEMO_ID}/film`);
  await page.see('Choose the recording');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(film);
  await page.see('The walk begins here');
  await page.choose('Rig that was walked', 'Ossimere Clip');
  await page.choose('Path', 'Incline');
  await page.driver.executeScript('document.activeElement.blur()');
  await stepTo(10);
  await page.press('The walk begins here');
  await page.see('Dropout begins');
  await page.press('A track of the walk');
  await (
    await page.driver.findElement({ css: 'input[aria-label="A GPX file of the walk, with times"]' })
  ).sendKeys(gpx);
  await page.see('13 places, 12 May 2026, 10:05:00 to 10:05:12');
  await page.driver.executeScript('document.activeElement.blur()');
  await stepTo(50);
  // At the fiftieth frame, 2.02 s, the clock in the film says six seconds and two hundredths past.
  await page.fill('The clock, at this moment of the film', '10:05:06.02');
  await page.fill('Accuracy, 95 %', '4');
  await page.see('8 places within the walk.');
  expect(await wcagFindings(page.driver)).toEqual([]);
  await page.press('Place the walk by it');
  await page.see('8 places of the device or of a track stand in the log.');
  let placed: number | undefined;
  await page.until('at the base', async () => {
    const stored = (await walksOf(page.origin, DEMO_ID)).findLast((w) => w.log.some((e) => e.kind === 'fix'));
    const derived = stored && deriveWalk(stored.log, { ...path, fixedEnd });
    placed = derived && placeAt(derived.directions[derived.main]!.trace, 5)?.travelledM;
    return placed !== undefined;
  });
  // At 5 s of the film the track is nine seconds on.
  expect(Math.abs((placed as unknown as number) - 53.5)).toBeLessThan(0.5);
  // Twice would be once too often.
  expect(await page.text('//main')).not.toContain('Place the walk by it');
  await page.press('Take them out again');
  await page.until('none stands', async () => !(await page.text('//main')).includes('stand in the log'));
  await page.see('Place the walk by it');
  rmSync(folder, { recursive: true });
}, 600_000);
