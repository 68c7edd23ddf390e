import { expect, test } from '@jest/globals';
import { formatLength } from '@urvek/core';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { main } from '../cli/src/main.ts';
import { DEMO_ID } from '../server/src/demo/cindermoor.ts';
import { useSession } from './support/session.ts';

const session = useSession({ demo: true });

interface Printed {
  readonly fitted: { product: string; median: { estimate_m: number; interval95: [number, number] } }[];
  readonly product_ratios: {
    ratio: number;
    interval95: [number, number];
    holm_p: number;
    db_at_n: { db: number };
  }[];
}

/** What the command line says of a file, at exponent 4. */
async function printed(text: string): Promise<Printed> {
  const folder = mkdtempSync(join(tmpdir(), 'urvek-e2e-'));
  try {
    const file = join(folder, 'walks.csv');
    writeFileSync(file, text);
    let out = '';
    expect(
      await main(['ranges', file, '--json', '--exponent', '4'], {
        out: (t) => {
          out += t;
        },
        err: (t) => {
          throw new Error(t);
        },
      }),
    ).toBe(0);
    return JSON.parse(out) as Printed;
  } finally {
    rmSync(folder, { recursive: true });
  }
}

test('Ranges: the figures are the command line’s on the exported CSV', async () => {
  const { page } = session;
  await page.open(`/c/${DEMO_ID}/ranges`);
  await page.see('9 of 10 walks hold to');
  const link = (await (
    await page.find("//a[contains(., 'Intervals as CSV')]")
  ).getAttribute('href')) as string;
  const {
    fitted,
    product_ratios: [ratio],
  } = await printed(await (await fetch(link)).text());
  const table = await page.text('//*[@data-estimates]');
  for (const { product, median } of fitted) {
    expect(table).toContain(product);
    expect(table).toContain(formatLength(median.estimate_m));
    expect(table).toContain(`${formatLength(median.interval95[0])} to ${formatLength(median.interval95[1])}`);
  }
  await page.press('Ratios');
  const line = await page.text('//*[@data-ratio]');
  expect(line).toContain(`${ratio?.ratio.toFixed(2)}×`);
  expect(line).toContain(`${ratio?.interval95[0].toFixed(2)} to ${ratio?.interval95[1].toFixed(2)}`);
  expect(line).toContain(`p = ${(ratio?.holm_p ?? 1) < 0.001 ? '< 0.001' : ratio?.holm_p.toFixed(3)}`);
  expect(line).toContain(`${Math.abs(ratio?.db_at_n.db ?? 0).toFixed(1)} dB at exponent 4`);
}, 450_000);

test(
  'Ranges: another criterion, both ways, what is thin, the curve’s figures, and a click that opens ' +
    'the walk',
  async () => {
    const { page } = session;
    await page.open(`/c/${DEMO_ID}/ranges`);
    await page.press('Weak points');
    await page.see('Looked at mobile-to-fixed only.');
    await page.press('Curves');
    await page.see('Share of walks that hold to a distance');
    await page.until('the charts', async () =>
      page.driver.executeScript<boolean>(
        "return document.querySelectorAll('[role=img] svg path').length > 10",
      ),
    );
    await page.press('The figures, and files of them');
    await page.see('walks alone');
    await page.choose('Direction', 'both ways');
    await page.see('No walk here has this outcome in metres.');
    await page.choose('Direction', 'as walked');
    await page.choose('Criterion', 'last usable');
    await page.see('Incline: last usable');
    await page.press('Walks');
    await page.find('//*[starts-with(@data-group, "walk-")]//*[local-name()="path"]');
    await page.driver.executeScript(
      "document.querySelector('[data-group^=\"walk-\"] path').dispatchEvent(new MouseEvent('click', { " +
        'bubbles: true }))',
    );
    await page.see('Trace: Ossimere Clip on Incline, walk 1');
  },
  450_000,
);

test(
  'Trace: stepped by keys over time, the truth revealed, a mark measured again, and the lag ' +
    'corrected with undo',
  async () => {
    const { page } = session;
    await page.open(`/c/${DEMO_ID}/trace`);
    const line = await page.find("//*[starts-with(@aria-label, 'Time line')]");
    await page.driver.executeScript('arguments[0].focus()', line);
    for (const key of ['\uE014', '\uE014', '+']) await line.sendKeys(key);
    await page.until('an entry with its lag', async () =>
      /grade \d, pressed at .* happened 0\.62 ± 0\.20 s earlier; at/.test(
        await page.text('//*[@data-selected]'),
      ),
    );
    await page.press('Lag of what was pressed');
    await page.press('Reveal it');
    await page.see('Losses of half a second or more');
    const before = await page.text("//section[@aria-label='Outcomes']");
    await page.fill('Reaction', '2.6');
    await page.fill('Spread', '0.2');
    await page.press('Correct it');
    // Two seconds more of reaction are about three metres nearer.
    await page.until(
      'outcomes moved',
      async () => (await page.text("//section[@aria-label='Outcomes']")) !== before,
    );
    await page.press('Undo');
    await page.until(
      'outcomes as they were',
      async () => (await page.text("//section[@aria-label='Outcomes']")) === before,
    );
    await (await page.find("//label[contains(., 'what came by itself too')]/input")).click();
    await (await page.find("(//button[starts-with(@aria-label, 'Correct: mark')])[1]")).click();
    await page.choose('Correction', 'measured otherwise');
    await page.fill('Travelled distance', '0.009');
    await page.see('A thousand times off');
    await page.fill('Travelled distance', '8.5');
    await page.choose('Measured by', 'laser');
    await page.fill('Reason', 'taped afterwards');
    await page.press('Log the correction');
    await page.see('measured again: 8.50 m, by laser: taped afterwards');
  },
  450_000,
);

test(
  'Trace: a forgotten entry is added, one is rewritten, the walk is split and joined, and each is ' +
    'taken back',
  async () => {
    const { page } = session;
    const outcomes = (): Promise<string> => page.text("//section[@aria-label='Outcomes']");
    await page.open(`/c/${DEMO_ID}/trace`);
    await page.see('Outcomes, in separation');
    const before = await outcomes();
    const title = await page.text('//h1');
    // Forgotten: it was lost at 5 s already.
    await page.press('Add an entry');
    await page.choose('What happened', 'dropout begins');
    await page.fill('When, on the walk’s clock', '6');
    await page.fill('Your name', 'R. Tester');
    await page.fill('Reason', 'seen on the film');
    await page.press('Add it');
    await page.see('entered afterwards: seen on the film (R. Tester)');
    await page.until('other outcomes', async () => (await outcomes()) !== before);
    await page.press('Undo');
    await page.until('as before', async () => (await outcomes()) === before);
    // What cannot be is refused with its reason, and nothing is written.
    await page.press('Add an entry');
    await page.choose('What happened', 'presses and answers');
    await page.fill('When, on the walk’s clock', '7');
    await page.fill('Presses', '5');
    await page.fill('Answered', '9');
    await page.fill('Reason', 'x');
    await page.press('Add it');
    await page.see('more hits than presses');
    await page.fill('Answered', '3');
    await page.press('Add it');
    await page.see('3 of 5 presses answered');
    // Rewritten, and its time as well: both hold.
    await page.press('Correct: 3 of 5 presses answered at 7.0 s');
    await page.choose('Correction', 'it was otherwise');
    await page.fill('Answered', '4');
    await page.fill('Reason', 'counted again');
    await page.press('Log the correction');
    await page.see('it was: 4 of 5 presses answered: counted again');
    await page.press('Correct: 3 of 5 presses answered at 7.0 s');
    await page.choose('Correction', 'another time');
    await page.fill('Happened at', '8');
    await page.fill('Reason', 'a second late');
    await page.press('Log the correction');
    await page.see('moved to 8.0 s: a second late');
    await page.see('it was: 4 of 5 presses answered: counted again');

    // Two walks in one log.
    await page.press('Outing and filing');
    await page.press('Split it, join it');
    await page.fill('The second one begins at', '1e9');
    await page.fill('Why, and who says so', 'not ended in between');
    await page.press('Make it anew');
    await page.see('is not within the walk');
    await page.fill('The second one begins at', '60');
    await page.press('Make it anew');
    await page.see('first part, split at 60.0 s: not ended in between');
    await page.press('Undo');
    await page.see('Left out of every result:');
    await page.driver.navigate().back();
    await page.until('it counts again', async () => {
      const { length } = await page.driver.findElements({ xpath: "//*[contains(., 'Left out of every')]" });
      return length === 0 && (await page.text('//h1')).slice(0, 20) === title.slice(0, 20);
    });
  },
  450_000,
);
