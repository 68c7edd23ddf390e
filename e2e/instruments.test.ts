import { afterAll, expect, test } from '@jest/globals';
import type { StoredWalk } from '@urvek/contract';
import {
  joinLogs,
  PACKET_EVERY_S,
  pictureMessageOf,
  seeded,
  tagOf,
  type EventKind,
  type EventOf,
  type PictureMessage,
  type WalkEvent,
} from '@urvek/core';
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { writeWav } from '../benchmarks/recordings.ts';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { useSession } from './support/session.ts';
import { walksOf } from './support/walks.ts';

const session = useSession({ demo: true });
const folder = mkdtempSync(join(tmpdir(), 'urvek-heard-'));
let second: Browser | undefined;
afterAll(async () => {
  await second?.close();
  rmSync(folder, { recursive: true });
});

/** Lost in the sound that comes in, s. */
const GAPS = [
  [4, 4.3],
  [6, 6.08],
  [8, 9.5],
] as const;

/** What a receiver hands on: steady noise, with gaps that are not quite silent, and a while with its peaks cut off. */
function writeHeard(file: string): void {
  const random = seeded('heard');
  const [rateHz, clipS] = [44_100, 11.6];
  const sound = Float32Array.from({ length: 13 * rateHz }, (_, i) => {
    const lost = GAPS.some(([from, to]) => i >= from * rateHz && i < to * rateHz);
    const tooLoud = i >= clipS * rateHz && i < (clipS + 0.4) * rateHz;
    const x = (lost ? 0.002 : tooLoud ? 1 : 0.1) * random.normal();
    return tooLoud ? Math.max(-0.6, Math.min(0.6, x)) : x;
  });
  writeWav(file, sound, rateHz);
}

/** What a receiver shows: a pattern that drifts, stands from 3 to 4 s and is black from 7 to 8 s of ten. */
function writeShown(file: string): void {
  const [width, height, perS] = [320, 180, 25];
  const out = openSync(file, 'w');
  writeSync(out, `YUV4MPEG2 W${width} H${height} F${perS}:1 Ip A1:1 C420mpeg2\n`);
  const colour = new Uint8Array((width * height) / 2).fill(128);
  for (let n = 0; n < 10 * perS; n++) {
    const at = n >= 3 * perS && n < 4 * perS ? 3 * perS : n;
    const black = n >= 7 * perS && n < 8 * perS;
    const luma = Uint8Array.from({ length: width * height }, (_, i) =>
      black ? 16 : 120 + 60 * Math.sin(((i % width) + 3 * at) / 18),
    );
    for (const piece of ['FRAME\n', luma, colour])
      writeSync(out, typeof piece === 'string' ? Buffer.from(piece) : piece);
  }
  closeSync(out);
}

const wasm = createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm');
prepareZXingModule({ overrides: { wasmBinary: new Uint8Array(readFileSync(wasm)).buffer } });

/** The beacon as it stands on a screen. */
async function codeOnScreen(page: Page): Promise<PictureMessage | undefined> {
  const png = Buffer.from(await page.driver.takeScreenshot(), 'base64');
  const [code] = await readBarcodes(new Uint8Array(png), { formats: ['QRCode'], maxNumberOfSymbols: 1 });
  return pictureMessageOf(code?.text ?? '');
}

const newest = async (): Promise<StoredWalk> =>
  [...(await walksOf(session.page.origin, DEMO_ID))].sort(
    (a, b) => b.header.startedMs - a.header.startedMs,
  )[0] as StoredWalk;

/** How long after its time each entry that listening made was on the device, ms. */
const WATCH = `
  window.keptAfter = [];
  const seen = new Set();
  setInterval(() => {
    const open = indexedDB.open('urvek-field');
    open.onsuccess = () => {
      open.result.transaction('events').objectStore('events').getAll().onsuccess = ({ target }) => {
        open.result.close();
        for (const { event } of target.result)
          if (event.body.found !== undefined && !seen.has(event.seq)) {
            seen.add(event.seq);
            window.keptAfter.push(
              performance.timeOrigin + performance.now() - event.time.originMs - event.time.inputMs,
            );
          }
      };
    };
  }, 20);`;

test(
  'a second device at the receiving end listens and watches: dropouts are logged by themselves, ' +
    'when they were',
  async () => {
    const { page: walker } = session;
    const [heard, shown] = [join(folder, 'heard.wav'), join(folder, 'shown.y4m')];
    writeHeard(heard);
    writeShown(shown);
    await walker.open(`/c/${DEMO_ID}/walk`);
    await walker.choose('Gear', 'real, on foot');
    await walker.press('Begin the walk');
    const question = '//*[@role="group"][contains(@aria-label, "they are rehearsals")]';
    if ((await walker.driver.findElements({ xpath: question })).length > 0)
      await walker.press('Begin with real gear');
    await walker.see('Dropout begins');
    await walker.press('options');
    await walker.press('second device');
    const code = await (await walker.find('//*[@data-join-code]')).getAttribute('data-join-code');
    second = await openBrowser({
      flags: [
        ...['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'],
        `--use-file-for-fake-audio-capture=${heard}%noloop`,
        `--use-file-for-fake-video-capture=${shown}`,
        '--autoplay-policy=no-user-gesture-required',
      ],
    });
    const base = new Page(second.driver, walker.origin);
    await base.open(`/join/${code}`);
    await base.press('Join');
    await base.see('what is received');
    await base.driver.executeScript(WATCH);
    await base.press('Listen by microphone or line');
    await base.see('comes through');
    const foundS = async (kind: EventKind): Promise<number[]> =>
      (await newest()).log.filter((e) => e.kind === kind && 'found' in e.body).map((e) => e.time.walkS);
    // By differences: when the fake input began is not known. A busy machine plays it haltingly, and what it skips is
    // lost too: how closely sound is timed is held by core's tests of the clock and of the losses.
    await base.until('three dropouts, as far from each other as in the sound', async () => {
      const [begun, ended] = [await foundS('dropoutBegin'), await foundS('dropoutEnd')];
      const near = (list: readonly number[], s: number): boolean => list.some((x) => Math.abs(x - s) < 1);
      return begun.some((first) =>
        GAPS.every(
          ([from, to]) => near(begun, first + from - GAPS[0][0]) && near(ended, first + to - GAPS[0][0]),
        ),
      );
    });
    // A loss is told after 50 ms; the rest is the way to the log.
    const after = await base.driver.executeScript<number[]>('return window.keptAfter');
    expect(after.length).toBeGreaterThanOrEqual(2 * GAPS.length);
    process.stdout.write(
      `heard and kept: ${after.map((ms) => ms.toFixed(0)).join(', ')} ms after the sound changed\n`,
    );
    expect(await base.text('//*[@data-received]')).toContain('comes through');
    await base.until('that its peaks were cut off', async () =>
      (await newest()).log.some((e) => e.kind === 'note' && e.body.text.startsWith('clipping')),
    );
    // Whoever walks sees it, too.
    await walker.find('//*[@data-other-devices]//*[@data-heard="through"]');
    await base.press('Stop listening');
    // The picture that comes in, over and over: frozen for a second, black for a second.
    await base.press('Watch by camera or capture device');
    await base.see('comes through');
    await walker.find('//*[@data-other-devices]//*[@data-heard="lost"][contains(., "lost")]');
    await base.until('a freeze and a black picture', async () => {
      const { log } = await newest();
      const lost = (kind: string) => (e: WalkEvent) =>
        e.kind === 'dropoutBegin' && e.body.found?.startsWith(kind) === true;
      return log.some(lost('freeze')) && log.some(lost('black'));
    });
    await base.press('Stop watching');
    await readTheBeaconLive(base);
    await hearTheBeaconLive(base);
    await walker.press('Close');
    // The picture that this device sends away says how far that is, from the mark on.
    await walker.key('m');
    const here = await walker.driver.getWindowHandle();
    await walker.driver.switchTo().newWindow('tab');
    await walker.open('/signals');
    await walker.see('and the picture says how far that was');
    await walker.press('Beacon in picture');
    await walker.find('//*[@data-beacon][@data-sequence][string-length(@data-separation) > 0]');
    const { separation } = (await codeOnScreen(walker)) ?? {};
    const marked = (await newest()).log.findLast((e) => e.kind === 'mark');
    const postM = marked?.kind === 'mark' ? marked.body.reading?.travelledM : undefined;
    expect(postM).toBeGreaterThan(0);
    expect(separation?.m).toBeCloseTo(postM as number, 0);
    expect(separation?.uM).toBeGreaterThan(0);
    await walker.driver.close();
    await walker.driver.switchTo().window(here);
    // Gear on a wire, played by the test: lines that come in pieces, one that is none, and a plug that is pulled.
    await walker.driver.executeScript(`
    let to;
    window.wire = (text) => to.enqueue(new TextEncoder().encode(text));
    window.unplug = () => to.error(new Error('it was unplugged'));
    Object.defineProperty(navigator, 'serial', { configurable: true, value: { requestPort: async () => ({
      open: async () => undefined, close: async () => undefined,
      readable: new ReadableStream({ start: (c) => { to = c; } }),
    }) } });`);
    await walker.press('options');
    await walker.press('gear on a serial port');
    await walker.press('Open a port');
    await walker.see('Nothing was understood yet');
    for (const piece of ['wheel,47', '.5\r\nlevel,-71\r\nready\r\nlost,no ca', 'rrier\nback\n'])
      await walker.driver.executeScript('window.wire(arguments[0])', piece);
    await walker.see('4 lines logged');
    await walker.see('Not understood: ready');
    await walker.until('the lines of the wire at the base', async () => {
      const { log } = await newest();
      return (
        log.some((e) => e.kind === 'mark' && e.body.reading?.travelledM === 47.5) &&
        log.some((e) => e.kind === 'measured' && e.body.value === -71 && e.body.instrument === 'wheel') &&
        log.some((e) => e.kind === 'dropoutBegin' && e.body.found === 'wheel: no carrier')
      );
    });
    await walker.driver.executeScript('window.unplug()');
    await walker.see('The port was lost (it was unplugged)');
    await walker.press('Close');
    await walker.key('e');
    await walker.press('time');
    await walker.see('walk');
    const { header } = await newest();
    await walker.open(`/c/${DEMO_ID}/trace/${header.id}`);
    await walker.see('By the beacon the picture came');
    await walker.see('By the beacon the sound came');
  },
  450_000,
);

/**
 * The beacon of the walk, as this device shows it from the far end, comes back as the picture of its own camera: read
 * while one watches, logged, and late by no more than the way from canvas to camera.
 */
async function readTheBeaconLive(base: Page): Promise<void> {
  const { header } = await newest();
  expect(await base.text(`//a[contains(@href, '/signals?walk=${header.id}')]`)).toContain('Show the beacon');
  // In a window of its own: a page of Urvek stands in no frame.
  await base.driver.executeScript(
    `window.shows = window.open(arguments[0], 'shows', 'popup,width=1280,height=800');
    navigator.mediaDevices.getUserMedia = async () =>
      window.shows.document.querySelector('[data-beacon]').captureStream(25);`,
    `/signals?walk=${header.id}`,
  );
  await base.until('the beacon of the walk is shown', () =>
    base.driver.executeScript<boolean>(
      `const page = window.shows.document;
      const tagged = page.body?.textContent.includes('Its tag is ' + arguments[0] + '.');
      if (tagged && !page.querySelector('[data-beacon]'))
        [...page.querySelectorAll('button')].find((b) => b.textContent === 'Beacon in picture')?.click();
      return page.querySelector('[data-beacon][data-sequence]') !== null;`,
      String(tagOf(header.id)),
    ),
  );
  await base.press('Watch by camera or capture device');
  await base.find('//*[@data-beacon="read"][contains(., "late")]');
  // The black picture before was being watched when one stopped: it is over.
  await base.see('Dropout begins');
  const read = async () => (await newest()).log.filter((e) => e.kind === 'beacon');
  await base.until('what was read is at the base', async () => (await read()).length > 1);
  const { log } = joinLogs((await newest()).log);
  for (const { time, body } of log.filter((e) => e.kind === 'beacon')) {
    expect(body.codes).toBeGreaterThan(0);
    expect(Math.abs(time.walkS - body.sentS)).toBeLessThan(1);
  }
  await base.press('Stop watching');
  await base.driver.executeScript('window.shows.close()');
}

/** The same in sound: as another window of this device plays it, into this page's microphone. */
async function hearTheBeaconLive(base: Page): Promise<void> {
  const { header } = await newest();
  await base.driver.executeScript(
    `window.plays = window.open(arguments[0], 'plays', 'popup,width=1280,height=800');
    navigator.mediaDevices.getUserMedia = async () => window.plays.sent.stream;`,
    `/signals?walk=${header.id}`,
  );
  await base.until('the beacon of the walk is played', () =>
    base.driver.executeScript<boolean>(
      `const page = window.plays.document;
      const tagged = page.body?.textContent.includes('Its tag is ' + arguments[0] + '.');
      if (tagged && !window.plays.sent) {
        window.plays.AudioContext = class extends window.plays.AudioContext {
          get destination() {
            return (window.plays.sent ??= this.createMediaStreamDestination());
          }
        };
        [...page.querySelectorAll('button')].find((b) => b.textContent === 'Beacon in sound')?.click();
      }
      return window.plays.sent !== undefined && Number(page.querySelector('[data-sent]').dataset.sent) > 0;`,
      String(tagOf(header.id)),
    ),
  );
  await base.press('Listen by microphone or line');
  const ofSound = async (): Promise<EventOf<'beacon'>[]> =>
    joinLogs((await newest()).log).log.flatMap((e) =>
      e.kind === 'beacon' && e.body.carriedBy === 'sound' ? [e] : [],
    );
  const late = await base.text(
    '//*[@data-beacon="read"][contains(., "a packet heard")][contains(., "late")]',
  );
  expect(Math.abs(Number(/(-?\d+) ± /.exec(late)?.[1]))).toBeLessThan(1000);
  await base.until('five packets at the base', async () => (await ofSound()).length >= 5);
  for (const { time, body } of await ofSound()) {
    // A multiple of two and a half seconds, as they are sent.
    expect((body.sentS / PACKET_EVERY_S) % 1).toBeCloseTo(0, 6);
    expect(Math.abs(time.walkS - body.sentS)).toBeLessThan(1);
  }
  // Neither where packets begin nor where they end anything seems to be wrong with the sound.
  const { log } = await newest();
  const firstMs = (await ofSound())[0]?.time.wallMs ?? 0;
  expect(
    log.filter((e) => e.kind === 'note' && e.body.text.startsWith('click') && e.time.wallMs > firstMs),
  ).toEqual([]);
  await base.press('Stop listening');
  await base.driver.executeScript('window.plays.close()');
}

test('Test signals: a beacon is sent in sound, and shown in a picture that is read from the screen', async () => {
  const { page } = session;
  await page.open('/');
  await page.press('Test signals');
  await page.press('Beacon in sound');
  await page.until(
    'two packets',
    async () => Number(await (await page.find('//*[@data-sent]')).getAttribute('data-sent')) >= 2,
  );
  await page.press('Stop');
  await page.see('Nothing plays.');
  const tag = Number(await page.text("//p[contains(., 'Its tag is')]/span"));
  await page.press('Beacon in picture');
  await page.find('//*[@data-beacon][@data-sequence]');
  const a = await codeOnScreen(page);
  expect(a?.tag).toBe(tag);
  await page.driver.sleep(1000);
  const b = await codeOnScreen(page);
  // In tenths of a second, as time went.
  expect((b?.sequence ?? 0) - (a?.sequence ?? 0)).toBeGreaterThanOrEqual(8);
  await page.driver.actions().sendKeys(Key.ESCAPE).perform();
  await page.press('Running clock');
  await page.until('the clock', async () => /^\d+:\d\d\.\d$/.test(await page.text('//*[@data-clock]')));
  await page.press('Close');
}, 240_000);
