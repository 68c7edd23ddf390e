import { describe, expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
import type { Cap } from '../estimate/figures/cap.ts';
import { medianInterval } from '../numeric/medianInterval.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import { judgeRatioClaim } from './ratioClaim.ts';
import { judgeThroughputClaim } from './throughputClaim.ts';

const walks = (product: string, aroundM: number): WalkInterval[] =>
  [0.94, 0.97, 1, 1.03, 1.06].map((f, i) => ({
    product,
    path: 'x',
    walk: String(i),
    heldM: aroundM * f,
    failedM: aroundM * f * 1.01,
  }));

describe('a claim of a ratio', () => {
  const [finding] = summariseRanges([...walks('A', 100), ...walks('B', 150)]).productRatios;
  const judge = (ratio: number, product = 'B', against = 'A') =>
    judgeRatioClaim({ entered: `${ratio}×`, ratio, product, against }, finding, 'first dropout');

  test('is supported below the interval, refuted beyond it, undecided inside', () => {
    expect(judge(1.2).outcome).toBe('supported');
    expect(judge(2).outcome).toBe('refuted');
    expect(judge(1.5).outcome).toBe('undecided');
    expect(judge(1.5).next).toContain('balanced order');
  });

  test('is read the other way round when the products are', () => {
    expect(judge(0.5, 'A', 'B').outcome).toBe('supported');
    expect(judge(1, 'A', 'B')).toMatchObject({
      outcome: 'refuted',
      reason: expect.stringContaining('A reaches at most 0.'),
    });
    expect(
      judgeRatioClaim({ entered: '2×', ratio: 2, product: 'A', against: 'C' }, undefined, 'lost').outcome,
    ).toBe('not tested');
  });
});

describe('a claim of throughput', () => {
  const visits = (...mbps: number[]) => mbps.map((m) => ({ distanceM: 5, mbps: m }));
  const judge = (
    of: ReturnType<typeof visits>,
    mbps: number,
    cap?: Cap,
    behindMbps: number | undefined = 900,
  ) => judgeThroughputClaim({ entered: `${mbps} Mbit/s`, mbps, upTo: true }, of, cap, behindMbps);

  test('is judged on the median of the visits, never on the best of several', () => {
    const eight = visits(280, 310, 290, 295, 285, 300, 288, 292);
    expect(judge(eight, 270).outcome).toBe('supported');
    expect(judge(eight, 311).outcome).toBe('refuted');
    expect(judge(eight, 291).outcome).toBe('undecided');
    // The best of ten near 300 says nothing of 310.
    expect(judge(visits(300, 301, 299, 298, 302, 300, 297, 303, 311, 300), 310).outcome).toBe('refuted');
  });

  test('below six visits, or at a cap, nothing is decided against it; none is not tested', () => {
    expect(judge(visits(280, 310, 290), 300)).toMatchObject({
      outcome: 'undecided',
      next: '3 more visits to the near point.',
    });
    expect(
      judge(visits(290, 291, 289, 290, 290, 291), 600, {
        levelMbps: 290,
        points: 3,
        toM: 20,
        measured: false,
      }),
    ).toMatchObject({
      outcome: 'undecided',
      next: expect.stringContaining('by cable'),
    });
    expect(judge([], 600).outcome).toBe('not tested');
  });

  test('what is behind it decides nothing against it until it was measured, and is faster than the claim', () => {
    const six = visits(180, 185, 190, 182, 188, 186);
    const bare = judgeThroughputClaim({ entered: '300 Mbit/s', mbps: 300, upTo: false }, six, undefined);
    expect(bare).toMatchObject({ outcome: 'undecided', next: expect.stringContaining('by cable') });
    expect(bare.reason).toContain('was not measured');
    expect(judge(six, 300, undefined, 250).reason).toContain('gives 250 Mbit/s by cable, less than');
    expect(judge(six, 300).outcome).toBe('refuted');
    expect(judge(six, 170, undefined, 170).outcome).toBe('supported');
  });

  test('the interval of a median without a model: of six the ends, of ten the second of each', () => {
    expect(medianInterval([3, 1, 2, 6, 5, 4])).toEqual({ low: 1, high: 6 });
    expect(medianInterval([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])).toEqual({ low: 2, high: 9 });
    expect(medianInterval([1, 2, 3, 4, 5])).toBeUndefined();
  });
});
