import { expect, test } from '@jest/globals';
import { useSession } from './support/session.ts';

const session = useSession({ demo: false });

test('a newcomer: two products, three real walks each, to a report, in few presses and fields', async () => {
  const { page } = session;
  let [presses, fields] = [0, 0];
  const press = async (words: string): Promise<void> => {
    presses++;
    await page.press(words);
  };
  const fill = async (label: string, value: string): Promise<void> => {
    fields++;
    await page.fill(label, value);
  };
  await page.open('/');
  await press('Where does the voice drop out?');
  await fill('The first', 'Clip A');
  await fill('The other', 'Clip B');
  await fill('How long is the path?', '200 ft');
  await fill('Walks of each', '3');
  await press('Create it, and go to the first walk');
  for (let walk = 0; walk < 6; walk++) {
    if (walk > 0) await page.find('//*[@aria-label="The walk that has just ended"]');
    await press('Begin the walk');
    // How far it held, in posts: one after the other.
    for (let post = 1; post <= (walk % 2 === 0 ? 1 : 2); post++) await press(`Mark post ${post}`);
    await press('Lost for good: end here');
  }
  await page.find('//*[@aria-label="The walk that has just ended"]');
  await press('Report');
  await page.see('In short');
  await page.see('Clip A against Clip B');
  process.stdout.write(`${presses} presses, ${fields} fields\n`);
  expect(presses).toBeLessThanOrEqual(25);
  expect(fields).toBeLessThanOrEqual(6);
  // Nothing of it is simulated.
  expect(await page.driver.findElements({ xpath: "//*[contains(., 'simulated')]" })).toEqual([]);
}, 450_000);
