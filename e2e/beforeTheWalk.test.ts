import { expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { fileURLToPath } from 'node:url';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });

test('Kit: two rigs side by side, claims that disagree, and undo', async () => {
  await session.page.open(`/c/${DEMO_ID}/kit`);
  await session.page.press('Add a claim');
  await session.page.fill('Distance', '500 m', 2);
  await session.page.see('cannot both be meant');
  await session.page.press('Rig sheet');
  await session.page.see('They are set up alike in everything that is stated.');
  await (await session.page.find("//label[contains(., 'settings')]/input")).click();
  const cell = async (product: string) =>
    session.page.find(`//label[contains(., 'Power as set, ${product}')]//input`);
  await (await cell('Ossimere Clip')).sendKeys('20');
  await (await cell('Threnlow T2')).sendKeys('10');
  await session.page.see('-3.0 dB');
  await session.page.see('1 of 1 differs');
  await session.page.press('Save kit');
  await session.page.see('Kit saved');
  await session.page.press('Undo');
  await session.page.see('They are set up alike in everything that is stated.');
}, 450_000);

test('Paths: an obstruction that becomes a wall moves the prediction', async () => {
  await session.page.open(`/c/${DEMO_ID}/paths`);
  const breaks = async (): Promise<string> =>
    session.page.text('(//*[@data-prediction]//tbody/tr)[1]/td[last()]');
  expect(await breaks()).toContain('distance alone');
  await session.page.press('Footbridge');
  await session.page.choose('Kind', 'wall');
  await session.page.fill('At', '38');
  await session.page.choose('Material', 'concrete');
  await session.page.fill('Thickness', '0.4');
  await session.page.until('the wall in the prediction', async () =>
    (await breaks()).includes('Footbridge, 38 m'),
  );
  expect(
    await session.page.driver.executeScript<number>(
      "return document.querySelectorAll('main section [data-scene] .s-obstruction').length",
    ),
  ).toBe(2);
  await session.page.press('Discard changes');
  await session.page.until('the prediction as it was', async () =>
    (await breaks()).includes('distance alone'),
  );
}, 450_000);

test('Paths: a wall drawn across the route appears on the tape and in the prediction', async () => {
  await session.page.open(`/c/${DEMO_ID}/paths`);
  await session.page.press('Plan of the site');
  await session.page.press('Wall');
  const drawn = async (): Promise<(x: number, y: number) => { x: number; y: number; duration: number }> => {
    const [left, top, width, height] = (await session.page.driver.executeScript<number[]>(
      'const p = document.querySelector("[data-plan]"); p.scrollIntoView({ block: "center" }); const b ' +
        '= p.getBoundingClientRect(); return [b.left, b.top, b.width, b.height]',
    )) as [number, number, number, number];
    return (x, y) => ({ x: Math.round(left + x * width), y: Math.round(top + y * height), duration: 50 });
  };
  const at = await drawn();
  await session.page.driver
    .actions()
    .move(at(0.3, 0.2))
    .press()
    .move(at(0.3, 0.5))
    .move(at(0.3, 0.95))
    .release()
    .perform();
  await session.page.until('the wall on the tape', async () =>
    session.page.driver.executeScript<boolean>(
      "return [...document.querySelectorAll('[data-scene] text')].some((t) => t.textContent === 'Wall " +
        "1' && t.closest('[data-group=ground]'))",
    ),
  );
  // What has just been drawn is in hand.
  await session.page.choose('Material', 'concrete');
  await session.page.fill('Thickness', '0.4');
  await session.page.until('the wall in the prediction', async () =>
    (await session.page.text('(//*[@data-prediction]//tbody/tr)[1]/td[last()]')).includes('Wall 1'),
  );
  await session.page.press('Move');
  const there = await drawn();
  await session.page.driver.actions().move(there(0.65, 0.4)).move(there(0.7, 0.4)).perform();
  await session.page.until('the crossing under the pointer', async () =>
    /Between: Wall 1, \d+\.\d m\./.test(await session.page.text('//*[@data-readout]')),
  );
  expect(await session.page.text('//*[@data-readout]')).toContain('no line of sight');
  // By keyboard too: a handle moves by a metre, and Delete takes the wall away again.
  const corner = await session.page.find("//*[contains(@aria-label, 'Corner 1 of Wall 1')]");
  const before = await corner.getAttribute('aria-label');
  await corner.sendKeys('\uE012');
  await session.page.until(
    'the corner moved',
    async () =>
      (await (
        await session.page.find("//*[contains(@aria-label, 'Corner 1 of Wall 1')]")
      ).getAttribute('aria-label')) !== before,
  );
  await (await session.page.find("//*[contains(@aria-label, 'Corner 1 of Wall 1')]")).sendKeys('\uE017');
  const walls = async (): Promise<number> =>
    (await session.page.driver.findElements(By.css('[data-group^=feature-]'))).length;
  await session.page.until('no wall', async () => (await walls()) === 0);
  await session.page.press('Undo on the plan');
  await session.page.until('the wall again', async () => (await walls()) === 1);
  // Closer, moved and whole again: the same ground, drawn to another scale.
  const scaleBar = async (): Promise<string> =>
    session.page.text("//*[@data-plan]//*[@data-group='grid']//*[local-name()='text'][1]");
  const place = async (): Promise<number> =>
    session.page.driver.executeScript<number>(
      "return document.querySelector('[data-plan] circle[data-handle]').getBoundingClientRect().left",
    );
  const [whole, wholeX] = [await scaleBar(), await place()];
  for (let i = 0; i < 4; i++) await (await session.page.find("//button[@aria-label='Closer']")).click();
  await session.page.until('closer', async () => (await scaleBar()) !== whole);
  const closeX = await place();
  await (await session.page.find("//button[@aria-label='Closer']")).sendKeys(Key.ARROW_RIGHT);
  await session.page.until('moved', async () => (await place()) < closeX - 50);
  await session.page.press('Whole site');
  await session.page.until(
    'whole',
    async () => (await scaleBar()) === whole && Math.abs((await place()) - wholeX) < 1,
  );
  await session.page.press('Discard changes');
}, 450_000);

test('Paths: a route from a GPX file becomes a path with its posts; a bad file is refused in words', async () => {
  await session.page.open(`/c/${DEMO_ID}/paths`);
  await session.page.see('On one scale');
  const pick = async (file: string): Promise<void> =>
    (await session.page.driver.findElement(By.css('input[type=file]'))).sendKeys(file);
  await pick(fileURLToPath(new URL('../package.json', import.meta.url)));
  await session.page.see('was not imported: feature 1: not GeoJSON');
  await pick(fileURLToPath(new URL('../core/src/formats/fixtures/route-1.1.gpx', import.meta.url)));
  await session.page.find("//table[@aria-label='Paths']//tbody/tr[2]");
  await session.page.press('Measured levels');
  await session.page.see('Fixed end at');
  const names = await session.page.driver.executeScript<string[]>(
    "return [...document.querySelectorAll('main section[aria-label]')].map((s) => s.getAttribute('aria-label'))",
  );
  // The one that came in is open; both stand in the list.
  expect(names).toHaveLength(1);
  expect(await session.page.text("//table[@aria-label='Paths']")).toContain('Incline');
  expect(
    await session.page.driver.executeScript<number>(
      "return document.querySelectorAll('table[aria-label=Paths] tbody tr').length",
    ),
  ).toBe(2);
  const way = /(\d+) m/.exec(await session.page.text("//table[@aria-label='Paths']//tbody//tr[last()]"))?.[1];
  // gate to upper gate: about 343 m by the geodesics between the four places.
  expect(Number(way)).toBeGreaterThan(335);
  expect(Number(way)).toBeLessThan(350);
  await session.page.press('Save paths');
  await session.page.see('Paths saved');
  await session.page.press('Undo');
}, 450_000);

test('Plan: simulated power with progress and stop, then the run sheet', async () => {
  await session.page.open(`/c/${DEMO_ID}/plan`);
  await session.page.press('Settings');
  await session.page.fill('Smallest difference that matters', '1.4');
  await session.page.press('How many walks?');
  await session.page.press('Simulate comparisons');
  await session.page.press('Stop');
  await session.page.press('Simulate comparisons');
  await session.page.see('28 of 28, 300 comparisons each');
  const row = await session.page.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(\'section[aria-label="How many walks"] tbody ' +
      "tr')].map((r) => r.cells[1].textContent)",
  );
  const powers = row.map((text) => Number(text.replace(/\D/g, '')));
  expect(powers).toHaveLength(7);
  // More walks tell more; 1.4× at σ 0.12 is certain with 16 (normal approximation: over 99.9 %).
  expect(powers[6]).toBeGreaterThanOrEqual(99);
  expect(powers[0]).toBeLessThan(powers[3] as number);
  await session.page.press('Discard changes');
  await session.page.press('Order');
  if (
    !(await session.page.driver.executeScript<boolean>(
      "return [...document.querySelectorAll('details')].find((d) => d.textContent.startsWith('Settings')).open",
    ))
  )
    await session.page.press('Settings');
  await (await session.page.find("//label[contains(., 'blind: letters')]/input")).click();
  await (await session.page.find("//label[contains(., 'ends swapped')]/input")).click();
  await session.page.find("//section[@aria-label='Order of walks'][contains(., 'Product A')]");
  await session.page.press('Discard changes');
  await session.page.press('Can it be done?');
  await session.page.see('the batteries last');
  await session.page.press('Run sheet');
  await session.page.see('15:12');
  const sheet = await session.page.text('//main//table');
  expect(sheet.split('\n').filter((line) => line.startsWith('1') && line.includes('Incline'))).toHaveLength(
    12,
  );
  expect(await session.page.text('//main')).toContain('field telephone at the footbridge');
}, 450_000);

test('Walk: what fails in the rig check is kept with the walk and printed', async () => {
  await session.page.open(`/c/${DEMO_ID}/walk`);
  await session.page.press('One by one');
  await (await session.page.find("//input[@aria-label='Batteries fresh at both ends: failed']")).click();
  await session.page.see('1 failed: mend it now');
  await session.page.press('Begin the walk');
  await session.page.see('Dropout begins');
  await session.page.key('e');
  await session.page.press('weather');
  await session.page.press('its trace');
  await session.page.see('Failed in the rig check:');
  await session.page.press('Report');
  await session.page.see('failed in the rig check: Batteries fresh at both ends');
}, 450_000);
