import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { keptEvents } from './support/keptEvents.ts';
import { madeFilm } from './support/madeFilm.ts';
import type { Page } from './support/browser.ts';
import { useSession } from './support/session.ts';

// A recording is looked through on the device, and what was lost in it goes into the log when somebody takes it.

const session = useSession({ demo: true });

interface Lost {
  readonly found?: string;
}
const lost = async () =>
  (await keptEvents<Lost>(session.page.driver)).filter(
    (e) => e.kind === 'dropoutBegin' || e.kind === 'dropoutEnd',
  );

test('losses in a film are proposed, looked at, taken and refused; taken ones are found and not pressed', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-losses-'));
  try {
    const file = join(folder, 'beeps.webm');
    writeFileSync(file, await madeFilm(page.driver));
    await page.open(`/c/${DEMO_ID}/film`);
    await page.see('Choose the recording');
    await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
    await page.see('The walk begins here');
    await page.choose('Rig that was walked', 'Ossimere Clip');
    // The recording runs for five seconds before the walk begins.
    await page.press('5 s on');
    await page.driver.sleep(500);
    await page.press('The walk begins here');
    await page.see('Dropout begins');
    await page.press('Find what was lost');
    // A browser that makes a film beside other tests leaves out frames now and then: its sound is looked at.
    await (await page.find("//label[contains(., 'the picture too')]//input")).click();
    await page.press('Look through the recording');
    // A beep a second, and nothing between: ten silences, half of them before the walk, the last to the end.
    await page.see('5 lost stretches, 5 to decide');
    await page.see('5 outside the walk: left out');
    await page.see('sound: below -60 dB of full scale; sound: for 0.5 s and more');
    expect(await page.text("//ul[@aria-label='Lost stretches']")).toMatch(
      /^5\.1\d\d s, for 8\d\d ms: silence, down to -?\d+ dB of full scale/,
    );
    expect(await wcagFindings(page.driver)).toEqual([]);
    await (await page.find("(//button[starts-with(@aria-label, 'Refuse 5.1')])[1]")).click();
    await page.see('5 lost stretches, 4 to decide');
    // It is said to begin a little earlier.
    await (await page.find("(//button[starts-with(@aria-label, 'Move 6.1')])[1]")).click();
    await page.fill('Begins', '6.050');
    expect(await wcagFindings(page.driver)).toEqual([]);
    await page.press('Move it there');
    await page.find("//button[@aria-label = 'Take 6.050 s']");
    await page.press('Take all 4 into the log');
    await page.until('all kept', async () => (await lost()).length === 4 + 3);
    // To a frame: a person found it again. Of the others nobody reacted: to five thousandths either way.
    const [begin, end, ...others] = (await lost()).sort((one, other) => one.time.walkS - other.time.walkS);
    expect(begin?.body.found).toMatch(/^silence, .*, moved by hand$/);
    expect(begin?.time).toMatchObject({ walkS: 6.05, frameS: 0.04 });
    expect(end?.time.walkS).toBeCloseTo(7, 1);
    expect(others.filter((e) => e.time.frameS === 0.01)).toHaveLength(5);
    await page.see('0 to decide');
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 450_000);

/** A film of 50 s, with gaps in its noise and freezes in its picture, behind the codecs of a camera. */
function writeSpoiltFilm(file: string): void {
  const gaps = [7.3, 18.9, 31.2].map((s) => `between(t,${s},${s + 0.4})`).join('+');
  const frozen = [11.2, 25.6].map((s) => `between(t,${s},${s + 0.6})`).join('+');
  const { status, stderr } = spawnSync(
    'ffmpeg',
    [
      ...['-v', 'error', '-f', 'lavfi', '-i', 'testsrc2=s=640x360:r=25:d=50'],
      // As a camera does, its sound begins later.
      ...['-itsoffset', '0.5', '-f', 'lavfi', '-i', 'anoisesrc=r=48000:d=49:a=0.2:s=5'],
      // A frame that is left out stands for as long as the next does not come.
      '-filter_complex',
      `[0:v]select='not(${frozen})',fps=25[v];[1:a]volume=enable='${gaps}':volume=0[a]`,
      ...['-map', '[v]', '-map', '[a]', '-c:v', 'libx264', '-preset', 'veryfast', '-b:v', '1M'],
      ...['-c:a', 'aac', '-b:a', '96k', file],
    ],
    { encoding: 'utf8' },
  );
  if (status !== 0) throw new Error(stderr);
}

/** Chooses a recording, begins the walk with it, and has it looked through for losses of noise. */
async function lookThrough(page: Page, file: string): Promise<void> {
  await page.open(`/c/${DEMO_ID}/film`);
  await page.see('Choose the recording');
  await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
  await page.see('The walk begins here');
  await page.choose('Rig that was walked', 'Ossimere Clip');
  await page.press('The walk begins here');
  await page.see('Dropout begins');
  await page.press('Find what was lost');
  await page.choose('What was sent', 'noise');
  await page.press('Look through the recording');
}

test('work on a recording goes on after the page was closed, and finds what it finds in one go', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-losses-'));
  const foundAll = async (): Promise<string> => {
    await page.see('to decide');
    const all = await page.text("//ul[@aria-label='Lost stretches']");
    expect(all.match(/freeze/g)).toHaveLength(2);
    expect((all.match(/loss/g) ?? []).length).toBeGreaterThanOrEqual(3);
    expect(all).toMatch(/^7\.(29|30|31)\d s/);
    return all;
  };
  const share = async (): Promise<number> =>
    Number(await (await page.find('//progress')).getAttribute('value'));
  const closedAt = async (least: number): Promise<void> => {
    await page.until(`${least} of it done`, async () => (await share()) >= least);
    await page.press('Hold');
    await page.see('Go on');
    await page.driver.sleep(700);
    await page.driver.navigate().refresh();
  };
  try {
    const [file, again] = [join(folder, 'film.mp4'), join(folder, 'the same film.mp4')];
    writeSpoiltFilm(file);
    copyFileSync(file, again);
    await lookThrough(page, file);
    // In its sound, and later in its picture.
    await closedAt(0.01);
    await lookThrough(page, file);
    await page.see('was done before; it goes on from there');
    await closedAt(0.6);
    await lookThrough(page, again);
    await page.see('was done before; it goes on from there');
    const inParts = await foundAll();
    await page.driver.executeScript("indexedDB.deleteDatabase('urvek-recordings')");
    await lookThrough(page, file);
    expect(await foundAll()).toBe(inParts);
    // What is no loss is graded by a person: what was proposed, or another grade; then it is as it was.
    await page.see('with faults that are no loss');
    expect(await wcagFindings(page.driver)).toEqual([]);
    const [row] = await page.driver.findElements({ css: "ul[aria-label='Stretches with faults'] select" });
    await row?.sendKeys('3');
    await (await page.find("(//button[starts-with(@aria-label, 'Log the grade from ')])[1]")).click();
    const graded = async () =>
      (await keptEvents<Lost & { grade: number }>(page.driver)).filter((e) => e.kind === 'grade');
    await page.until('both grades kept', async () => (await graded()).length === 2);
    const [from, to] = await graded();
    expect([from?.body.grade, to?.body.grade]).toEqual([3, 5]);
    expect(from?.body.found).toMatch(/^\d+ × /);
    expect((to?.time.walkS ?? 0) - (from?.time.walkS ?? 0)).toBeGreaterThan(0);
    // What the log has is not proposed again.
    await page.see('1 stretch in the log already');
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 450_000);

// A phone trims a film without encoding it anew: what was trimmed off stays in the file, and is not shown. One that is
// held upright writes its frames lying.
test('of a trimmed film that was taken upright only what is shown is counted, looked at and heard', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-losses-'));
  try {
    const [whole, trimmed] = [join(folder, 'whole.mp4'), join(folder, 'trimmed.mp4')];
    writeSpoiltFilm(whole);
    const upright = ['-metadata:s:v:0', 'rotate=90'];
    const { status } = spawnSync('ffmpeg', [
      ...['-v', 'error', '-ss', '20', '-i', whole, '-c', 'copy', ...upright, trimmed],
    ]);
    expect(status).toBe(0);
    await lookThrough(page, trimmed);
    expect(await page.text('//*[@data-clock]')).toMatch(/frame 1$/);
    await page.see('to decide');
    const all = await page.text("//ul[@aria-label='Lost stretches']");
    const froms = [...all.matchAll(/([\d.−-]+) s, for [^:]*: (loss|freeze)/g)].map(([, s, kind]) => [
      kind,
      Number(s).toFixed(1),
    ]);
    expect(froms).toEqual([
      ['freeze', '5.6'],
      ['loss', '11.2'],
    ]);
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 450_000);
