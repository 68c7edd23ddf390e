import { describe, expect, test } from '@jest/globals';
import { readInterchange, writeInterchange } from '@urvek/contract';
import { findWalks, narrowed, REACH_STATES, reachBoard, Study, viewOfJudgement } from '@urvek/study';
import { readFileSync } from 'node:fs';
import { SLATE_WORKS, SLATE_WORKS_ID, SLATE_WORKS_TITLE, slateWorksWalks } from './slateWorks.ts';
import { SLATE_WORKS_SHOWN, slateWorksShownWalks } from './slateWorksShown.ts';
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

  test(
    'estimates of what the simulated gear truly does: of eight 95 % intervals no more than two miss ' +
      'the median of 20,000 walks',
    () => {
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
    },
  );

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

describe('the demo’s readings', () => {
  const curves = Study.ofLogs(SLATE_WORKS, walks).curves();
  const hubs = curves.flatMap((c) => c.throughput.curves.filter((x) => x.product === 'Mossgate Hub'));

  test('on two paths or more the hub is capped near by, hands over, and is lost far out: all of it is said', () => {
    expect(
      new Set(curves.filter((c) => c.throughput.curves.length > 0).map((c) => c.id)).size,
    ).toBeGreaterThan(1);
    const capped = hubs.filter((c) => c.cap);
    expect(capped.length).toBeGreaterThan(0);
    for (const c of capped) expect(c.cap?.levelMbps).toBeCloseTo(94, 0);
    const over = hubs.filter((c) => c.handOvers.length > 0);
    expect(over.length).toBeGreaterThan(0);
    for (const c of over) {
      expect(new Set(c.parts.map((p) => p.by))).toEqual(new Set(['5 GHz', '2.4 GHz']));
      // Every reading stands in one of its parts: none is hidden.
      expect(c.parts.reduce((n, p) => n + p.rows.length, 0)).toBe(c.rows.length);
    }
    for (const c of hubs.filter((x) => x.lostAtM !== undefined))
      expect(c.rows.filter((r) => r.mbps === 0).every((r) => r.distanceM >= (c.lostAtM ?? 0))).toBe(true);
  });

  test('a figure reaches no farther than the readings that meet it', () => {
    const found = curves.flatMap((c) => c.figures);
    expect(found.length).toBeGreaterThan(0);
    for (const { rows, figure } of found) {
      expect(figure).toEqual({ quantity: 'throughput', figure: 40 });
      for (const r of rows) expect(r.failedM ?? Infinity).toBeGreaterThanOrEqual(r.heldM);
    }
    expect(judged.needs.find((n) => n.need.id === 'picture')?.verdict.outcome).toMatch(/distance|unknown/);
  });

  test('the tilt that was planted is named: it beats the repeats', () => {
    const [station] = judged.stations;
    expect(station?.found).toMatchObject({ isBest: true, mixed: true, best: { setting: 'tilted' } });
    expect(station?.said[0]).toContain('which beats the repeats; in distance between');
  });
});

test('as the demo is shown, a claim has every fate and the board a cell of every state', () => {
  const study = Study.ofLogs(SLATE_WORKS_SHOWN, slateWorksShownWalks());
  const seen = study.judgement();
  expect(new Set(seen.verdicts.map((v) => v.verdict.outcome))).toEqual(
    new Set(['supported', 'refuted', 'undecided', 'not tested']),
  );
  const { ranges } = viewOfJudgement(seen);
  const board = reachBoard({ setup: SLATE_WORKS_SHOWN, ranges, criterion: 'by kind' });
  expect(new Set(board.rows.flatMap((r) => r.cells.map((c) => c.state)))).toEqual(new Set(REACH_STATES));
  expect(study.stages().find((s) => s.stage === 'walk')).toMatchObject({
    mark: 'part',
    text: '109 of 120 walked',
  });
});

test('a report that is narrowed to a kind and a path holds nothing of the others', () => {
  const study = Study.ofLogs(SLATE_WORKS_SHOWN, slateWorksShownWalks());
  expect(narrowed(study, { kindId: undefined, pathId: undefined })).toBe(study);
  const part = narrowed(study, { kindId: 'router', pathId: 'tips' });
  expect(part.setup.products.map((p) => p.kindId)).toEqual(['router', 'router']);
  expect(part.setup.paths.map((p) => p.id)).toEqual(['tips']);
  expect(part.all).toHaveLength(6);
  const [whole, own] = [study, part].map((s) =>
    s.ranges().find((r) => r.kindId === 'router' && r.path.id === 'tips'),
  );
  expect(own?.summary.fitted).toEqual(whole?.summary.fitted);
  expect(part.judgement().verdicts.every((v) => v.product.kindId === 'router')).toBe(true);
});

test('under another plan the walks are worked out once, and everything is as if made anew', () => {
  const study = Study.ofLogs(SLATE_WORKS, walks);
  const [path] = SLATE_WORKS.paths;
  for (const setup of [
    { ...SLATE_WORKS, plan: { ...SLATE_WORKS.plan, sigma: 0.31, ratio: 1.6, walksEach: 5, blind: true } },
    { ...SLATE_WORKS, plan: { ...SLATE_WORKS.plan, criterion: 'first unusable' as const } },
    // A path that was changed is none of the plan's.
    { ...SLATE_WORKS, paths: SLATE_WORKS.paths.map((p) => (p === path ? { ...p, name: 'Renamed' } : p)) },
  ]) {
    const under = study.under(setup);
    const anew = new Study(setup, study.entries);
    expect(under.planAudit()).toEqual(anew.planAudit());
    expect(under.nextPoints()).toEqual(anew.nextPoints());
    expect(under.stages()).toEqual(anew.stages());
    expect(viewOfJudgement(under.judgement())).toEqual(viewOfJudgement(anew.judgement()));
  }
});
