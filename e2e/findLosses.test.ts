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
    await page.press('The walk begins here');
    await page.see('Dropout begins');
    await page.press('Find what was lost');
    await page.press('Look through the recording');
    // A beep a second, and nothing between: ten silences, the last of them to the end.
    await page.see('10 lost stretches, 10 to decide');
    expect(await page.text("//ul[@aria-label='Lost stretches']")).toMatch(
      /^0\.1\d\d s, for 8\d\d ms: silence, down to -?\d+ dB of full scale/,
    );
    expect(await wcagFindings(page.driver)).toEqual([]);
    await (await page.find("(//button[starts-with(@aria-label, 'Refuse 0.1')])[1]")).click();
    await page.see('10 lost stretches, 9 to decide');
    await (await page.find("(//button[starts-with(@aria-label, 'Take 1.1')])[1]")).click();
    await page.until('both edges kept', async () => (await lost()).length === 2);
    const [begin, end] = await lost();
    expect(begin?.body.found).toContain('silence');
    expect(begin?.time.walkS).toBeCloseTo(1.1, 1);
    expect(end?.time.walkS).toBeCloseTo(2, 1);
    // Nobody reacted: the moment is known to five thousandths either way.
    expect(begin?.time.frameS).toBe(0.01);
    await page.press('Take all 8 into the log');
    await page.until('all kept', async () => (await lost()).length === 2 + 8 + 7);
    await page.see('0 to decide');
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 180_000);
