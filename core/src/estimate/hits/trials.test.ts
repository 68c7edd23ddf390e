import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { atLeast, atLeastShare, clopperPearson, wilson } from '../../numeric/binomial.ts';
import { seeded } from '../../random/seeded.ts';
import { distanceOf, firth, firthCoefficientInterval, separationOf, type TrialRow } from './firth.ts';
import { distanceOverWalks, pooled } from './overWalks.ts';

// Reference results of R 4.2.2 (brglm2; binom): see ../range/reference/README.md.
const file = (name: string): string => readFileSync(new URL(`./reference/${name}`, import.meta.url), 'utf8');
const rowsOf = (name: string): TrialRow[] =>
  file(name)
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const [distanceM, trials, successes] = line.split(',').map(Number) as [number, number, number];
      return { distanceM, trials, successes };
    });
interface FirthReference {
  readonly separation: string;
  readonly firth: {
    coefficients: Record<string, number>;
    vcov: number[][];
    penalized_loglik: number;
    profile_penalized_ci95: Record<string, [number, number]>;
    D50: Record<string, number>;
    D90: Record<string, number>;
  };
}

const close = (found: number | undefined, wanted: number | undefined): void =>
  expect(Math.abs((found ?? Number.NaN) / (wanted ?? 0) - 1)).toBeLessThan(1e-6);

describe('hits and misses, Firth-penalised', () => {
  test.each(['i1', 'i2'])('%s: coefficients, covariance, profile intervals, D50 and D90', (name) => {
    const rows = rowsOf(`${name}.csv`);
    const { firth: wanted, separation } = JSON.parse(file(`${name}.json`)) as FirthReference;
    const fit = firth(rows) as NonNullable<ReturnType<typeof firth>>;
    expect(fit.separation).toBe(separation);
    close(fit.coefficients[0], wanted.coefficients['(Intercept)']);
    close(fit.coefficients[1], wanted.coefficients.log_distance);
    fit.covariance.flat().forEach((v, i) => close(v, wanted.vcov.flat()[i]));
    for (const [which, key] of [
      [0, '(Intercept)'],
      [1, 'log_distance'],
    ] as const) {
      const interval = firthCoefficientInterval(rows, fit, which);
      close(interval.low, wanted.profile_penalized_ci95[key]?.[0]);
      close(interval.high, wanted.profile_penalized_ci95[key]?.[1]);
    }
    for (const [p, key] of [
      [0.5, 'D50'],
      [0.9, 'D90'],
    ] as const) {
      const found = distanceOf(rows, fit, p);
      close(found.estimateM, wanted[key].estimate_m);
      close(found.delta95M?.[0], wanted[key].lower95_m);
      close(found.delta95M?.[1], wanted[key].upper95_m);
      expect(found.profile95M.low).toBeLessThan(found.estimateM ?? 0);
      expect(found.profile95M.high ?? Infinity).toBeGreaterThan(found.estimateM ?? 0);
    }
  });

  test(
    'the same in other units and in any order; a profile end lies where the penalised likelihood has ' +
      'dropped by 1.92',
    () => {
      const rows = rowsOf('i1.csv');
      const [a, b] = [
        firth(rows),
        firth([...rows].reverse().map((r) => ({ ...r, distanceM: r.distanceM / 0.3048 }))),
      ];
      expect(b?.coefficients[1]).toBeCloseTo(a?.coefficients[1] ?? 0, 8);
      const [d, e] = [
        a && distanceOf(rows, a, 0.9),
        b &&
          distanceOf(
            rows.map((r) => ({ ...r, distanceM: r.distanceM / 0.3048 })),
            b,
            0.9,
          ),
      ];
      expect((e?.profile95M.low ?? 0) * 0.3048).toBeCloseTo(d?.profile95M.low ?? -1, 5);
    },
  );

  test('separation is told, and what has no distance has none', () => {
    expect(
      separationOf([
        { distanceM: 10, trials: 4, successes: 4 },
        { distanceM: 20, trials: 4, successes: 2 },
        { distanceM: 30, trials: 4, successes: 0 },
      ]),
    ).toBe('quasi');
    expect(separationOf(rowsOf('i1.csv'))).toBe('none');
    expect(
      firth([
        { distanceM: 10, trials: 4, successes: 4 },
        { distanceM: 10, trials: 4, successes: 2 },
      ]),
    ).toBeUndefined();
    const rising = [
      { distanceM: 10, trials: 5, successes: 0 },
      { distanceM: 40, trials: 5, successes: 5 },
    ];
    const fit = firth(rising);
    expect(fit && distanceOf(rising, fit, 0.5).estimateM).toBeUndefined();
    // All answered: the far end has no bound, and none is made up.
    const all = [
      { distanceM: 10, trials: 3, successes: 3 },
      { distanceM: 20, trials: 3, successes: 3 },
      { distanceM: 40, trials: 3, successes: 2 },
    ];
    const allFit = firth(all) as NonNullable<ReturnType<typeof firth>>;
    expect(distanceOf(all, allFit, 0.5).profile95M.high).toBeUndefined();
    expect(() => firth([{ distanceM: 0, trials: 1, successes: 1 }])).toThrow('invalid distanceM: 0');
    expect(() => firth([{ distanceM: 1, trials: 1, successes: 2 }])).toThrow('invalid trials: 2 of 1');
  });

  test('the walk is the unit of evidence: presses that share a fade widen the interval, few presses have none', () => {
    const walk = (name: string, farM: number) => ({
      walk: name,
      rows: [20, 40, 60, 80, 100].map((distanceM) => ({
        distanceM,
        trials: 10,
        successes: distanceM < farM ? 10 : 0,
      })),
    });
    const walks = [walk('1', 50), walk('2', 70), walk('3', 90), walk('4', 50), walk('5', 90)];
    const over = distanceOverWalks(walks, 0.5);
    if (!('low' in over)) throw new Error(over.reason);
    const rows = pooled(walks);
    const fit = firth(rows) as NonNullable<ReturnType<typeof firth>>;
    const naive = distanceOf(rows, fit, 0.5).profile95M;
    expect(Math.log(over.high / over.low)).toBeGreaterThan(Math.log((naive.high ?? 0) / (naive.low ?? 1)));
    expect(distanceOverWalks(walks.slice(0, 1), 0.5)).toEqual({ reason: 'one walk: no interval' });
    const few = walks.map((w) => ({ ...w, rows: w.rows.map((r) => ({ ...r, trials: 3, successes: 0 })) }));
    expect(distanceOverWalks(few, 0.5)).toMatchObject({ reason: expect.stringContaining('fewer than 10') });
    expect(rows).toHaveLength(5);
  });
});

test('an interval over walks covers the truth as often as it says, where walks differ', () => {
  const random = seeded('over walks');
  let covering = 0;
  const sets = 300;
  for (let i = 0; i < sets; i++) {
    const walks = Array.from({ length: 5 }, (_, w) => {
      const d50 = 60 * Math.exp(0.25 * random.normal());
      return {
        walk: `${w}`,
        rows: [20, 35, 50, 70, 100, 140].map((distanceM) => {
          const p = 1 / (1 + (distanceM / d50) ** 6);
          const successes = Array.from({ length: 20 }, () => random.uniform() < p).filter(Boolean).length;
          return { distanceM, trials: 20, successes };
        }),
      };
    });
    const over = distanceOverWalks(walks, 0.5);
    if ('low' in over && over.low <= 60 && 60 <= over.high) covering++;
  }
  expect(covering / sets).toBeGreaterThan(0.915);
});

describe('a proportion alone', () => {
  const { intervals } = JSON.parse(file('k_binomial_ci.json')) as {
    intervals: Record<
      'k' | 'n' | 'wilson_lower' | 'wilson_upper' | 'clopper_pearson_lower' | 'clopper_pearson_upper',
      number
    >[];
  };
  test.each(intervals.map((i) => [i.k, i.n, i] as const))('%d of %d', (k, n, wanted) => {
    const [w, c] = [wilson(k, n), clopperPearson(k, n)];
    expect(w.low).toBeCloseTo(wanted.wilson_lower, 7);
    expect(w.high).toBeCloseTo(wanted.wilson_upper, 7);
    expect(c.low).toBeCloseTo(wanted.clopper_pearson_lower, 7);
    expect(c.high).toBeCloseTo(wanted.clopper_pearson_upper, 7);
  });

  test('against jstat’s beta and binomial, and the bounds of n of n', () => {
    const { jStat } = jstat as {
      jStat: {
        beta: { inv(p: number, a: number, b: number): number };
        binomial: { cdf(k: number, n: number, p: number): number };
      };
    };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 40 }), (n, k0) => {
        const k = Math.min(n, k0);
        if (k > 0) expect(clopperPearson(k, n).low).toBeCloseTo(jStat.beta.inv(0.025, k, n - k + 1), 6);
        expect(atLeast(k, n, 0.3)).toBeCloseTo(k === 0 ? 1 : 1 - jStat.binomial.cdf(k - 1, n, 0.3), 9);
        expect(wilson(k, n).low).toBeLessThanOrEqual(k / n);
      }),
      { numRuns: 60 },
    );
    // One of one 5 %, three of three 36.8 %, ten of ten 74.1 %, sixty of sixty 95.1 % (one-sided 95 %).
    expect([1, 3, 10, 60].map((n) => Math.round(1000 * atLeastShare(n, n)) / 10)).toEqual([
      5, 36.8, 74.1, 95.1,
    ]);
    expect(() => wilson(3, 2)).toThrow('invalid proportion: 3 of 2');
  });
});
