import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { holm } from '../../numeric/holm.ts';
import { isotonicDecreasing, isotonicIncreasing } from '../../numeric/isotonic.ts';
import { studentCdf, studentQuantile } from '../../numeric/student.ts';
import { seeded } from '../../random/seeded.ts';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { disagreement, modelSurvival } from './disagreement.ts';
import { fitRanges, isFit } from './fit.ts';
import { outingsOf, outingText } from './outings.ts';
import { profileP } from './profile.ts';
import { withScaleError } from './scaleError.ts';
import { summariseRanges } from './summarise.ts';
import { turnbull } from './turnbull.ts';

const exact = (product: string, path: string, m: number, more: Partial<WalkInterval> = {}): WalkInterval => ({
  product,
  path,
  walk: '',
  heldM: m,
  failedM: m,
  ...more,
});

describe('designs beyond product and path', () => {
  test('the calibrated test of two products with exact places is Student’s t test, to the last digit', () => {
    const [a, b] = [
      [50, 57, 61, 66],
      [70, 74, 88],
    ];
    const walks = [...a.map((m) => exact('A', 'x', m)), ...b.map((m) => exact('B', 'x', m))];
    const mean = (v: number[]): number => v.reduce((s, x) => s + Math.log(x), 0) / v.length;
    const squares = (v: number[]): number => v.reduce((s, x) => s + (Math.log(x) - mean(v)) ** 2, 0);
    const t = (mean(b) - mean(a)) / Math.sqrt(((squares(a) + squares(b)) / 5) * (1 / 4 + 1 / 3));
    const fit = fitRanges(walks);
    expect(
      profileP(fit, { weights: fit.model.productDifference('B', 'A') as number[], z: 0 }, 0),
    ).toBeCloseTo(2 * (1 - studentCdf(Math.abs(t), 5)), 8);
    expect(summariseRanges(walks).productRatios[0]?.holmP).toBeCloseTo(
      2 * (1 - studentCdf(Math.abs(t), 5)),
      8,
    );
  });

  test('side by side, the paired test is Student’s t of the differences: what both walks share cancels', () => {
    const shared = [0, 0.4, -0.5, 0.3, -0.2];
    const gain = [0.1, 0.14, 0.08, 0.12, 0.11];
    const walks = shared.flatMap((s, i) => [
      exact('A', 'x', 100 * Math.exp(s), { pair: String(i) }),
      exact('B', 'x', 100 * Math.exp(s + (gain[i] as number)), { pair: String(i) }),
    ]);
    const { pairedRatios, productRatios } = summariseRanges(walks);
    const mean = gain.reduce((a, b) => a + b) / 5;
    const sd = Math.sqrt(gain.reduce((s, g) => s + (g - mean) ** 2, 0) / 4);
    expect(pairedRatios[0]?.estimate?.logRatio).toBeCloseTo(mean, 6);
    // Blocks of two: 5 pairs leave 4 degrees of freedom, those of the differences.
    expect(pairedRatios[0]?.p).toBeCloseTo(2 * (1 - studentCdf(mean / (sd / Math.sqrt(5)), 4)), 6);
    // What was walked in pairs is published by its pairs.
    expect(productRatios[0]).toEqual({ ...pairedRatios[0], method: 'paired', basis: '5 pairs side by side' });
    const bare = summariseRanges(walks.map((w) => ({ ...w, pair: undefined })));
    expect(bare.pairedRatios).toEqual([]);
    expect(pairedRatios[0]?.p ?? 1).toBeLessThan((bare.productRatios[0]?.p ?? 0) / 10);
  });

  test('two units of one product: the product is their mean, and not the unit that walked more', () => {
    const walks = [
      ...[100, 104, 96].map((m) => exact('A', 'x', m, { unit: '1' })),
      ...[100, 102, 98, 101, 99, 100, 103, 97].map((m) => exact('B', 'x', m, { unit: '1' })),
      ...[144, 146, 142].map((m) => exact('B', 'x', m, { unit: '2' })),
    ];
    const { unitRatios } = summariseRanges(walks);
    expect(unitRatios[0]?.estimate?.ratio).toBeCloseTo(1.2, 2);
    expect(summariseRanges(walks.map((w) => ({ ...w, unit: '1' }))).unitRatios).toEqual([]);
  });

  // METHODS §5: Student's t on unit means, degrees of freedom units less products.
  const inUnits = (product: string, ...units: number[][]): WalkInterval[] =>
    units.flatMap((list, i) => list.map((m) => exact(product, 'x', m, { unit: `${i + 1}` })));
  const fourUnits = [
    ...inUnits('A', [100, 104, 98], [120, 125, 118]),
    ...inUnits('B', [130, 128, 135], [112, 110, 115]),
  ];

  test('units as a sample: 1.0992 (0.6564 to 1.8410), p 0.5126', () => {
    const [ratio] = summariseRanges(fourUnits).productRatios;
    expect(ratio).toMatchObject({ method: 'units', basis: 'by 2 and 2 units' });
    expect(ratio?.estimate?.ratio).toBeCloseTo(1.0992, 4);
    expect(ratio?.interval95?.low).toBeCloseTo(0.6564, 4);
    expect(ratio?.interval95?.high).toBeCloseTo(1.841, 4);
    expect(ratio?.p).toBeCloseTo(0.5126, 4);
    const [a] = summariseRanges(fourUnits).unitSpreads;
    const unitMeans = [
      [100, 104, 98],
      [120, 125, 118],
    ].map((u) => u.reduce((s, m) => s + Math.log(m), 0) / 3);
    expect(a?.between).toBeCloseTo(Math.abs((unitMeans[0] ?? 0) - (unitMeans[1] ?? 0)) / Math.SQRT2, 6);
    expect(a?.within).toBeLessThan(a?.between ?? 0);
  });

  test('outings that each was walked on by itself are a sample like units; with one of them there is no test', () => {
    const apart = fourUnits.map(({ unit, ...w }) => ({ ...w, outing: `${w.product}${unit}` }));
    const [ratio] = summariseRanges(apart).productRatios;
    expect(ratio).toMatchObject({ method: 'outings', basis: 'by 2 and 2 outings' });
    expect(ratio?.p).toBeCloseTo(0.5126, 4);
    const one = summariseRanges(apart.filter((w) => w.outing !== 'B2')).productRatios[0];
    expect(one).toMatchObject({ p: undefined, interval95: undefined, estimable: false });
    expect(one?.reason).toContain('days and set-ups cannot be told from the products');
    expect(one?.estimate?.ratio).toBeGreaterThan(1);
  });

  test('on outings with both, what the day was cancels; of one outing it is said so', () => {
    const day = [1, 1.6, 0.7];
    const setUp = [1, 1.01, 1];
    const walks = day.flatMap((d, i) =>
      [0, 1].flatMap((k) => [
        exact('A', 'x', 100 * d * (1 + 0.02 * k), { outing: `${i}` }),
        exact('B', 'x', 130 * d * (setUp[i] as number) * (1.03 - 0.02 * k), { outing: `${i}` }),
      ]),
    );
    const [ratio] = summariseRanges(walks).productRatios;
    expect(ratio).toMatchObject({ method: 'outings', basis: '3 outings with both', forTheseSetUps: false });
    // Student's t on three differences, which are never taken for better known than their walks are.
    expect(ratio?.estimate?.ratio).toBeCloseTo(
      ((1.3 * Math.sqrt(1.03 * 1.01)) / Math.sqrt(1.02)) * 1.01 ** (1 / 3),
      3,
    );
    expect(ratio?.p).toBeLessThan(0.01);
    const two = summariseRanges(walks.filter((w) => w.outing !== '2')).productRatios[0];
    expect(two).toMatchObject({ method: 'outings', basis: '2 outings with both', forTheseSetUps: true });
    expect(two?.p).toBeLessThan(1e-2);
    const sameDay = summariseRanges(walks.filter((w) => w.outing === '0')).productRatios[0];
    expect(sameDay).toMatchObject({ forTheseSetUps: true });
    const unsaid = summariseRanges(walks.map(({ outing: _, ...w }) => w)).productRatios[0];
    expect(unsaid).toMatchObject({ method: 'shared', forTheseSetUps: false });
    expect(unsaid?.p).toBeGreaterThan(0.05);
  });

  test(
    'a median over three outings or more is Student’s t of their means, and never narrower than one ' +
      'walk by one',
    () => {
      const of = (d: number, i: number, k: number): WalkInterval =>
        exact('A', 'x', 100 * d * (1 + 0.01 * k), { outing: `${i}` });
      const walks = [1, 1.3, 0.8, 1.1].flatMap((d, i) => [0, 1, 2].map((k) => of(d, i, k)));
      const [cell] = summariseRanges(walks).fitted;
      const mus = [1, 1.3, 0.8, 1.1].map(
        (d) => [0, 1, 2].reduce((s, k) => s + Math.log(100 * d * (1 + 0.01 * k)), 0) / 3,
      );
      const mean = mus.reduce((a, b) => a + b) / 4;
      const half =
        (studentQuantile(0.975, 3) * Math.sqrt(mus.reduce((s, m) => s + (m - mean) ** 2, 0) / 3)) / 2;
      expect(cell?.outings).toEqual({ count: 4, repeated: true });
      expect(cell?.median?.estimateM).toBeCloseTo(Math.exp(mean), 6);
      expect(cell?.interval95M.median?.low).toBeCloseTo(Math.exp(mean - half), 6);
      expect(outingText(cell?.outings)).toBe('over 4 outings');
      expect(outingText(outingsOf(walks.slice(0, 3)))).toBe('one outing: for that day and set-up');
      expect(outingText(outingsOf(walks.filter((_, i) => i % 3 === 0)))).toBeUndefined();
      // By its own spread what 9 of 10 hold to rests on four outings, not on twelve walks.
      const [loose] = summariseRanges(walks.map(({ outing: _, ...w }) => w)).fitted;
      expect(cell?.withScale95M.p10?.low ?? 0).toBeLessThan(loose?.withScale95M.p10?.low ?? 0);
    },
  );

  test('an advantage that depends on the path is told by the interaction, and one that does not is not', () => {
    const random = seeded('interaction');
    const set = (gainThere: number): WalkInterval[] =>
      ['open', 'shed'].flatMap((path) =>
        ['A', 'B'].flatMap((product) =>
          Array.from({ length: 12 }, () => {
            const gain = product === 'B' ? (path === 'shed' ? gainThere : 1.3) : 1;
            const d = (path === 'shed' ? 40 : 100) * gain * Math.exp(0.1 * random.normal());
            return { product, path, walk: '', heldM: d / 1.02, failedM: d * 1.02 };
          }),
        ),
      );
    expect(summariseRanges(set(0.8)).interaction).toMatchObject({ df: 1 });
    expect(summariseRanges(set(0.8)).interaction?.pValue).toBeLessThan(1e-4);
    expect(summariseRanges(set(1.3)).interaction?.pValue).toBeGreaterThan(0.01);
    expect(summariseRanges(set(1.3).filter((w) => w.path === 'open')).interaction).toBeUndefined();
  });

  test('hostile sets: 10⁵ rows, tiny and huge distances, ties', () => {
    const random = seeded('hostile');
    const many = Array.from({ length: 100_000 }, (_, i): WalkInterval => {
      const step = Math.floor(20 * (1 + 0.2 * random.normal()));
      return {
        product: `P${i % 2}`,
        path: 'x',
        walk: String(i),
        heldM: 1.2 ** step,
        failedM: 1.2 ** (step + 1),
      };
    });
    const fit = fitRanges(many);
    expect(isFit(fit) && fit.sigma).toBeGreaterThan(0.5);
    // Places are known to 5 %, near ones and far ones: the likelihood has no bend near its top.
    const placed = fitRanges(many.map((w) => ({ ...w, heldUM: 0.05 * w.heldM })));
    const [loose, sharp] = [fit, placed].map((f) => (isFit(f) ? f.sigma : 0)) as [number, number];
    expect(sharp).toBeGreaterThan(0.95 * loose);
    expect(sharp).toBeLessThan(loose);
    const scaled = (by: number) =>
      summariseRanges(
        [40, 44, 52, 60].map((m) => ({
          product: 'A',
          path: 'x',
          walk: '',
          heldM: m * by,
          failedM: 1.1 * m * by,
        })),
      ).fitted[0];
    for (const by of [1e-9, 1e9])
      expect((scaled(by)?.interval95M.median?.low ?? 0) / by).toBeCloseTo(
        scaled(1)?.interval95M.median?.low ?? -1,
        5,
      );
  }, 30_000);
});

describe('pieces', () => {
  test('Holm: the textbook’s four p-values (S. Holm 1979, from memory)', () => {
    expect(holm([0.01, 0.04, 0.03, 0.005])).toEqual([0.03, 0.06, 0.06, 0.02]);
    expect(holm([])).toEqual([]);
    expect(() => holm([1.2])).toThrow('invalid p: 1.2');
  });

  test('an isotonic fit is monotonic, keeps weighted sums block by block, and no monotonic sequence is nearer', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: 1, max: 5 })), {
          minLength: 1,
          maxLength: 20,
        }),
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 20, maxLength: 20 }),
        (rows, rises) => {
          const [values, weights] = [rows.map((r) => r[0]), rows.map((r) => r[1])];
          const fitted = Array.from(isotonicIncreasing(values, weights));
          const loss = (f: readonly number[]): number =>
            f.reduce((s, v, i) => s + (weights[i] as number) * (v - (values[i] as number)) ** 2, 0);
          fitted.slice(1).forEach((v, i) => expect(v).toBeGreaterThanOrEqual((fitted[i] as number) - 1e-12));
          let at = values[0] as number;
          const other = values.map((_, i) => (at += rises[i] as number));
          expect(loss(fitted)).toBeLessThanOrEqual(loss(other) + 1e-9);
          expect(
            isotonicDecreasing(
              values.map((v) => -v),
              weights,
            ),
          ).toEqual(fitted.map((v) => -v));
        },
      ),
    );
    expect(() => isotonicIncreasing([1], [0])).toThrow('invalid weight: 0');
  });

  test('a scale error adds in quadrature, and leaves an open end open', () => {
    const widened = withScaleError({ low: 90, high: undefined }, 100, Math.log(1.03));
    expect(Math.log(100 / (widened.low ?? 0))).toBeCloseTo(
      Math.hypot(Math.log(100 / 90), 1.96 * Math.log(1.03)),
      4,
    );
    expect(widened.high).toBeUndefined();
    expect(withScaleError({ low: 90, high: 110 }, 100, 0).high).toBeCloseTo(110, 9);
  });

  test('model and steps agree on walks that the model made, and disagree on two clumps', () => {
    const random = seeded('agree');
    const agree = Array.from({ length: 40 }, () => {
      const d = 100 * Math.exp(0.2 * random.normal());
      return { heldM: d / 1.05, failedM: d * 1.05 };
    });
    expect(disagreement({ medianM: 100, sigma: 0.2 }, turnbull(agree), 40).plain).toBe(false);
    const clumps = Array.from({ length: 40 }, (_, i) => ({
      heldM: i % 2 ? 50 : 200,
      failedM: i % 2 ? 51 : 204,
    }));
    expect(disagreement({ medianM: 100, sigma: 0.2 }, turnbull(clumps), 40).plain).toBe(true);
    expect(modelSurvival({ medianM: 100, sigma: 0.2 }, 100)).toBeCloseTo(0.5, 12);
  });
});
