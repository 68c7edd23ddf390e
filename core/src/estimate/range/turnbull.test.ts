import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readWalkIntervals } from '../../formats/walkIntervalsCsv.ts';
import { seeded } from '../../random/seeded.ts';
import { survivalAt, turnbull } from './turnbull.ts';

// Reference results of R 4.2.2 with survival 3.5-3, and for the breast cosmesis data (D. M. Finkelstein and
// R. A. Wolfe, Biometrics 41 (1985)) the exact maximum; see reference/README.md.
const file = (name: string): string => readFileSync(new URL(`./reference/${name}`, import.meta.url), 'utf8');
interface Reference {
  readonly loglik: number;
  readonly support: { lower: number; upper: number | null; mass: number; survival_after: number }[];
}
const reference = (name: string): Reference => JSON.parse(file(name)) as Reference;
const cosmesis = file('g_cosmesis_rt.csv')
  .trim()
  .split('\n')
  .slice(1)
  .map((line) => {
    const [lower, upper] = line.split(',');
    return { heldM: Number(lower), failedM: upper === '' ? undefined : Number(upper) };
  });

describe('the non-parametric estimate', () => {
  test.each([
    ['g_turnbull_a.json', readWalkIntervals(file('a.csv'))],
    ['g_turnbull_cosmesis_rt.json', cosmesis],
    [
      'g_turnbull_d_cell1.json',
      readWalkIntervals(file('d_part.csv')).filter(
        (w, _, all) => w.product === all[0]?.product && w.path === all[0].path,
      ),
    ],
  ])('%s: every mass', (name, walks) => {
    const { support, loglik } = reference(name);
    const found = turnbull(walks);
    expect(found.kkt).toBeLessThan(1e-9);
    expect(found.loglik).toBeCloseTo(loglik, 6);
    expect(found.masses.map((m) => [m.lowerM, m.upperM ?? null])).toEqual(
      support.map((s) => [s.lower, s.upper]),
    );
    found.masses.forEach((m, i) => {
      expect(m.mass).toBeCloseTo(support[i]?.mass ?? -1, 6);
      expect(m.survivalAfter).toBeCloseTo(support[i]?.survival_after ?? -1, 6);
    });
  });

  test('is Kaplan and Meier’s where data are exact or right-censored only', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.boolean()), { minLength: 1, maxLength: 25 }),
        (rows) => {
          const walks = rows.map(([m, failed]) => ({ heldM: m, failedM: failed ? m : undefined }));
          const estimate = turnbull(walks);
          let left = 1;
          for (const m of [...new Set(rows.filter((r) => r[1]).map((r) => r[0]))].sort((a, b) => a - b)) {
            left *= 1 - rows.filter((r) => r[0] === m && r[1]).length / rows.filter((r) => r[0] >= m).length;
            expect(survivalAt(estimate, m).most).toBeCloseTo(left, 6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test('meets the conditions of a maximum on any intervals, and no other masses are likelier', () => {
    const row = fc
      .tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 12 }), fc.boolean())
      .map(([low, width, open]) => ({ heldM: low, failedM: open ? undefined : low + width }));
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 40 }), (walks) => {
        const { kkt, masses } = turnbull(walks);
        // Where a mass of zero has a derivative of exactly n too, the last digits are out of reach.
        expect(kkt).toBeLessThan(1e-6);
        expect(masses.reduce((sum, m) => sum + m.mass, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 150 },
    );
  });

  test('the order of rows and the unit of length do not matter', () => {
    const random = seeded('turnbull');
    const walks = Array.from({ length: 60 }, () => {
      const heldM = Math.round(40 + 60 * random.uniform());
      return {
        heldM,
        failedM: random.uniform() < 0.3 ? undefined : heldM + Math.round(20 * random.uniform()),
      };
    });
    const [a, b] = [
      turnbull(walks),
      turnbull(
        [...walks].reverse().map((w) => ({ heldM: w.heldM * 1000, failedM: w.failedM && w.failedM * 1000 })),
      ),
    ];
    expect(b.masses.map((m) => m.lowerM / 1000)).toEqual(a.masses.map((m) => m.lowerM));
    b.masses.forEach((m, i) => expect(m.mass).toBeCloseTo(a.masses[i]?.mass ?? -1, 7));
    expect(turnbull([])).toEqual({ masses: [], loglik: 0, kkt: 0 });
    expect(() => turnbull([{ heldM: 5, failedM: 3 }])).toThrow('invalid interval: (5, 3]');
  });
});
