import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../random/seeded.ts';
import { gradersAgreement, quadraticWeight, weightedKappa } from './agreement.ts';
import { GRADES, type Grade } from './grade.ts';
import { gradingOf } from './thresholds.ts';

describe('agreement of two people', () => {
  test('gives the worked example of J. Cohen, Psychological Bulletin 70 (1968): kappa 0.492, weighted 0.348', () => {
    const shares = [
      [0.44, 0.07, 0.09],
      [0.05, 0.2, 0.05],
      [0.01, 0.03, 0.06],
    ];
    const disagreement = [
      [0, 1, 3],
      [1, 0, 6],
      [3, 6, 0],
    ];
    const weight = (i: number, j: number): number => 1 - (disagreement[i]?.[j] ?? 0) / 6;
    expect(weightedKappa(shares, weight, 200).kappa).toBeCloseTo(0.348, 3);
    expect(weightedKappa(shares, (i, j) => (i === j ? 1 : 0), 200).kappa).toBeCloseTo(0.492, 3);
  });

  test('is 1 where they agree wholly, the same for both, and undefined where nothing tells it from chance', () => {
    const grade = fc.constantFrom(...GRADES);
    fc.assert(
      fc.property(fc.array(fc.tuple(grade, grade), { minLength: 1, maxLength: 40 }), (pairs) => {
        const [own, turned] = [
          gradersAgreement(pairs),
          gradersAgreement(pairs.map(([a, b]) => [b, a] as const)),
        ];
        expect(turned?.kappa).toEqual(own && expect.closeTo(own.kappa, 9));
        if (!own) return;
        expect(own.kappa).toBeLessThanOrEqual(1 + 1e-9);
        const [low = own.kappa, high = own.kappa] = own.interval95 ?? [];
        expect(low).toBeLessThanOrEqual(own.kappa + 1e-9);
        expect(high).toBeGreaterThanOrEqual(own.kappa - 1e-9);
      }),
    );
    expect(
      gradersAgreement([
        [5, 5],
        [1, 1],
        [3, 3],
      ])?.kappa,
    ).toBeCloseTo(1, 12);
    expect(
      gradersAgreement([
        [4, 4],
        [4, 4],
      ]),
    ).toBeUndefined();
    expect(gradersAgreement([])).toBeUndefined();
    expect(() => weightedKappa([[1]], quadraticWeight, 1)).toThrow('1 rows');
  });

  test('its interval holds the true value about as often as it says, at 60 things graded', () => {
    const random = seeded('kappa');
    const clamp = (x: number): Grade => Math.min(5, Math.max(1, Math.round(x))) as Grade;
    const draw = (): [Grade, Grade] => {
      const true_ = 1 + 4 * random.uniform();
      return [clamp(true_ + 0.7 * random.normal()), clamp(true_ + 0.7 * random.normal())];
    };
    const truth = gradersAgreement(Array.from({ length: 200_000 }, draw))?.kappa ?? NaN;
    let held = 0;
    for (let run = 0; run < 400; run++) {
      const [low, high] = gradersAgreement(Array.from({ length: 60 }, draw))?.interval95 ?? [1, -1];
      if (low <= truth && truth <= high) held++;
    }
    // 95 % asked for; a large-sample interval at 60 things holds a little less.
    expect(held / 400).toBeGreaterThan(0.9);
    expect(held / 400).toBeLessThan(0.985);
  });
});

describe('where a person sets each threshold', () => {
  test('stands between what still got the grade and what did not, with how steady it was', () => {
    const grading = gradingOf([
      ...[0, 0.05, 0.1, 0.3].map((level, i) => ({ level, grade: (5 - i) as Grade })),
      ...[0, 0.05, 0.1, 0.3].map((level, i) => ({ level, grade: (i === 1 ? 5 : 5 - i) as Grade })),
    ]);
    expect(grading.thresholds).toEqual([
      { below: 5, heldAt: 0, failedAt: 0.05 },
      { below: 4, heldAt: 0.05, failedAt: 0.1 },
      { below: 3, heldAt: 0.1, failedAt: 0.3 },
      { below: 2, heldAt: 0.3, failedAt: undefined },
    ]);
    expect(grading.wobble).toBeCloseTo(0.25, 12);
    expect(grading.reversals).toBe(0);
    expect(gradingOf([]).wobble).toBeUndefined();
  });
});
