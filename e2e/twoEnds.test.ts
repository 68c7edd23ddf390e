import { walksOf } from './support/walks.ts';
import { afterAll, expect, test } from '@jest/globals';
import type { Comparison, StoredWalk } from '@urvek/contract';
import { coordinateAt, joinLogs, type WalkEvent } from '@urvek/core';
import { findWalks } from '@urvek/study';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { openBrowser, Page, type Browser } from './support/browser.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });
let second: Browser | undefined;
afterAll(() => second?.close());

const devTools = (page: Page, name: string, parameters: object): Promise<void> =>
  (
    page.driver as unknown as { sendDevToolsCommand(n: string, p: object): Promise<void> }
  ).sendDevToolsCommand(name, parameters);
const api = async <T>(path: string): Promise<T> =>
  (await (await fetch(new URL(`/api${path}`, session.page.origin))).json()) as T;
const newest = async (): Promise<StoredWalk> =>
  [...(await walksOf(session.page.origin, DEMO_ID))].sort(
    (a, b) => b.header.startedMs - a.header.startedMs,
  )[0] as StoredWalk;

async function beginReal(page: Page): Promise<void> {
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.choose('Gear', 'real, on foot');
  await page.press('Begin the walk');
  // The demo's walks are simulated.
  const question = '//*[@role="group"][contains(@aria-label, "they are rehearsals")]';
  if ((await page.driver.findElements({ xpath: question })).length > 0)
    await page.press('Begin with real gear');
  await page.see('Dropout begins');
}

/** The other browser's clock is 37 minutes fast. */
const SKEW_MS = 37 * 60_000;
const SKEWED = `(() => {
  const origin = performance.timeOrigin + ${SKEW_MS}, now = Date.now.bind(Date);
  Object.defineProperty(Performance.prototype, 'timeOrigin', { get: () => origin });
  Date.now = () => now() + ${SKEW_MS};
})();`;

/** Presses a key at a moment of true time, whatever the page's own clock says. */
const pressAt = (page: Page, key: string, trueMs: number, skewMs: number): Promise<void> =>
  page.driver.executeScript(
    `setTimeout(() => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '${key}', ` +
      `bubbles: true })), ${trueMs + skewMs} - Date.now())`,
  );

test(
  'two browsers on one walk, one clock 37 minutes off: what happens at once stands at one moment, ' +
    'and the two logs stand side by side',
  async () => {
    const { page: walker } = session;
    await beginReal(walker);
    await walker.press('options');
    await walker.press('second device');
    const code = await (await walker.find('//*[@data-join-code]')).getAttribute('data-join-code');
    second = await openBrowser({
      flags: ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'],
    });
    const base = new Page(second.driver, walker.origin);
    await devTools(base, 'Page.addScriptToEvaluateOnNewDocument', { source: SKEWED });
    await base.open('/join/ZZZZZZ');
    await base.press('Join');
    await base.see('no walk of the last two days has the code ZZZZZZ');
    await base.fill('Code on the walker', `${code?.slice(0, 3).toLowerCase()}-${code?.slice(3)}`);
    await base.press('Join');
    await base.see('what is received');
    await walker.press('Close');
    const clocks = async (): Promise<string[]> => [
      ...new Set((await newest()).log.filter((e) => e.kind === 'clock').map((e) => e.deviceId)),
    ];
    await walker.until('both clocks compared', async () => (await clocks()).length === 2);
    // A spoken note is kept like any other event, and heard again in Trace.
    await base.press('Note');
    await base.press('Speak it');
    await base.driver.sleep(1200);
    await base.press('Stop and keep it');
    await base.see('“spoken, ');
    // Thrice, both ends press at one moment: begins, ends, begins.
    for (let i = 0; i < 3; i++) {
      const atMs = Date.now() + 1500;
      await Promise.all([pressAt(walker, 'd', atMs, 0), pressAt(base, 'd', atMs, SKEW_MS)]);
      await walker.driver.sleep(2200);
    }
    const presses = (log: readonly WalkEvent[]): WalkEvent[] =>
      log.filter((e) => e.kind === 'dropoutBegin' || e.kind === 'dropoutEnd');
    await walker.until('six presses at the base', async () => presses((await newest()).log).length === 6);
    await walker.key('e');
    await walker.press('time');
    await walker.press('its trace');
    await walker.see('Trace:');
    const { log, joined } = joinLogs((await newest()).log);
    expect(joined).toEqual([
      expect.objectContaining({ role: 'base', direction: 'mobile-to-fixed', by: 'clocks compared' }),
    ]);
    expect(joined[0]?.uncertaintyS).toBeLessThan(0.1);
    const [a, b] = [true, false].map((own) =>
      presses(log)
        .filter((e) => (e.deviceId === log.find((x) => x.kind === 'begin')?.deviceId) === own)
        .map((e) => e.time.walkS)
        .sort((x, y) => x - y),
    ) as [number[], number[]];
    expect(a).toHaveLength(3);
    // Two headless browsers on a busy machine: timers fire some tens of milliseconds late.
    a.forEach((walkS, i) => expect(Math.abs(walkS - (b[i] as number))).toBeLessThan(0.25));
    await walker.see('What the other device says of the same direction, side by side');
    const voice = (await newest()).log.find((e) => e.kind === 'note')?.body as {
      voice?: { mime: string; base64: string; seconds: number };
    };
    expect(voice.voice?.mime).toMatch(/^audio\//);
    expect(voice.voice?.base64.length).toBeGreaterThan(500);
    await walker.find("//audio[starts-with(@src, 'data:audio/')]");
    expect(await walker.text("//*[@aria-label='Devices that joined']")).toContain('by clocks compared, ±');
  },
  600_000,
);

/** Without what only repeats the one before. */
const apart = (values: readonly number[]): number[] =>
  values.filter((v, i) => i === 0 || v !== values[i - 1]);

test(
  'the device’s own location, along the route: snapped to the path with its accuracy; a poor one ' +
    'is kept and not used',
  async () => {
    const { page } = session;
    const comparison = await api<Comparison>(`/comparisons/${DEMO_ID}`);
    const fixedEnd = { latitudeDeg: 51.23, longitudeDeg: -3.11 };
    const { title, question, revision, setup } = comparison;
    const paths = setup.paths.map((p) => ({ ...p, fixedEnd }));
    const put = await fetch(new URL(`/api/comparisons/${DEMO_ID}`, page.origin), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ title, question, revision, setup: { ...setup, paths } }),
    });
    expect(put.status).toBe(200);
    const [path] = paths;
    if (!path) throw new Error('the demo has no path');
    await devTools(page, 'Browser.grantPermissions', { permissions: ['geolocation'] });
    const stand = async (m: number, accuracy: number): Promise<void> => {
      const { latitudeDeg, longitudeDeg } = coordinateAt(path, fixedEnd, m);
      await devTools(page, 'Emulation.setGeolocationOverride', {
        latitude: latitudeDeg,
        longitude: longitudeDeg,
        accuracy,
      });
    };
    await stand(20, 6);
    await beginReal(page);
    await (await page.find("//label[contains(., 'location')]/input")).click();
    const fixes = async (): Promise<WalkEvent[]> => (await newest()).log.filter((e) => e.kind === 'fix');
    const accuracies = async (): Promise<number[]> =>
      (await fixes()).flatMap((e) => (e.kind === 'fix' ? [Math.round(e.body.accuracyM)] : []));
    const walked: [m: number, accuracyM: number][] = [
      [20, 6],
      [60, 8],
      [90, 300],
      [120, 6],
    ];
    for (const [i, [m, accuracy]] of walked.entries()) {
      if (i > 0) await page.driver.sleep(5200);
      await stand(m, accuracy);
      await page.until(`fix ${i + 1}`, async () => (await accuracies()).at(-1) === accuracy);
    }
    await page.key('e');
    await page.press('time');
    await page.press('its trace');
    await page.see('Trace:');
    const walk = await newest();
    // A browser may tell the same place again.
    expect(apart(await accuracies())).toEqual(walked.map(([, accuracyM]) => accuracyM));
    const [found] = findWalks({ ...setup, paths }, [walk]);
    expect(found?.trace.methods).toContain('satellite');
    const marks = found?.trace.fixes.filter((f) => f.atS > 0) ?? [];
    expect(apart(marks.map((f) => Math.round(f.travelledM)))).toEqual([20, 60, 120]);
    // The browser's accuracy is a 95 % radius, and the fixed end has its own.
    expect(marks[0]?.uncertaintyM).toBeGreaterThan(4);
    expect(marks[0]?.uncertaintyM).toBeLessThan(6);
  },
  600_000,
);
