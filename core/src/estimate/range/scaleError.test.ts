import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { judgeClaim } from '../../judge/claim.ts';
import { DISTANCE_METHODS, METHOD_UNCERTAINTY, scaleUOf } from '../../quantity/distanceMethod.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import type { Ends } from './ends.ts';
import { boundWithScaleError, scaleErrorOf, scaleErrorOfRatio, withScaleError } from './scaleError.ts';
import type { CellFinding } from './cellFinding.ts';
import { summariseRanges } from './summarise.ts';

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

describe('the place of the fixed end', () => {
  const at = (product: string, m: number) => ({
    ...walk(1, m, m, { product, scaleU: 0, method: 'wheel', offsetUM: 2, failedUM: 0.1 }),
  });
  const summary = summariseRanges(
    [98, 100, 103].map((m) => at('A', m)).concat([196, 200, 206].map((m) => at('B', m))),
  );

  test('moves a median by u/D, and a ratio by u·|1/D_A − 1/D_B|', () => {
    const [a, b] = summary.fitted;
    expect(a?.scale.u).toBeCloseTo(2 / (a?.median?.estimateM ?? 0), 12);
    expect(b?.scale.u).toBeCloseTo(2 / (b?.median?.estimateM ?? 0), 12);
    const middle = (x: number, y: number): number => Math.sqrt(x * y);
    expect(summary.productRatios[0]?.scale.u).toBeCloseTo(
      2 * Math.abs(1 / middle(98, 103) - 1 / middle(196, 206)),
      12,
    );
  });
});

test('where the fixed end is what is uncertain, the words and the advice say so', () => {
  const far = [walk(1, 90, undefined, { method: 'wheel', scaleU: 0.002, offsetUM: 4 })];
  const claim = { entered: '80 m', distanceM: 80, upTo: false, condition: 'open' as const };
  const judged = (rows: WalkInterval[]) =>
    judgeClaim(claim, {
      ...{ criterion: 'lost' as const, cell: summariseRanges(rows).fitted[0] },
      ...{ unitsTested: 1, pathReachM: 400 },
    });
  expect(judged(far).reason).toContain('Held to the end, about 90.0 m: at least 83.6 m');
  const rows = [86, 87, 88, 89, 90, 91].map((m, i) =>
    walk(i, m, m, { method: 'wheel', scaleU: 0.002, offsetUM: 6, failedUM: 0.5 }),
  );
  const { outcome, reason, next } = judged(rows);
  expect(outcome).toBe('undecided');
  expect(reason).toContain('the fixed end’s place and the operator’s delay may put all distances off');
  expect(next).toContain('enter in Paths how well that is known');
});

describe('no published interval is narrower than its distance method allows', () => {
  const rows = fc.array(
    fc.record({
      product: fc.constantFrom('A', 'B'),
      heldM: fc.integer({ min: 0, max: 30 }).map((n) => 10 * n),
      steps: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
      outing: fc.constantFrom('monday', 'tuesday'),
      method: fc.constantFrom(...DISTANCE_METHODS),
    }),
    { minLength: 1, maxLength: 12 },
  );
  const log = (ends: Ends | undefined): number =>
    ends?.low === undefined || ends.high === undefined ? Infinity : Math.log(ends.high / ends.low);

  test('every two-sided interval spans ±1.96 scale errors, every bare bound gives 1.645 of them away', () => {
    fc.assert(
      fc.property(rows, (drawn) => {
        const walks = drawn.flatMap(({ steps, heldM, method, ...r }, i) =>
          heldM === 0 && steps === undefined
            ? []
            : [
                {
                  ...r,
                  ...{ path: 'P', walk: String(i), heldM, method, scaleU: scaleUOf(method) },
                  failedM: steps === undefined ? undefined : heldM + 10 * steps,
                  failedUM: METHOD_UNCERTAINTY[method].independentM,
                },
              ],
        );
        const { fitted, productRatios } = summariseRanges(walks);
        for (const cell of fitted.filter((c) => c.walks > 0)) {
          const { u } = scaleErrorOf(walks.filter((w) => w.product === cell.product));
          const { median, p10, p90, allHeldToM, allFailedByM } = cell.withScale95M;
          for (const ends of [median, p10, p90])
            expect(log(ends)).toBeGreaterThanOrEqual(2 * 1.9599 * u * (1 - 1e-9));
          const { bounds } = cell;
          expect(allHeldToM).toBeLessThanOrEqual((bounds?.allHeldToM ?? 0) * Math.exp(-1.6448 * u));
          if (allFailedByM !== undefined)
            expect(allFailedByM).toBeGreaterThanOrEqual(
              (bounds?.allFailedByM ?? Infinity) * Math.exp(1.6448 * u),
            );
        }
        for (const ratio of productRatios)
          expect(log(ratio.withScale95)).toBeGreaterThanOrEqual(2 * 1.9599 * ratio.scale.u * (1 - 1e-9));
      }),
      { seed: 3, numRuns: 150 },
    );
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
