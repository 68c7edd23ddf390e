import { expect, test } from '@jest/globals';
import { formatLength, readWalkIntervals, summariseRanges } from '@urvek/core';
import { useSession } from './support/session.ts';
import { listen, seen, setSpeed } from './support/walker.ts';

const session = useSession({ demo: false });

async function enterProduct(name: string, claim: string, requiredDbm: string): Promise<void> {
  await session.page.press('Add a product');
  await session.page.find("//section[@aria-label='New product']");
  await session.page.fill('Name', name);
  await session.page.driver.executeScript(
    'document.querySelectorAll("details").forEach((d) => { d.open = true; })',
  );
  await session.page.fill('Level needed', requiredDbm);
  await session.page.press('Add a claim');
  await session.page.fill('Distance', claim);
}

/** One walk: out until the link is lost, back or not, and ended. */
async function walkOnce(back: boolean): Promise<void> {
  await session.page.see('Begin the walk');
  // Real gear is what is offered before the first walk; from then on what the last one had.
  await session.page.choose('Gear', 'simulated');
  await session.page.choose('Baseline, where it begins', '5: clean');
  await session.page.press('Begin the walk');
  await setSpeed(session.page, 10);
  const heard = await listen(session.page, (now) => now.heard === 1 && now.wheelM > 10);
  await session.page.key('m');
  if (back) {
    await session.page.key('t');
    await session.page.see('on the way back');
    await listen(session.page, (now) => now.wheelM < 8, heard);
  }
  await session.page.key('e');
  await session.page.press('time');
  await session.page.press('its trace');
  await session.page.see('Outcomes, in separation');
}

test('from two boxes on the bench to a published range', async () => {
  // 1. Bench
  await session.page.open('/');
  await session.page.see('No comparison yet');
  await session.page.press('An empty comparison');
  await session.page.fill('Title', 'Two clips in the yard');
  await session.page.fill('Question', 'Which one holds farther?');
  await session.page.press('Create');

  // 2. Kit
  await session.page.see('No product yet');
  await enterProduct('Pellarn One', '20 m', '-70');
  await enterProduct('Quenby Two', '600 ft', '-76');
  await session.page.press('Save kit');
  await session.page.see('Kit saved');

  // 3. Paths
  await session.page.press('Paths');
  await session.page.press('Add a path');
  await session.page.fill('Name', 'Yard');
  await session.page.fill('Length', '300');
  await session.page.press('Add an obstruction');
  await session.page.fill('What', 'Gate');
  await session.page.fill('At', '100');
  await session.page.press('Place checkpoints');
  await session.page.press('Save paths');
  await session.page.see('Paths saved');

  // 4. Plan: neither always goes first.
  await session.page.press('Plan');
  await session.page.press('Settings');
  await session.page.fill('Walks of each product', '2');
  await session.page.press('Save plan');
  await session.page.see('Plan saved');
  await session.page.press('Can it be done?');
  await session.page.see('Every product stands in every place equally often.');
  await session.page.press('Order');
  await session.page.see('Order of walks');
  const order = await session.page.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(\'section[aria-label="Order of walks"] tbody ' +
      "tr')].map((r) => r.cells[2].textContent)",
  );
  expect(order).toEqual(['Pellarn One', 'Quenby Two', 'Quenby Two', 'Pellarn One']);

  // 5. Walk, and 6. Trace: out and back the first time.
  for (const [i, product] of order.entries()) {
    await session.page.press('Walk');
    await session.page.see(`Next in the plan: round ${i < 2 ? 1 : 2}, place ${(i % 2) + 1}.`);
    await walkOnce(i === 0);
    await session.page.see(`Trace: ${product} on Yard, walk ${i < 2 ? 1 : 2}`);
  }
  await session.page.see('simulated gear');

  // A correction stands beside the entry, with its reason, and can be undone.
  const correct = await session.page.find("(//button[starts-with(@aria-label, 'Correct: grade')])[1]");
  await session.page.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', correct);
  await correct.click();
  await session.page.fill('Reason', 'pressed by mistake');
  await session.page.press('Log the correction');
  await session.page.see('withdrawn: pressed by mistake');
  await session.page.press('Undo');
  await session.page.until(
    'the correction is undone',
    async () => !(await session.page.driver.getPageSource()).includes('line-through'),
  );

  // 7. Ranges: the figures are those of the file that can be downloaded.
  await session.page.press('Ranges');
  const link = (await (
    await session.page.find("//a[contains(., 'Intervals as CSV')]")
  ).getAttribute('href')) as string;
  await session.page.until(
    'all four walks at the base',
    async () => readWalkIntervals(await (await fetch(link)).text()).length === 4,
  );
  const summary = summariseRanges(readWalkIntervals(await (await fetch(link)).text()));
  expect(summary.n).toBe(4);

  // 8. Verdict
  await session.page.press('Verdict');
  await session.page.see('up to 20 m, open; Yard');
  const outcomes = await session.page.driver.executeScript<string[]>(
    "return [...document.querySelectorAll('[data-verdict]')].map((v) => v.dataset.verdict)",
  );
  expect(outcomes).toHaveLength(2);
  // 600 ft is five times what the simulated gear reaches; two walks may leave it open, but never support it.
  expect(outcomes[1]).not.toBe('supported');

  // 9. Report: every figure is in it, and the walks are said to be made up.
  await session.page.press('Report');
  await session.page.see('Made up: these walks were played by simulated gear.');
  const report = await session.page.text('//main');
  for (const cell of summary.fitted) {
    expect(cell.walks).toBe(2);
    if (cell.median) expect(report).toContain(formatLength(cell.median.estimateM));
    else expect(report).toContain(formatLength(cell.bounds?.common?.heldM as number));
  }
  const ratio = summary.productRatios[0];
  expect(report).toContain(ratio?.estimate ? `${ratio.estimate.ratio.toFixed(2)}×` : 'no ratio');
  for (const part of [
    'Claims',
    'What was tested, and how it was set up',
    'Where, conditions and caveats',
    'Gate at 100 m',
    'One unit of Pellarn One, of Quenby Two',
  ])
    expect(report).toContain(part);
}, 600_000);

test('what was logged of a walk that was cut short is whole, on the device and at the base', async () => {
  await session.page.press('Walk');
  await session.page.press('Begin the walk');
  await session.page.see('Dropout begins');
  await session.page.key('4');
  await session.page.key('3');
  await session.page.key('u');
  await session.page.until('five events at the base', async () => (await seen(session.page)).atBase >= 4);
  await session.page.driver.navigate().refresh();
  await session.page.see('A walk is not finished');
  await session.page.press('End it where it stopped');
  await session.page.see('Begin the walk');
}, 450_000);
