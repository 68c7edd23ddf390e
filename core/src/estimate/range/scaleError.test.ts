import { describe, expect, test } from '@jest/globals';
import { judgeClaim } from '../../judge/claim.ts';
import { scaleUOf } from '../../quantity/distanceMethod.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { boundWithScaleError, scaleErrorOfRatio, withScaleError } from './scaleError.ts';
import { summariseRanges, type CellFinding } from './summarise.ts';

const BY_EYE = scaleUOf('by eye');
const walk = (n: number, heldM: number, failedM: number | undefined, more: object = {}): WalkInterval => ({
  product: 'A',
  path: 'P',
  walk: String(n),
  heldM,
  failedM,
  method: 'by eye',
  scaleU: BY_EYE,
  outing: 'monday',
  ...more,
});

// The worked values of METHODS §16.
describe('the scale error of a method goes all the way', () => {
  test('202 to 213 m about 207.4 m becomes 124 to 347 m; 90 m by eye is at least 58.5 m', () => {
    const ends = withScaleError({ low: 202, high: 213 }, 207.4, BY_EYE);
    expect(ends.low).toBeCloseTo(124, 0);
    expect(ends.high).toBeCloseTo(347, 0);
    expect(boundWithScaleError(90, -1, BY_EYE)).toBeCloseTo(58.5, 1);
    expect(boundWithScaleError(75, -1, BY_EYE)).toBeCloseTo(48.7, 1);
  });

  const claim = { entered: '500 ft', distanceM: 152.4, upTo: false, condition: 'open' as const };
  const evidence = (cell: CellFinding | undefined) => ({
    criterion: 'lost' as const,
    cell,
    unitsTested: 1,
    pathReachM: 400,
  });

  test('500 ft against six walks lost near 207 m by eye is undecided, and measuring would decide it', () => {
    const rows = [205, 206, 207, 208, 209, 210].map((m, i) => walk(i, m, m, { failedUM: 1 }));
    const [cell] = summariseRanges(rows).fitted;
    const verdict = judgeClaim(claim, evidence(cell));
    expect(verdict.outcome).toBe('undecided');
    expect(verdict.reason).toContain('by eye');
    expect(verdict.next).toContain('Measure the distance');
    const [taped] = summariseRanges(rows.map((r) => ({ ...r, scaleU: 0 }))).fitted;
    expect(judgeClaim(claim, evidence(taped)).outcome).toBe('supported');
  });

  test('held to the end by eye says at least how far', () => {
    const [cell] = summariseRanges([walk(1, 90, undefined)]).fitted;
    expect(judgeClaim(claim, evidence(cell)).reason).toContain(
      'Held to the end, about 90.0 m by eye: at least 58.5 m',
    );
  });

  test('in a ratio it cancels by one method on one day, and adds by two, or by eye on two days', () => {
    const a = [walk(1, 100, 100)];
    const tape = [walk(1, 100, 100, { product: 'B', method: 'marked line', scaleU: 0 })];
    const tuesday = [walk(1, 100, 100, { product: 'B', outing: 'tuesday' })];
    expect(scaleErrorOfRatio(a, [walk(1, 120, 120, { product: 'B' })]).u).toBe(0);
    expect(scaleErrorOfRatio(a, tape).u).toBeCloseTo(BY_EYE, 12);
    expect(scaleErrorOfRatio(a, tuesday).u).toBeCloseTo(BY_EYE * Math.SQRT2, 12);
  });
});

describe('what is bounded, and what is not', () => {
  test('no end is printed that lies beyond ten times what was observed', () => {
    const rows = [walk(1, 20, 30, { scaleU: 0 }), walk(2, 90, undefined, { scaleU: 0 })];
    const [cell] = summariseRanges(rows).fitted;
    for (const ends of Object.values(cell?.interval95M ?? {})) {
      expect(ends?.high ?? 0).toBeLessThanOrEqual(900);
      expect(ends?.low ?? Infinity).toBeGreaterThanOrEqual(2);
    }
  });

  test('a failure that nobody placed is a failure in every sentence', () => {
    const [cell] = summariseRanges([
      walk(1, 40, undefined, { unplaced: true }),
      walk(2, 60, undefined, { unplaced: true }),
    ]).fitted;
    expect(cell).toMatchObject({ failures: 2, unplaced: 2 });
    expect(cell?.reason).toContain('failed in 2 of 2 walks, each time at a place that nobody knows');
  });
});
