import { expect, test } from '@jest/globals';
import {
  BEACON_TICK_S,
  CHIRP_RATE_HZ,
  packetOf,
  seeded,
  tagOf,
  type EventBodies,
  type EventKind,
  type WalkEvent,
} from '@urvek/core';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeBeaconFilm } from '../benchmarks/beacons.ts';
import { writeWav } from '../benchmarks/recordings.ts';
import { DEMO_ID, DEMO_SETUP } from '../server/src/demo/cindermoor.ts';
import { wcagFindings } from './support/axe.ts';
import { useSession } from './support/session.ts';
import { walksOf } from './support/walks.ts';

// A walk that was logged where it was walked, and a recording of what was received: the beacon in it puts it on the
// walk's clock, and what was lost in it stands where the walk's marks say.

const session = useSession({ demo: true });
/** The recording began so long before the walk, s. */
const LATER_S = 5.237;
/** On the walk's clock, s; at a metre a second that is 40 m. */
const LOST = [40, 41.2] as const;

/** A walk at a metre a second: begun, marked at every 20 m, ended at 100. */
async function walkedAtBase(): Promise<string> {
  const [walkId, deviceId] = [randomUUID(), randomUUID()];
  const [product] = DEMO_SETUP.products;
  const [path] = DEMO_SETUP.paths;
  const startedMs = Date.UTC(2026, 5, 1, 9);
  let seq = 0;
  const entry = <K extends EventKind>(kind: K, walkS: number, body: EventBodies[K]): WalkEvent =>
    ({
      ...{ walkId, deviceId, seq: ++seq, version: 1, kind, body },
      time: { walkS, rate: 1, inputMs: 1000 * walkS, originMs: startedMs, wallMs: startedMs + 1000 * walkS },
    }) as unknown as WalkEvent;
  const reading = (travelledM: number) => ({ travelledM, method: 'wheel' as const, pressed: false });
  const send = async (method: string, at: string, body: unknown): Promise<void> => {
    const answer = await fetch(new URL(`/api/walks/${at}`, session.app.url), {
      ...{ method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
    });
    if (!answer.ok) throw new Error(`${answer.status}: ${await answer.text()}`);
  };
  await send('PUT', walkId, {
    ...{ id: walkId, comparisonId: DEMO_ID, productId: product?.id, rigId: product?.rigs[0]?.id },
    ...{ pathId: path?.id, startedMs },
  });
  await send('POST', `${walkId}/events`, {
    events: [
      entry('begin', 0, {
        ...{ direction: 'mobile-to-fixed', mode: 'continuous', baselineGrade: 5, reading: reading(0) },
      }),
      ...[20, 40, 60, 80, 100].map((m) => entry('mark', m, { reading: reading(m) })),
      entry('end', 100, { reason: 'path ended' }),
    ],
  });
  return walkId;
}

/** Seconds of the film in which the link shows no code. */
const UNSEEN = [6, 8] as const;

/** The beacon as it is played: a packet every 2.5 s, noise as strong between them; silent where the link was lost. */
function writeReceived(file: string, walkId: string): void {
  const random = seeded('received');
  const rateHz = 48_000;
  const times = rateHz / CHIRP_RATE_HZ;
  const at = (walkS: number): number => Math.round((walkS + LATER_S) * rateHz);
  const sound = Float32Array.from({ length: at(110) }, () => 0.07 * random.normal());
  for (let sequence = 25; sequence <= 950; sequence += 25) {
    const packet = packetOf({ tag: tagOf(walkId), sequence });
    const from = at(BEACON_TICK_S * sequence);
    for (let i = 0; i < packet.length * times; i++) {
      const [k, share] = [Math.floor(i / times), (i % times) / times];
      sound[from + i] = 0.1 * ((packet[k] as number) * (1 - share) + (packet[k + 1] ?? 0) * share);
    }
  }
  sound.fill(0, at(LOST[0]), at(LOST[1]));
  writeWav(file, sound, rateHz);
}

test('a recording of what was received is placed by its beacon, and a loss in it goes where the walk was', async () => {
  const { page } = session;
  const folder = mkdtempSync(join(tmpdir(), 'urvek-received-'));
  try {
    const walkId = await walkedAtBase();
    const [file, other] = [join(folder, 'received.wav'), join(folder, 'another.wav')];
    writeReceived(file, walkId);
    writeReceived(other, randomUUID());
    const logged = async (...kinds: readonly EventKind[]): Promise<readonly WalkEvent[]> =>
      ((await walksOf(page.origin, DEMO_ID)).find((w) => w.header.id === walkId)?.log ?? []).filter((e) =>
        kinds.includes(e.kind),
      );
    const lost = () => logged('dropoutBegin', 'dropoutEnd');
    await page.open(`/c/${DEMO_ID}/trace/${walkId}`);
    await page.press('Recording');
    const choose = async (name: string): Promise<void> => {
      await page.find('//input[@type="file"]');
      await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(name);
    };
    // Another walk's beacon places nothing here.
    await choose(other);
    await page.press('Read the beacon in its sound');
    await page.see('Its beacon is of another walk');
    await page.press('Another one');
    await choose(file);
    await page.see('Place it on the walk’s clock first.');
    await page.press('Read the beacon in its sound');
    await page.until('a third of it read', async () => {
      const share = await (await page.find('//progress')).getAttribute('value');
      return Number(share) > 1 / 3;
    });
    await page.press('Hold');
    await page.driver.sleep(700);
    await page.driver.navigate().refresh();
    await page.press('Recording');
    await choose(file);
    await page.press('Read the beacon in its sound');
    await page.see('was done before; it goes on from there');
    // All but the one that was sent while the link was lost, none of them twice.
    await page.see('Placed by 37 ');
    const laterS = Number(/at (-?[\d.]+) s/.exec(await page.text('//*[@data-placed]'))?.[1]);
    expect(Math.abs(laterS - LATER_S)).toBeLessThan(0.002);
    await page.press('Find what was lost');
    await page.choose('What was sent', 'noise');
    await page.press('Look through the recording');
    await page.see('1 lost stretch, 1 to decide');
    expect(await wcagFindings(page.driver)).toEqual([]);
    await (await page.find("//button[starts-with(@aria-label, 'Take ')]")).click();
    await page.until('both edges at the base', async () => (await lost()).length === 2);
    const [begun, ended] = await lost();
    expect(Math.abs((begun?.time.walkS ?? 0) - LOST[0])).toBeLessThan(0.02);
    expect(Math.abs((ended?.time.walkS ?? 0) - LOST[1])).toBeLessThan(0.02);
    // And the walk says where: it held to 40 m, and the link was lost there.
    await page.press('Outcomes');
    await page.until('an outcome at 40 m', async () =>
      /first dropout[^\n]*\b(39\.\d|40(\.\d)?)\b/.test(
        await page.text("//*[@aria-label='What the walk says']"),
      ),
    );
    await page.press('Undo');
    await page.until('both withdrawn', async () => (await logged('correction')).length === 2);
    await page.until(
      'held to its end again',
      async () =>
        !/first dropout[^\n]*\b(39\.\d|40(\.\d)?)\b/.test(
          await page.text("//*[@aria-label='What the walk says']"),
        ),
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 450_000);

test(
  'a film of what was received is placed by the codes in its picture, and codes that were not read ' +
    'are proposed as lost',
  async () => {
    const { page } = session;
    const folder = mkdtempSync(join(tmpdir(), 'urvek-received-'));
    try {
      const walkId = await walkedAtBase();
      const film = join(folder, 'received.mp4');
      await writeBeaconFilm(film, {
        ...{ codes: 60, tag: tagOf(walkId), held: 6, mbps: 2, noise: 6 },
        separationM: (sequence) => BEACON_TICK_S * sequence,
        shown: (code) => code * 0.2 < UNSEEN[0] || code * 0.2 >= UNSEEN[1],
      });
      await page.open(`/c/${DEMO_ID}/trace/${walkId}`);
      await page.press('Recording');
      await page.find('//input[@type="file"]');
      await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(film);
      await page.press('Read the beacon in its sound');
      await page.see('it has no sound');
      await page.press('Read the beacon in its picture');
      await page.press('Hold');
      await page.see('Go on');
      const done = async (): Promise<string | null> => (await page.find('//progress')).getAttribute('value');
      // What was on its way when it was held may still be told.
      await page.driver.sleep(700);
      const held = await done();
      await page.driver.sleep(1000);
      expect(await done()).toBe(held);
      // The page is closed meanwhile: chosen once more, the film is read on from there.
      await page.driver.navigate().refresh();
      await page.press('Recording');
      await page.find('//input[@type="file"]');
      await (await page.driver.findElement({ css: 'input[type=file]' })).sendKeys(film);
      await page.press('Read the beacon in its picture');
      await page.see('was done before; it goes on from there');
      await page.see('Placed by 50 codes of its beacon');
      const laterS = Number(/at (-?[\d.]+) s/.exec(await page.text('//*[@data-placed]'))?.[1]);
      expect(Math.abs(laterS)).toBeLessThan(0.05);
      await page.see('1 stretch without a code that was read, 1 to decide');
      expect(await wcagFindings(page.driver)).toEqual([]);
      await (await page.find("//button[starts-with(@aria-label, 'Take ')]")).click();
      const lost = async (): Promise<readonly WalkEvent[]> =>
        (await walksOf(page.origin, DEMO_ID))
          .find((w) => w.header.id === walkId)
          ?.log.filter((e) => e.kind === 'dropoutBegin' || e.kind === 'dropoutEnd') ?? [];
      await page.until('both edges at the base', async () => (await lost()).length === 2);
      const [begun, ended] = await lost();
      expect(Math.abs((begun?.time.walkS ?? 0) - UNSEEN[0])).toBeLessThan(0.25);
      expect(Math.abs((ended?.time.walkS ?? 0) - UNSEEN[1])).toBeLessThan(0.25);
    } finally {
      rmSync(folder, { recursive: true });
    }
  },
  450_000,
);
