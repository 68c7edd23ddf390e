import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../random/seeded.ts';
import { censoringOf, type WalkInterval } from '../../walk/walkInterval.ts';
import { cellsOf } from './cells.ts';
import { agreementOf } from './commonBracket.ts';
import { evaluate, likelihoodData } from './likelihood.ts';
import { summariseRanges } from './summarise.ts';
import { addTerm, emptySums, takeProduct } from './walkTerm.ts';

const walk = (product: string, heldM: number, failedM?: number, path = 'open'): WalkInterval => ({
  product,
  path,
  walk: '1',
  heldM,
  failedM,
});

describe('derivatives', () => {
  const interval = fc.record({
    low: fc.double({ min: -2, max: 2, noNaN: true }),
    width: fc.oneof(fc.constant(0), fc.constant(Infinity), fc.double({ min: 1e-9, max: 3, noNaN: true })),
    eta: fc.double({ min: -6, max: 6, noNaN: true }),
    tau: fc.double({ min: 0.3, max: 12, noNaN: true }),
  });

  test('of a walk’s term equal central differences, for every kind of censoring', () => {
    fc.assert(
      fc.property(interval, ({ low, width, eta, tau }) => {
        const at = (e: number, t: number) => {
          const out = emptySums();
          addTerm(low, low + width, 1, e, t, out);
          out.value += takeProduct(out);
          return out;
        };
        const h = 1e-5;
        const term = at(eta, tau);
        const scale = 1 + Math.abs(term.value) + Math.abs(term.hTauTau);
        const near = (a: number, b: number): void => expect(Math.abs(a - b) / scale).toBeLessThan(1e-5);
        near(term.gEta, (at(eta + h, tau).value - at(eta - h, tau).value) / (2 * h));
        near(term.gTau, (at(eta, tau + h).value - at(eta, tau - h).value) / (2 * h));
        near(term.hEtaEta, (at(eta + h, tau).gEta - at(eta - h, tau).gEta) / (2 * h));
        near(term.hEtaTau, (at(eta, tau + h).gEta - at(eta, tau - h).gEta) / (2 * h));
        near(term.hTauTau, (at(eta, tau + h).gTau - at(eta, tau - h).gTau) / (2 * h));
      }),
      { numRuns: 300 },
    );
  });

  test('the log-likelihood is concave along any line', () => {
    const data = likelihoodData(
      { low: [-0.2, 0.1, -Infinity, 0], high: [-0.1, 0.1, 0.2, Infinity], cell: [0, 0, 0, 0] },
      [[1]],
    );
    const point = fc.tuple(
      fc.double({ min: -5, max: 5, noNaN: true }),
      fc.double({ min: 0.05, max: 20, noNaN: true }),
    );
    fc.assert(
      fc.property(point, point, (a, b) => {
        const value = (f: number): number =>
          evaluate(data, Float64Array.of(a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1]))).value;
        expect(value(0.5)).toBeGreaterThanOrEqual((value(0) + value(1)) / 2 - 1e-9);
      }),
    );
  });
});

describe('existence is tested first', () => {
  test('one walk: its interval and nothing else', () => {
    const summary = summariseRanges([walk('A', 50, 60)]);
    expect(summary).toMatchObject({
      estimable: false,
      reason: 'one walk: its interval and nothing else',
      sigma: undefined,
    });
    expect(summary.fitted[0]).toMatchObject({
      estimable: false,
      median: undefined,
      bounds: { common: { heldM: 50, failedM: 60 } },
    });
  });

  test('no failure: a bound, never an estimate', () => {
    const summary = summariseRanges([walk('A', 50), walk('A', 55)]);
    expect(summary.estimable).toBe(false);
    expect(summary.fitted[0]).toMatchObject({
      median: undefined,
      reason: 'no failure in 2 of 2 walks',
      bounds: { allHeldToM: 50, allFailedByM: undefined },
    });
  });

  test('one bracket that fits every walk leaves σ open, but bounds the median', () => {
    const summary = summariseRanges([walk('A', 50, 60), walk('A', 55, 65), walk('A', 52, 62)]);
    expect(summary.estimable).toBe(false);
    expect(summary.reason).toContain('one bracket fits every walk');
    const { median } = summary.fitted[0]?.interval95M ?? {};
    expect(median?.low).toBeGreaterThan(40);
    expect(median?.low).toBeLessThan(55);
    expect(median?.high).toBeGreaterThan(60);
  });

  test('brackets that only touch fit one location too, and walks in two cells may share it', () => {
    expect(agreementOf(cellsOf([walk('A', 50, 60), walk('A', 60, 70)]))).toBe('adjoining');
    expect(agreementOf(cellsOf([walk('A', 50, 60), walk('A', 61, 70)]))).toBe('apart');
    // Ratios of 2 in one path and 4 in the other cannot both be one product effect.
    const rows = [
      walk('A', 10, 11),
      walk('B', 20, 21),
      walk('A', 30, 31, 'shed'),
      walk('B', 120, 121, 'shed'),
    ];
    expect(agreementOf(cellsOf(rows))).toBe('apart');
    expect(agreementOf(cellsOf([...rows.slice(0, 3), walk('B', 60, 62, 'shed')]))).not.toBe('apart');
  });

  test('a product censored on one side is bounded and the rest is estimated', () => {
    const rest = [walk('A', 50, 60), walk('A', 65, 70), walk('A', 52, 62)];
    const summary = summariseRanges([...rest, walk('B', 100), walk('B', 110)]);
    expect(summary.estimable).toBe(true);
    expect(summary.sigma).toBeCloseTo(summariseRanges(rest).sigma as number, 10);
    expect(summary.fitted[1]).toMatchObject({
      product: 'B',
      estimable: false,
      median: undefined,
      bounds: { allHeldToM: 100 },
    });
    expect(summary.productRatios[0]).toMatchObject({
      estimable: false,
      reason: 'B: all walks censored on one side',
      estimate: undefined,
      walks: [2, 3],
      bounds: { low: 100 / 70, high: undefined },
    });
    expect(summary.coefficients.find((c) => c.name === 'productB')?.value).toBeUndefined();
    expect(summary.covarianceNames).toEqual(['(Intercept)', 'log_sigma']);
  });

  test('two products that share no path have no ratio', () => {
    const summary = summariseRanges([
      walk('A', 50, 55),
      walk('A', 60, 66),
      walk('B', 30, 33, 'shed'),
      walk('B', 40, 44, 'shed'),
    ]);
    expect(summary.productRatios[0]).toMatchObject({
      estimable: false,
      reason: 'no path ties the two products together from both sides',
    });
    expect(summary.fitted.filter((c) => c.estimable)).toHaveLength(2);
  });

  test('no sensible set makes it throw, and no result is not a number', () => {
    const row = fc.record({
      product: fc.constantFrom('A', 'B', 'C'),
      path: fc.constantFrom('open', 'shed'),
      walk: fc.constant('1'),
      heldM: fc.constantFrom(0, 1e-3, 50, 52, 60, 1e6),
      width: fc.constantFrom(0, 1e-6, 5, 500, Infinity),
    });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 7 }), (rows) => {
        const walks = rows
          .map(({ width, ...r }) => ({ ...r, failedM: width === Infinity ? undefined : r.heldM + width }))
          .filter((w) => !(w.heldM === 0 && (w.failedM === undefined || w.failedM === 0)));
        const summary = summariseRanges(walks);
        const numbers = JSON.stringify(summary, (_, v: unknown) => {
          if (typeof v === 'number') expect(Number.isNaN(v)).toBe(false);
          return v;
        });
        expect(numbers).toContain('"n":');
        if (summary.sigma !== undefined) expect(summary.sigma).toBeGreaterThan(0);
      }),
      { numRuns: 25 },
    );
  });
});

describe('known truth', () => {
  /** Walks with ln D ~ N(ln median, σ), bracketed by marks every 10 %, on a path that ends at 300 m. */
  function simulated(
    seed: string,
    medians: Record<string, number>,
    sigma: number,
    each: number,
  ): WalkInterval[] {
    const random = seeded(seed);
    return Object.entries(medians).flatMap(([product, medianM]) =>
      Array.from({ length: each }, (_, i) => {
        const d = medianM * Math.exp(sigma * random.normal());
        const step = Math.floor(Math.log(d) / Math.log(1.1));
        return d >= 300
          ? walk(product, 300)
          : { ...walk(product, 1.1 ** step, 1.1 ** (step + 1)), walk: String(i) };
      }),
    );
  }

  test(
    'the calibrated 95 % intervals of median, p10 and ratio cover it in 85 to 100 % of 60 ' +
      'comparisons of 2 × 5 walks',
    () => {
      const truth = { A: 100, B: 150 };
      const [sigma, runs] = [0.25, 60];
      const p10 = truth.A * Math.exp(-1.2815515655446004 * sigma);
      const hits = { median: 0, p10: 0, ratio: 0 };
      const inside = (
        ends: { low: number | undefined; high: number | undefined } | undefined,
        value: number,
      ): number => (ends && (ends.low ?? 0) <= value && value <= (ends.high ?? Infinity) ? 1 : 0);
      for (let i = 0; i < runs; i++) {
        const summary = summariseRanges(simulated(`truth/${i}`, truth, sigma, 5));
        hits.median += inside(summary.fitted[0]?.interval95M.median, truth.A);
        hits.p10 += inside(summary.fitted[0]?.interval95M.p10, p10);
        hits.ratio += inside(summary.productRatios[0]?.interval95, truth.B / truth.A);
      }
      for (const covered of Object.values(hits)) expect(covered / runs).toBeGreaterThanOrEqual(0.85);
      expect(hits.median + hits.p10 + hits.ratio).toBeLessThan(3 * runs);
    },
  );

  test('for exact distances the median’s interval is Student’s t on ln distance', () => {
    const logs = [4.1, 4.25, 4.4, 4.33, 4.02];
    const summary = summariseRanges(logs.map((l) => walk('A', Math.exp(l), Math.exp(l))));
    const mean = logs.reduce((a, b) => a + b) / 5;
    const s = Math.sqrt(logs.reduce((sum, l) => sum + (l - mean) ** 2, 0) / 4);
    // t(0.975; 4) = 2.776445 (any table).
    expect(Math.log(summary.fitted[0]?.interval95M.median?.low as number)).toBeCloseTo(
      mean - (2.776445 * s) / Math.sqrt(5),
      6,
    );
    expect(Math.log(summary.fitted[0]?.interval95M.median?.high as number)).toBeCloseTo(
      mean + (2.776445 * s) / Math.sqrt(5),
      6,
    );
  });
});

test('an interval that holds no distance is refused with its value', () => {
  expect(() => censoringOf({ heldM: Number.NaN, failedM: 5 })).toThrow('invalid heldM: NaN');
  expect(() => censoringOf({ heldM: 6, failedM: 5 })).toThrow('failed at 5 m, before it held at 6 m');
  expect(() => censoringOf({ heldM: 0, failedM: undefined })).toThrow('says nothing');
});
