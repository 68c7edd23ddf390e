import { describe, expect, test } from '@jest/globals';
import jstat from 'jstat';
import { fUpper } from '../../numeric/fDistribution.ts';
import { noncentralTCdf } from '../../numeric/noncentralT.ts';
import { studentQuantile, studentQuantileOfReal, studentTwoSidedP } from '../../numeric/student.ts';
import { walksToTell } from '../../numeric/walksToTell.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { ownSpread } from './ownSpread.ts';
import { summariseRanges } from './summarise.ts';
import { welchRatio } from './welch.ts';

const { jStat } = jstat as {
  jStat: {
    noncentralt: { cdf(t: number, df: number, delta: number): number };
    centralF: { cdf(f: number, q: number, m: number): number };
  };
};
const exact = (product: string, places: readonly number[]): WalkInterval[] =>
  places.map((m, i) => ({ product, path: 'P', walk: `${i}`, heldM: m, failedM: m }));
const LOOSE = [60, 95, 150, 88, 120];
const TIGHT = [118, 121, 125, 122, 119];

// The worked values of METHODS §4, each computed independently.
describe('p10 by a spread of its own', () => {
  test.each([
    [[80, 92, 100, 111, 130], 46.979, 94.22],
    [LOOSE, 23.297, 85.693],
    [TIGHT, 110.129, 119.92],
  ])('%j: %d to %d m', (places, low, high) => {
    const { interval95M } = ownSpread(exact('A', places))?.p10 ?? {};
    expect(interval95M?.low).toBeCloseTo(low, 3);
    expect(interval95M?.high).toBeCloseTo(high, 3);
  });

  test('what is judged on is its own, not the spread of those beside it', () => {
    const { fitted } = summariseRanges([...exact('A', LOOSE), ...exact('B', TIGHT)]);
    expect(fitted[1]?.withScale95M.p10?.low).toBeCloseTo(110.129, 3);
    expect(fitted[1]?.interval95M.p10?.low).toBeLessThan(70);
  });

  test('one walk has no spread', () => {
    expect(ownSpread(exact('A', [100]))).toBeUndefined();
  });
});

test('medians whose spreads plainly differ are compared by Welch: 1.2347 (0.8052 to 1.8935, 4.034 df)', () => {
  const found = welchRatio(exact('B', TIGHT), exact('A', LOOSE));
  expect(found?.ratio).toBeCloseTo(1.2347, 4);
  expect(found?.interval95.low).toBeCloseTo(0.8052, 4);
  expect(found?.interval95.high).toBeCloseTo(1.8935, 4);
  expect(found?.df).toBeCloseTo(4.034, 3);
  const [ratio] = summariseRanges([...exact('A', LOOSE), ...exact('B', TIGHT)]).productRatios;
  expect(ratio?.method).toBe('welch');
  const alike = summariseRanges([
    ...exact('A', LOOSE),
    ...exact(
      'B',
      LOOSE.map((m) => 1.1 * m),
    ),
  ]);
  expect(alike.productRatios[0]?.method).toBe('shared');
});

test('how many walks all together, from the noncentral t for 80 %', () => {
  expect(
    [
      [0.2, 0.15],
      [0.2, 0.25],
      [0.1, 0.25],
      [0.3, 0.25],
    ].map(([gap, sigma]) => walksToTell(gap as number, sigma as number)),
  ).toEqual([7, 15, 52, 8]);
});

test('distributions against jstat and each other', () => {
  for (const df of [1, 2, 4, 9, 40])
    for (const delta of [-4, 0, 2.9])
      for (const t of [-3, 0.5, 2, 6])
        expect(noncentralTCdf(t, df, delta)).toBeCloseTo(jStat.noncentralt.cdf(t, df, delta), 7);
  for (const [f, q, m] of [
    [0.3, 1, 4],
    [4.1, 2, 10],
    [9, 3, 2],
  ] as const)
    expect(fUpper(f, q, m)).toBeCloseTo(1 - jStat.centralF.cdf(f, q, m), 10);
  for (const df of [1, 4, 30]) {
    // Between whole degrees of freedom by Lanczos, at them by the recurrence: one function.
    expect(studentTwoSidedP(2.2, df + 1e-9)).toBeCloseTo(studentTwoSidedP(2.2, df), 8);
    expect(studentQuantileOfReal(0.975, df)).toBeCloseTo(studentQuantile(0.975, df), 9);
  }
});

test('the test of equal products is calibrated by F: for exact walks it is the analysis of variance', () => {
  const [a, b, c] = [
    [100, 110, 95],
    [120, 131, 118],
    [99, 104, 101],
  ];
  const groups = [a, b, c].map((g) => (g as number[]).map(Math.log));
  const all = groups.flat();
  const mean = (x: readonly number[]): number => x.reduce((s, v) => s + v, 0) / x.length;
  const between = groups.reduce((s, g) => s + g.length * (mean(g) - mean(all)) ** 2, 0);
  const within = groups.reduce((s, g) => s + g.reduce((q, v) => q + (v - mean(g)) ** 2, 0), 0);
  const summary = summariseRanges([a, b, c].flatMap((g, i) => exact('ABC'[i] as string, g as number[])));
  expect(summary.lrTestProduct?.pCalibrated).toBeCloseTo(fUpper(between / 2 / (within / 6), 2, 6), 6);
});
