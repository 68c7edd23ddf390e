import { expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { keptEvents } from './support/keptEvents.ts';
import { probeWhileWalking } from './support/probe.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });

/** Bodies of the readings that this device keeps. */
interface Read {
  readonly quantity: string;
  readonly value?: number;
}
const measured = async (): Promise<Read[]> =>
  (await keptEvents<Read>(session.page.driver)).flatMap((e) => (e.kind === 'measured' ? [e.body] : []));

test(
  'the probe: simulated gear answers it; where both ends are one machine it measures, and logs ' + 'nothing',
  async () => {
    const { page } = session;
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.press('Begin the walk');
    await page.see('Dropout begins');
    await page.press('options');
    await page.press('measure the link to the base');
    await page.press('Measure');
    await page.until('simulated readings', async () => (await measured()).length >= 4);
    expect((await measured())[0]).toMatchObject({ quantity: 'throughput', instrument: 'Urvek probe' });
    await page.press('End …');
    await page.press('time');
    await page.see('ended: time');

    // Walk now is real: the link under test is this machine's own, which is none.
    const earlier = (await measured()).map((m) => JSON.stringify(m));
    const before = earlier.length;
    await probeWhileWalking(page, '10 GB');
    await page.until('its end', async () =>
      (await page.text("//section[@aria-label='Probe']")).includes('no link lies between'),
    );
    expect(await page.text("//section[@aria-label='Probe']")).toMatch(/Mbit\/s down/);
    expect((await measured()).length).toBe(before);

    // A set of readings, as people write them.
    await page.press('Reading …');
    await page.fill('Down', '125 to 150');
    await page.fill('Up', '100 MB in 38 s');
    await page.fill('Level', 'fast');
    await page.see('this is no figure');
    await page.fill('Level', '-61');
    await page.press('Log 3 readings');
    await page.until('three more', async () => (await measured()).length === before + 3);
    // Walks stand in the store in no order of time.
    const own = (await measured()).filter((m) => !earlier.includes(JSON.stringify(m)));
    expect(own.map((m) => m.value)).toEqual([137.5, expect.closeTo(21.05, 2), -61]);
  },
  450_000,
);

test('what ping printed is taken in at a stand of a walk, with its losses', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-ping-'));
  const file = join(folder, 'ping.txt');
  writeFileSync(
    file,
    [12, 14, undefined, 40]
      .flatMap((ms, i) =>
        ms === undefined ? [] : [`64 bytes from 10.0.0.1: icmp_seq=${i} ttl=64 time=${ms} ms`],
      )
      .concat('4 packets transmitted, 3 received')
      .join('\n'),
  );
  await page.open(`/c/${DEMO_ID}/trace`);
  await page.see('Outcomes, in separation');
  await page.press('Add an entry');
  await page.press('Readings from a file');
  await (await page.find("//input[@type='file']")).sendKeys(file);
  await page.see('3 of 4 answered');
  expect(await page.text('//*[@data-preview]')).toMatch(/round trip 14 ms[\s\S]*loss 25 %/);
  await page.fill('Reason', 'measured beside the walk');
  await page.press('Add 3');
  await page.see('3 readings of ping.txt added');
  await page.see('round trip 14 ms');
  rmSync(folder, { recursive: true });
}, 300_000);
