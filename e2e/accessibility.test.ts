import { expect, test } from '@jest/globals';
import { AxeBuilder } from '@axe-core/webdriverjs';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { useSession } from './support/session.ts';
import { setSpeed } from './support/walker.ts';

const session = useSession({ demo: true });

async function violations(): Promise<string[]> {
  const { violations: found } = await new AxeBuilder(session.page.driver)
    .options({ resultTypes: ['violations'] })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return found.map(
    (v) =>
      `${v.id}: ${v.nodes
        .map((n) => n.html)
        .slice(0, 2)
        .join(' ')}`,
  );
}

test.each([
  ['/', 'Clip microphones'],
  ['/quick', 'Make it, and go to the first walk'],
  ['/walk-now', 'Begin the walk'],
  ['/trainer', 'Begin the lesson'],
  ['key-sheet', 'show the key'],
  ['kit', 'Add a product'],
  ['paths', 'Lay them out'],
  ['plan', 'Balance'],
  ['run-sheet', 'Back by'],
  ['walk', 'Begin the walk'],
  ['trace', 'Outcomes, in separation'],
  ['ranges', 'Each walk'],
  ['verdict', 'Judged on the median'],
  ['report', 'What was tested'],
])(
  '%s has no WCAG 2.2 AA finding',
  async (stage, sign) => {
    await session.page.open(stage.startsWith('/') ? stage : `/c/${DEMO_ID}/${stage}`);
    await session.page.see(sign);
    expect(await violations()).toEqual([]);
  },
  180_000,
);

test('nor has a walk under way, in sun mode too; and its buttons are thumb-sized', async () => {
  await session.page.open(`/c/${DEMO_ID}/walk`);
  await session.page.press('Begin the walk');
  await setSpeed(session.page, 2);
  await session.page.key('d');
  await session.page.see('Dropout ends');
  expect(await violations()).toEqual([]);
  await session.page.press('options');
  await (await session.page.find("//label[contains(., 'sun')]/input")).click();
  expect(await violations()).toEqual([]);
  const heights = await session.page.driver.executeScript<number[]>(
    "return [...document.querySelectorAll('[role=group][aria-label=Log] button')].map((b) => b.getBoundingClientRect().height)",
  );
  expect(heights.length).toBeGreaterThanOrEqual(11);
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(64);
}, 180_000);
