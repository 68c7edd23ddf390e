import { describe, expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
import { KINDS } from '../grade/kinds/index.ts';
import { neverSettles, neverSettlesRatio } from '../plan/couldSettle.ts';
import { parseLength } from '../quantity/length.ts';
import { costPerMetre, totalCost } from './cost.ts';
import { judgeNeed, WALKS_FOR_P10 } from './need.ts';
import { USUAL_NEEDS } from './usualNeeds.ts';

const failing = (aroundM: number, n: number) =>
  Array.from({ length: n }, (_, i) => ({
    product: 'A',
    path: 'p',
    walk: String(i),
    heldM: aroundM * (0.95 + (0.1 * i) / (n - 1)),
    failedM: aroundM * (0.96 + (0.1 * i) / (n - 1)),
  }));
const held = (m: number, n: number) =>
  Array.from({ length: n }, (_, i) => ({
    product: 'A',
    path: 'p',
    walk: String(i),
    heldM: m,
    failedM: undefined,
  }));
const judge = (entered: string, walks: Parameters<typeof summariseRanges>[0]) =>
  judgeNeed(
    { use: 'u', entered, distanceM: parseLength(entered).valueM, condition: 'open' },
    'first dropout',
    summariseRanges(walks).fitted[0],
  );

describe('a need is judged on the distance to which 9 of 10 walks hold', () => {
  test('meets, marginal and fails, with the margin as a ratio', () => {
    const walks = failing(100, 12);
    const p10 = summariseRanges(walks).fitted[0]?.p10?.estimateM as number;
    expect(judge('80 m', walks)).toMatchObject({ outcome: 'meets', atLeast: false });
    expect(judge('80 m', walks).margin).toBeCloseTo(p10 / 80, 9);
    expect(judge(`${p10.toFixed(2)} m`, walks).outcome).toBe('marginal');
    expect(judge('140 m', walks).outcome).toBe('fails');
  });

  test('walks that never failed meet a need only when there are 29 of them', () => {
    expect(WALKS_FOR_P10).toBe(29);
    expect(judge('100 m', held(120, 29))).toMatchObject({ outcome: 'meets', margin: 1.2, atLeast: true });
    expect(judge('100 m', held(120, 28)).outcome).toBe('marginal');
    expect(judge('130 m', held(120, 40)).outcome).toBe('unknown');
    expect(
      judgeNeed({ use: 'u', entered: '1 m', distanceM: 1, condition: 'open' }, 'lost', undefined),
    ).toMatchObject({ outcome: 'unknown', reason: 'Not walked on an open path.' });
  });

  test('the usual needs have a kind, and a distance that can be read', () => {
    for (const u of USUAL_NEEDS) {
      expect(KINDS.some((k) => k.id === u.kindId)).toBe(true);
      expect(parseLength(u.entered).valueM).toBeGreaterThan(0);
    }
  });
});

test('a metre costs what everything needed costs, and a metre gained what it adds to the cheapest', () => {
  const rows = costPerMetre([
    {
      product: 'far',
      total: totalCost([
        { what: 'x', amount: 250 },
        { what: 'case', amount: 50 },
      ]),
      reachM: 150,
    },
    { product: 'near', total: 100, reachM: 50 },
  ]);
  expect(rows.map((r) => [r.product, r.perMetre, r.perMetreGained])).toEqual([
    ['near', 2, undefined],
    ['far', 2, 2],
  ]);
  expect(() => costPerMetre([{ product: 'x', total: 1, reachM: 0 }])).toThrow('invalid reachM: 0');
});

test('a plan that could never have settled a claim says so', () => {
  expect(neverSettles(500, { pathReachM: 420, walks: 6 })).toContain('ends at 420 m');
  expect(neverSettles(100, { pathReachM: 420, walks: 1 })).toContain('one walk');
  expect(neverSettles(100, { pathReachM: 420, walks: 6 })).toBeUndefined();
  // Checkpoints at 2, 3 and 3.3 cannot settle +8 %; nor can the finest step of theirs, 10 %.
  expect(neverSettlesRatio(1.08, [2, 3, 3.3], 6)).toContain('10 % apart, more than the 8 % claimed');
  expect(neverSettlesRatio(1.12, [2, 3, 3.3], 6)).toBeUndefined();
  expect(neverSettlesRatio(1.08, [], 6)).toBeUndefined();
});
