import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { fitRanges, isFit } from './fit.ts';
import { evaluate } from './likelihood.ts';
import { buildModel } from './model.ts';
import { summariseRanges } from './summarise.ts';

const walks = (ends: readonly (readonly [number, number | undefined])[], u: number): WalkInterval[] =>
  ends.map(([heldM, failedM], i) => ({
    product: 'A',
    path: 'P',
    walk: String(i),
    heldM,
    failedM,
    heldUM: u,
    failedUM: u,
  }));

describe('the error of a mark belongs into the spread of the likelihood', () => {
  // METHODS §4, computed twice: stands every 20 m, first failures at 100, 100, 100, 120, 100.
  test.each([
    [0.1, 80.217, 108.543],
    [5, 80.212, 108.55],
  ])('places known to %d m: the median lies within %d and %d m', (u, low, high) => {
    const fails = [100, 100, 100, 120, 100];
    const [cell] = summariseRanges(
      walks(
        fails.map((f) => [f - 20, f] as const),
        u,
      ),
    ).fitted;
    expect(cell?.interval95M.median?.low).toBeCloseTo(low, 3);
    expect(cell?.interval95M.median?.high).toBeCloseTo(high, 3);
  });

  test('walks that differ by less than their places are known to have no spread of their own, and an interval', () => {
    const summary = summariseRanges(
      walks(
        [90, 90, 90.0000001].map((m) => [m, m] as const),
        0.1,
      ),
    );
    expect(summary.reason).toContain('no more than their places are known to');
    const { low = 0, high = 0 } = summary.fitted[0]?.interval95M.median ?? {};
    expect(low).toBeLessThan(89.9);
    expect(high).toBeGreaterThan(90.1);
  });

  test('brackets that adjoin share no place, and are not said to be one', () => {
    const adjoining = fitRanges(
      walks(
        [
          [70, 90],
          [90, 95],
        ],
        0,
      ),
    );
    expect(isFit(adjoining)).toBe(false);
    expect('reason' in adjoining && adjoining.reason).toContain('adjoin');
  });

  test('the derivatives are those of the value', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (u, eta, tau) => {
          const { data } = buildModel(
            walks(
              [
                [60, 80],
                [90, 90],
                [120, undefined],
              ],
              u,
            ),
          );
          const at = (e: number, t: number) => evaluate(data, Float64Array.of(e, t));
          const here = at(eta, tau);
          const h = 1e-5;
          const slope = (at(eta, tau + h).value - at(eta, tau - h).value) / (2 * h);
          const bend =
            ((at(eta + h, tau).gradient[1] as number) - (at(eta - h, tau).gradient[1] as number)) / (2 * h);
          const near = (a: number, b: number): void =>
            expect(Math.abs(a - b)).toBeLessThan(1e-4 * (1 + Math.abs(b)));
          near(here.gradient[1] as number, slope);
          near(here.hessian[1] as number, bend);
        },
      ),
      { numRuns: 60, seed: 11 },
    );
  });

  test('without an error nothing changes', () => {
    const rows = walks(
      [
        [60, 80],
        [90, 110],
        [120, undefined],
      ],
      0,
    );
    const [a, b] = [rows, rows.map(({ heldUM: _, failedUM: __, ...w }) => w)].map((w) => summariseRanges(w));
    expect(a).toEqual(b);
  });
});
