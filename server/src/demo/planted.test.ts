import { describe, expect, test } from '@jest/globals';
import { readInterchange, writeInterchange } from '@urvek/contract';
import { findWalks, Study } from '@urvek/study';
import { readFileSync } from 'node:fs';
import { SLATE_WORKS, SLATE_WORKS_ID, SLATE_WORKS_TITLE, slateWorksWalks } from './slateWorks.ts';
import { CLEAN_TWIN, cleanTwinWalks } from './slateWorksTwin.ts';

interface Truth {
  readonly planted: readonly {
    readonly what: string;
    readonly rule: string;
    readonly products: readonly string[];
  }[];
  readonly truth: readonly {
    readonly product: string;
    readonly path: string;
    readonly median_m?: number;
    readonly p10_m?: number;
  }[];
}
const { planted, truth } = JSON.parse(
  readFileSync(new URL('./slateWorks.truth.json', import.meta.url), 'utf8'),
) as Truth;
const walks = slateWorksWalks();
const judged = Study.ofLogs(SLATE_WORKS, walks).judgement();

describe('the demo with planted faults', () => {
  test.each(planted.map((p) => [p.what, p] as const))('%s: found', (_, { rule, products }) => {
    const found = judged.audits.filter(
      (a) => a.rule === rule && products.every((p) => a.products.includes(p)),
    );
    expect(found.length).toBeGreaterThan(0);
    for (const f of found) expect(f.mend).not.toBe('');
  });

  test('a fault of known size comes before those of unknown size', () => {
    expect(judged.audits[0]).toMatchObject({ rule: 'heights', products: ['quillon', 'ardpuck'] });
    expect(judged.audits[0]?.sizeDb).toBeCloseTo(20 * Math.log10(1.6 / 0.7), 9);
  });

  test('estimates of what the simulated gear truly does: of eight 95 % intervals no more than two miss the median of 20,000 walks', () => {
    const inside = truth
      .filter((t) => t.median_m !== undefined)
      .map((t) => {
        const range = judged.ranges.find(
          (r) =>
            r.path.id === t.path &&
            r.summary.fitted.some(
              (c) => c.product === SLATE_WORKS.products.find((p) => p.id === t.product)?.name,
            ),
        );
        const interval = range?.summary.fitted.find(
          (c) => c.product === SLATE_WORKS.products.find((p) => p.id === t.product)?.name,
        )?.interval95M.median;
        return (
          (interval?.low ?? 0) <= (t.median_m as number) &&
          (t.median_m as number) <= (interval?.high ?? Infinity)
        );
      });
    expect(inside.length).toBeGreaterThanOrEqual(6);
    // By chance three or more of eight would miss once in 150 times.
    expect(inside.filter((x) => !x).length).toBeLessThanOrEqual(2);
  });

  test('the same findings, to the last digit, from a file that was written and read', () => {
    const file = writeInterchange(
      { id: SLATE_WORKS_ID, title: SLATE_WORKS_TITLE, question: '', simulated: true },
      SLATE_WORKS,
      walks,
    );
    const back = readInterchange(JSON.parse(JSON.stringify(file)));
    const again = Study.ofLogs(back.setup, back.walks).judgement();
    const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
    expect(plain(again.ranges.map((r) => r.summary))).toEqual(plain(judged.ranges.map((r) => r.summary)));
    expect(plain([again.verdicts, again.needs, again.audits, again.latencies, again.costs])).toEqual(
      plain([judged.verdicts, judged.needs, judged.audits, judged.latencies, judged.costs]),
    );
  });
});

test('no false finding on the clean twin', () => {
  const twin = cleanTwinWalks();
  expect(findWalks(CLEAN_TWIN, twin)).toHaveLength(144);
  expect(
    Study.ofLogs(CLEAN_TWIN, twin)
      .judgement()
      .audits.map((a) => `${a.rule}: ${a.what}`),
  ).toEqual([]);
});
