import { expect, test } from '@jest/globals';
import { formatLength } from '@urvek/core';
import { paste } from './support/grid.ts';
import { useSession } from './support/session.ts';

// Three outings, from notes pasted into the grid to the report: every figure against one that was worked out by hand.

const session = useSession({ demo: false });
const MILE_M = 1609.344;
const YARD_M = 0.9144;

/** Pastes, takes, and goes to the report; its text, and that of the outcomes of the last walk in Trace. */
async function written(
  rows: readonly string[],
  kind: string,
  reading: { unit?: string; method?: string },
): Promise<{ outcomes: string; report: string }> {
  const { page } = session;
  await page.open('/notebook');
  await page.find('//*[@role="grid"]');
  await paste(page, rows.join('\n'));
  await page.choose('New products are', kind);
  if (reading.unit) await page.choose('Figures without a unit are', reading.unit);
  if (reading.method) await page.choose('Distances by', reading.method);
  await page.press(`Take ${rows.length - 1} rows`);
  await page.see('Outcomes, in separation');
  const outcomes = await page.text("//section[@aria-label='Outcomes']");
  await page.press('Report');
  await page.see('What was tested');
  return { outcomes, report: (await page.text('//main')).replace(/\s+/g, ' ') };
}

test('a two-way radio: both ways at named crossings, in miles', async () => {
  const { outcomes, report } = await written(
    [
      'Product\tWalk\tDistance\tPoint\tDirection\tWords\tEvent',
      'Radio A\t1\t0 mi\tthe car\t\t\tbegin',
      '\t\t0.5 mi\tfirst bridge\tboth\tloud and clear\t',
      '\t\t1.1 mi\tcrossing\tto-fixed\tscratchy but readable\t',
      '\t\t1.1 mi\tcrossing\tto-mobile\t5 and 7\t',
      '\t\t1.6 mi\tthe shop\tboth\tno answer\t',
      '\t\t\t\t\t\tend: link failed',
      'Radio B\t1\t0.5 mi\tfirst bridge\tboth\tloud and clear\t',
      '\t\t1.6 mi\tthe shop\tboth\tscratchy but readable\t',
      '\t\t2.86 mi\tthe mast\tboth\tnothing heard\t',
    ],
    'Two-way radio',
    {},
  );
  const [held, shop, mast] = [1.1, 1.6, 2.86].map((mi) => formatLength(mi * MILE_M));
  expect(outcomes).toContain(`held to ${shop}, failed by ${mast}`);
  expect(report).toContain(`held to ${held}, failed by ${shop}`);
  expect(report).toContain(`held to ${shop}, failed by ${mast}`);
  for (const stand of [`crossing, ${held}`, `the shop, ${shop}`, `the mast, ${mast}`])
    expect(report).toContain(stand);
  expect(report).not.toContain('simulated');
}, 300_000);

test('by yard lines: a dropout stands where it was noted', async () => {
  const { outcomes, report } = await written(
    [
      'walk\tproduct\tat\tevent\twords',
      '1\tClip\t0\tbegin\t',
      '1\t\t40\t\tclean',
      '1\t\t63 yd\tdropout\t',
      '1\t\t60\tback\t',
      '1\t\t100\tend: path ended\t',
    ],
    'Microphone',
    { unit: 'yd', method: 'marked line' },
  );
  const at = formatLength(63 * YARD_M);
  expect(outcomes).toContain(`at ${at}`);
  expect(report).toContain(`at ${at}`);
}, 300_000);

test('a drive with readings: the curve ends where the link did', async () => {
  const { outcomes, report } = await written(
    [
      'product\tat\tmethod\tDownload\tUpload\tband\tremark',
      'Router\t0.1 mi\todometer\t620\t100\t5 GHz\t',
      '\t0.5 mi\t\t466\t44\t\tannounced',
      '\t0.8 mi\t\t300\t20\t2.4 GHz\t',
      '\t0.9 mi\t\tno connection\tno connection\t\t',
    ],
    'Router',
    { method: 'odometer' },
  );
  // An odometer shows what was passed by half a step, 0.05 mi, on average.
  const [held, failed] = [0.85, 0.95].map((mi) => formatLength(mi * MILE_M));
  expect(outcomes).toContain(`held to ${held}, failed by ${failed}`);
  expect(report).toContain(`between ${held} and ${failed}`);
}, 300_000);
