import { expect, test } from '@jest/globals';
import { Key } from 'selenium-webdriver';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { useSession } from './support/session.ts';
import { seen, setSpeed } from './support/walker.ts';

// By keyboard, by ear, with the system's colours.

const session = useSession({ demo: true });

const script = <T>(text: string): Promise<T> => session.page.driver.executeScript<T>(text);
const send = (name: string, parameters: object): Promise<void> => session.page.devtools(name, parameters);
/** Keys go to whatever has the focus. */
const keys = (...typed: string[]): Promise<void> => session.page.keys(...typed);
const focused = (): Promise<string> =>
  script<string>(
    'return (document.activeElement.textContent || document.activeElement.getAttribute("aria-label") || "").trim()',
  );
const announced = (): Promise<string> =>
  script<string>("return document.querySelector('[data-announced]')?.textContent ?? ''");

test('a skip link, and the focus on the head of what one has gone to', async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/kit`);
  await page.see('Add a product');
  await keys(Key.TAB);
  expect(await focused()).toBe('Skip to the work');
  await keys(Key.ENTER);
  expect(await focused()).toBe('Kit');
  expect(await page.driver.getTitle()).toBe('Kit, Urvek');
  await page.press('Paths');
  await page.until('the head of Paths', async () => (await focused()) === 'Paths');
}, 300_000);

test('a walk by keyboard: what is logged is told, the focus goes and comes back, letters are one’s own', async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.see('Begin the walk');
  await script(
    '[...document.querySelectorAll("button")].find((b) => b.textContent === "Begin the walk").focus()',
  );
  await keys(Key.ENTER);
  await page.see('Dropout begins');
  await page.until('the head of the walk', () =>
    script<boolean>("return document.activeElement.tagName === 'H1'"),
  );
  await setSpeed(page, 2);
  await keys('d');
  const logged = await seen(page);
  // The speed has the focus: a letter is not for the log.
  expect(await announced()).not.toContain('dropout');
  await script('document.activeElement.blur()');
  await keys('d');
  await page.until('the dropout told', async () => /dropout.*: kept$/i.test(await announced()));
  expect((await seen(page)).kept).toBeGreaterThan(logged.kept);
  // A question takes the focus; its key has it again.
  await script('document.querySelector("[data-key=e]").focus()');
  await keys(Key.ENTER);
  await page.until('the question', async () => (await focused()).startsWith('Why does the walk end?'));
  await keys(Key.ESCAPE);
  await page.until('the key again', () =>
    script<boolean>("return document.activeElement.dataset.key === 'e'"),
  );
  // While a control has the focus, letters are its own.
  await script('[...document.querySelectorAll("button")].find((b) => b.textContent === "options").focus()');
  const before = (await seen(page)).kept;
  await keys('4');
  await keys(Key.ENTER);
  await page.press('Which key does what');
  await (await page.find("//label[contains(., 'dropout begins, or ends')]/input")).sendKeys('q');
  await keys(Key.ESCAPE);
  await page.until('the options closed', () =>
    script<boolean>("return !document.querySelector('[type=checkbox]')"),
  );
  await script('document.activeElement.blur()');
  const graded = await script<number>("return document.querySelectorAll('[aria-pressed=true]').length");
  await keys('d');
  await keys('q');
  await page.until('the end of the dropout told', async () => /ends: kept$/i.test(await announced()));
  expect([graded, (await page.text('//*[@data-key="d"]')).includes('Q')]).toEqual([1, true]);
  expect((await seen(page)).kept).toBeGreaterThan(before);
  // What counts by itself is not announced.
  expect(
    await script("return document.querySelector('[data-kept]').closest('[role=status],[aria-live]')"),
  ).toBeNull();
  await script('localStorage.removeItem("urvek-walk-options")');
  await keys('e');
  await page.press('weather');
  await page.see('ended: weather');
}, 450_000);

test('the tape tells itself, and its brackets are followed by keyboard', async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/ranges`);
  await page.find('//*[@role="link"][starts-with(@data-group, "walk-")]');
  const told = await script<string[]>(
    `const svg = [...document.querySelectorAll('svg[aria-describedby]')].find((s) => s.querySelector('[role=link]'));
     return [...document.getElementById(svg.getAttribute('aria-describedby')).children].map((p) => p.textContent);`,
  );
  expect(told[0]).toMatch(/^Tape of .*post/);
  expect(told.some((t) => /walk \d+: (held to|at|more than|less than|failed)/.test(t))).toBe(true);
  const walk = await script<string>(
    "const g = document.querySelector('[role=link][data-group^=walk-]'); g.focus(); return g.dataset.group.slice(5);",
  );
  await keys(Key.ENTER);
  await page.until('its trace', async () => (await page.driver.getCurrentUrl()).endsWith(`/trace/${walk}`));
}, 300_000);

test('the system’s colours: states differ by border or sign, and the tape brings its paper', async () => {
  const { page } = session;
  await send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] });
  await page.open(`/c/${DEMO_ID}/walk`);
  await page.press('Begin the walk');
  await page.see('Dropout begins');
  await page.key('3');
  await page.until('pressed', () =>
    script<boolean>("return !!document.querySelector('[aria-pressed=true]')"),
  );
  const look = (which: string) =>
    script<string[]>(
      `const s = getComputedStyle(document.querySelector(${JSON.stringify(which)}));
       return [s.borderTopWidth, s.backgroundColor, s.color];`,
    );
  const [pressed, unpressed] = [await look('[aria-pressed=true]'), await look('[aria-pressed=false]')];
  expect(pressed[0]).not.toBe(unpressed[0]);
  expect(pressed[1]).not.toBe(unpressed[1]);
  const [paper, ink] = await script<string[]>(
    `const svg = document.querySelector('svg[data-scene]');
     return [getComputedStyle(svg).backgroundColor, getComputedStyle(svg.querySelector('text')).fill];`,
  );
  expect([paper, ink]).toEqual(['rgb(255, 253, 244)', expect.not.stringMatching(/255, 25\d/)]);
  await page.press('End …');
  await page.press('weather');
  await page.see('ended: weather');
  // The mark of a stage tells how far it is by its shape, in the colour of the text whatever the colours are.
  const marks = await script<[string, string][]>(
    `return [...document.querySelectorAll('nav[aria-label=Stages] [data-mark]')].map((e) => {
       return [getComputedStyle(e).stroke, getComputedStyle(e.parentElement).color];
     });`,
  );
  expect(marks).toHaveLength(8);
  for (const [stroke, text] of marks) expect(stroke).toBe(text);
  await send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'none' }] });
}, 300_000);
