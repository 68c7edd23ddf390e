import { expect, test } from '@jest/globals';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { keptEvents } from './support/keptEvents.ts';
import { useSession } from './support/session.ts';
import type { Page, Point } from './support/browser.ts';

// A thumb on a phone: real touches, as the browser gets them.

const session = useSession({ demo: true });

const tools = (page: Page) => (name: string, parameters: object) => page.devtools(name, parameters);

async function phone(page: Page, width: number, height: number): Promise<void> {
  const send = tools(page);
  await send('Emulation.setDeviceMetricsOverride', { width, height, deviceScaleFactor: 1, mobile: true });
  await send('Emulation.setTouchEmulationEnabled', { enabled: true });
}

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** One finger down, along some points, and up; `atS`: when it came down, s since 1970, however slow this machine is. */
async function touch(page: Page, path: readonly Point[], holdMs = 30, atS?: number): Promise<void> {
  const send = tools(page);
  const [first, ...rest] = path;
  const stamp = (afterMs: number): object => (atS === undefined ? {} : { timestamp: atS + afterMs / 1000 });
  await send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [first], ...stamp(0) });
  for (const point of rest)
    await send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [point] });
  await wait(holdMs);
  await send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [], ...stamp(holdMs) });
}

const WANTED = ['dropoutBegin', 'dropoutEnd', 'grade', 'end', 'leftOut'];
const kinds = async (page: Page): Promise<string[]> =>
  (await keptEvents(page.driver)).map((e) => e.kind).filter((kind) => WANTED.includes(kind));
const settled = async (page: Page): Promise<string[]> => {
  await wait(400);
  return kinds(page);
};

/** Each height in the window at which a frame showed the key, once; and whether a post was told to be due. */
const KEY_HEIGHTS = `window.keyHeights = [];
  const look = () => {
    const key = [...document.querySelectorAll('button')].find((b) => b.textContent.trim().startsWith('Dropout begins'));
    const top = key && Math.round(key.getBoundingClientRect().top);
    if (key && !window.keyHeights.includes(top)) window.keyHeights.push(top);
    const told = [...document.querySelectorAll('[role=status]')].map((e) => e.textContent);
    window.toldOfPost ||= told.some((text) => text.startsWith('Mark post'));
    requestAnimationFrame(look);
  };
  look();`;

test('a press counts once, at its first touch; slid off it is withdrawn, and one touch restores it', async () => {
  const { page } = session;
  await phone(page, 390, 844);
  await page.open('/walk-now');
  await page.see('Begin the walk');
  // Nothing begins by itself, whatever is reloaded.
  await page.open('/walk-now');
  expect(await settled(page)).toEqual([]);
  // From the first frame that shows it the key stays where it is, while the view fills.
  await page.driver.executeScript(KEY_HEIGHTS);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await wait(500);
  expect(await page.driver.executeScript<number[]>('return window.keyHeights')).toHaveLength(1);
  const key = await page.placeOf('Dropout begins');

  // A swipe that starts on the key scrolls.
  await touch(page, [
    key,
    { x: key.x, y: key.y - 40 },
    { x: key.x, y: key.y - 120 },
    { x: key.x, y: key.y - 200 },
  ]);
  expect(await settled(page)).toEqual([]);
  // Slid off sideways: withdrawn, said so, and restored by one touch.
  await wait(4500);
  const again = await page.placeOf('Dropout begins');
  const turn = await page.placeOf('Turn round');
  await touch(page, [again, { x: again.x + 20, y: again.y }, { x: turn.x, y: again.y + 160 }]);
  await page.see('withdrawn: touch to log it');
  expect(await settled(page)).toEqual([]);
  await touch(page, [await page.placeOf('Dropout begins')]);
  expect(await settled(page)).toEqual(['dropoutBegin']);
  // Held for long: one all the same.
  await touch(page, [await page.placeOf('Dropout ends')], 700);
  expect(await settled(page)).toEqual(['dropoutBegin', 'dropoutEnd']);
  // Two touches of a trembling hand, 140 ms apart.
  const trembling = await page.placeOf('Dropout begins');
  const trembledS = Date.now() / 1000;
  await touch(page, [trembling], 10, trembledS);
  await touch(page, [{ x: trembling.x + 2, y: trembling.y }], 10, trembledS + 0.14);
  expect(await settled(page)).toEqual(['dropoutBegin', 'dropoutEnd', 'dropoutBegin']);
  // The page moves under a finger that stays.
  const moving = await page.placeOf('Dropout ends');
  await page.driver.executeScript("setTimeout(() => { document.body.style.translate = '0 300px'; }, 200)");
  await touch(page, [moving], 700);
  expect(await settled(page)).toEqual(['dropoutBegin', 'dropoutEnd', 'dropoutBegin', 'dropoutEnd']);
  await page.driver.executeScript("document.body.style.translate = ''");
}, 300_000);

test('a walk begun by mistake stands on Bench, and is discarded in one press', async () => {
  const { page } = session;
  await page.open('/');
  await page.see('A walk is not finished');
  await page.press('Discard');
  await page.until('gone', async () => (await kinds(page)).includes('leftOut'));
  await page.open('/walk-now');
  await page.see('Begin the walk');
}, 150_000);

test('every mode on a small phone: its panel, Undo and End are in sight together, and work by touch', async () => {
  const { page } = session;
  const inSight = (): Promise<Record<string, [number, number]>> =>
    page.driver.executeScript<Record<string, [number, number]>>(
      `window.scrollTo(0, 0);
       const names = ['Hits', 'Read back', 'Fallback ladder', 'Stop and call', 'Undo and end'];
       return Object.fromEntries(names.flatMap((name) => {
         const e = document.querySelector('main [aria-label="' + name + '"]');
         const r = e?.getBoundingClientRect();
         return r && r.height > 0 ? [[name, [r.top, r.bottom]]] : [];
       }));`,
    );
  const wrong: string[] = [];
  for (const [mode, panel, key] of [
    ['hits', 'Hits', 'Answered'],
    ['read-back', 'Read back', 'Log what was heard'],
    ['ladder', 'Fallback ladder', 'tone worked'],
    ['stop and call', 'Stop and call', 'I stand at'],
    ['continuous', undefined, 'Dropout begins'],
    ['drive', undefined, 'Dropout begins'],
  ] as const) {
    await phone(page, 360, 740);
    await page.open(`/c/${DEMO_ID}/walk`);
    await page.choose('How', mode);
    await page.press('Begin the walk');
    await page.see(key);
    if (mode === 'continuous') {
      // A post that comes due is told where nothing has to make room for it.
      await page.driver.executeScript(KEY_HEIGHTS);
      await (await page.find("//label[span='speed']//option[.='5×']")).click();
      await page.until('two posts passed', () =>
        page.driver.executeScript<boolean>(
          `return document.querySelector('[data-wheel]').dataset.wheel > 45`,
        ),
      );
      expect(await page.driver.executeScript('return [window.keyHeights.length, window.toldOfPost]')).toEqual(
        [1, true],
      );
    }
    for (const [width, height] of [
      [360, 740],
      [390, 844],
      [844, 390],
    ] as const) {
      await phone(page, width, height);
      await wait(150);
      const seen = await inSight();
      const bar = seen['Undo and end'];
      if (!bar || bar[1] > height) wrong.push(`${mode} at ${width}: End at ${bar?.[1]}`);
      const own = panel && seen[panel];
      // Across, a phone is scrolled to its panel; upright it is not.
      if (panel && height > width && (!own || own[1] > (bar?.[0] ?? 0) + 1))
        wrong.push(`${mode} at ${width}: panel ends at ${own?.[1]}, under the keys at ${bar?.[0]}`);
      const small = await page.driver.executeScript<string[]>(
        `const hasText = (e) => [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim());
         const isSmall = (e) => parseFloat(getComputedStyle(e).fontSize) < 14;
         return [...document.querySelectorAll('main *')]
           .filter((e) => e.offsetParent && !e.closest('.sr-only') && hasText(e) && isSmall(e))
           .map((e) => e.textContent.trim().slice(0, 30));`,
      );
      if (small.length > 0) wrong.push(`${mode} at ${width}: text under 14 px: ${small.join(', ')}`);
    }
    await phone(page, 360, 740);
    await touch(page, [await page.placeOf(key)]);
    await page.press('End …');
    if (mode === 'hits') await page.press('Leave them out');
    await page.press('weather');
    await page.see('ended: weather');
  }
  expect(wrong).toEqual([]);
}, 600_000);

test('the mark key held for long asks which post it is, and the post stands at the moment of the touch', async () => {
  const { page } = session;
  await phone(page, 390, 844);
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.choose('How', 'continuous');
  await page.press('Begin the walk');
  await page.see('Mark post 1');
  await touch(page, [await page.placeOf('Mark post 1')], 900);
  await page.see('Which post is it?');
  await page.press('post 3');
  await page.until('the mark told', async () =>
    (await page.text('//*[@aria-label="Last events"]')).includes('post 3'),
  );
  expect(await page.text('//*[@aria-label="Last events"]')).not.toContain('post 1');
  await page.press('End …');
  await page.press('weather');
  // Ended by mistake, it goes on.
  await page.press('it has not ended: walk on');
  await page.see('Mark post');
  await page.press('End …');
  await page.press('weather');
  await page.see('ended: weather');
}, 300_000);

test('a walk is left out with a reason, named in the report, and counts again as easily', async () => {
  const { page } = session;
  await tools(page)('Emulation.setTouchEmulationEnabled', { enabled: false });
  await tools(page)('Emulation.setDeviceMetricsOverride', {
    ...{ width: 1280, height: 800, deviceScaleFactor: 1, mobile: false },
  });
  await page.open(`/c/${DEMO_ID}/trace`);
  await page.press('Outing and filing');
  await page.fill('Why it is left out', 'the receiver was off');
  await page.press('Leave it out');
  await page.see('Left out of every result:');
  const walk = new URL(await page.driver.getCurrentUrl()).pathname;
  await page.open(`/c/${DEMO_ID}/report`);
  await page.see('was left out: the receiver was off');
  await page.open(`${walk}?show=filing`);
  await page.press('Count it again');
  await page.see('Leave this walk out');
}, 300_000);
