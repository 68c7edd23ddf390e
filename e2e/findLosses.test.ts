import { expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { keptEvents } from './support/keptEvents.ts';
import { madeFilm } from './support/madeFilm.ts';
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
    await page.press('Look through the recording');
    // A beep a second, and nothing between: ten silences, half of them before the walk, the last to the end.
    await page.see('5 lost stretches, 5 to decide');
    await page.see('5 outside the walk are left out');
    await page.see('sound: below -60 dB of full scale; sound: for 0.5 s and more');
    expect(await page.text("//ul[@aria-label='Lost stretches']")).toMatch(
      /^5\.1\d\d s, for 8\d\d ms: silence, down to -?\d+ dB of full scale/,
    );
    expect(await wcagFindings(page.driver)).toEqual([]);
    await (await page.find("(//button[starts-with(@aria-label, 'Refuse 5.1')])[1]")).click();
    await page.see('5 lost stretches, 4 to decide');
    await (await page.find("(//button[starts-with(@aria-label, 'Take 6.1')])[1]")).click();
    await page.until('both edges kept', async () => (await lost()).length === 2);
    const [begin, end] = await lost();
    expect(begin?.body.found).toContain('silence');
    expect(begin?.time.walkS).toBeCloseTo(6.1, 1);
    expect(end?.time.walkS).toBeCloseTo(7, 1);
    // Nobody reacted: the moment is known to five thousandths either way.
    expect(begin?.time.frameS).toBe(0.01);
    await page.press('Take all 3 into the log');
    await page.until('all kept', async () => (await lost()).length === 2 + 3 + 2);
    await page.see('0 to decide');
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 450_000);
