import { describe, expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
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
  const rows = [
    [5, 280],
    [5, 310],
    [5, 290],
    [20, 200],
  ].map(([distanceM, mbps]) => ({ distanceM: distanceM as number, mbps: mbps as number }));

  test('“up to” counts the best reading, a plain figure the middle one', () => {
    expect(
      judgeThroughputClaim({ entered: '300 Mbit/s', mbps: 300, upTo: true }, rows, undefined).outcome,
    ).toBe('supported');
    expect(
      judgeThroughputClaim({ entered: '300 Mbit/s', mbps: 300, upTo: false }, rows, undefined).outcome,
    ).toBe('refuted');
  });

  test('a cap, or too few readings, decide nothing against it; none is not tested', () => {
    expect(
      judgeThroughputClaim({ entered: '600 Mbit/s', mbps: 600, upTo: true }, rows, {
        levelMbps: 290,
        points: 3,
      }),
    ).toMatchObject({ outcome: 'undecided', next: expect.stringContaining('by cable') });
    expect(
      judgeThroughputClaim({ entered: '600 Mbit/s', mbps: 600, upTo: true }, rows.slice(0, 2), undefined)
        .outcome,
    ).toBe('undecided');
    expect(
      judgeThroughputClaim({ entered: '600 Mbit/s', mbps: 600, upTo: true }, [], undefined).outcome,
    ).toBe('not tested');
  });
});
