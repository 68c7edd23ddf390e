import fc from 'fast-check';
import jstat from 'jstat';
import { expect, test } from '@jest/globals';
import { chiSquareUpper } from '../../numeric/chiSquare.ts';
import { logNormalCdf, logNormalMass, normalQuantile } from '../../numeric/normal.ts';
import { studentCdf, studentQuantile, studentTwoSidedP } from '../../numeric/student.ts';

const { jStat } = jstat as unknown as {
  jStat: {
    normal: { cdf(x: number, m: number, s: number): number };
    chisquare: { cdf(x: number, k: number): number };
    studentt: { cdf(x: number, k: number): number; inv(p: number, k: number): number };
  };
};

test('the normal distribution agrees with jstat in the middle and with tables in the tails', () => {
  for (let z = -5; z <= 5; z += 0.37)
    expect(Math.exp(logNormalCdf(z))).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 12);
  // Abramowitz and Stegun, table 26.2: -log10 Q(x) = 44.10827 at x = 14 and 197.30921 at x = 30 (from
  // memory).
  expect(-logNormalCdf(-30) / Math.LN10).toBeCloseTo(197.30921, 4);
  expect(-logNormalCdf(-14) / Math.LN10).toBeCloseTo(44.10827, 4);
});

test('a quantile undoes the distribution', () => {
  expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 13);
  fc.assert(
    fc.property(fc.double({ min: -37, max: 0, noNaN: true }), (z) => {
      expect(normalQuantile(Math.exp(logNormalCdf(z)))).toBeCloseTo(z, 8);
    }),
  );
  expect(() => normalQuantile(Number.NaN)).toThrow('invalid p: NaN');
});

test('masses of touching intervals add up, in both tails', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -35, max: 35, noNaN: true }),
      fc.double({ min: 0.001, max: 3, noNaN: true }),
      fc.double({ min: 0.001, max: 3, noNaN: true }),
      (a, w1, w2) => {
        const parts = [logNormalMass(a, a + w1), logNormalMass(a + w1, a + w1 + w2)];
        const top = Math.max(...parts);
        const sum = top + Math.log(parts.reduce((s, p) => s + Math.exp(p - top), 0));
        expect(Math.abs(sum - logNormalMass(a, a + w1 + w2))).toBeLessThan(1e-9);
        expect(logNormalMass(-a - w1, -a)).toBeCloseTo(parts[0] as number, 9);
      },
    ),
  );
});

// jstat is good to about 2e-8 here.
test("Student's t and chi-square agree with jstat", () => {
  for (const df of [1, 2, 3, 4, 7, 30, 101]) {
    for (const t of [-3, -0.5, 0, 0.7, 2.5])
      expect(studentCdf(t, df)).toBeCloseTo(jStat.studentt.cdf(t, df), 7);
    expect(studentQuantile(0.975, df)).toBeCloseTo(jStat.studentt.inv(0.975, df), 6);
    for (const x of [0.1, 1, 5, 20])
      expect(chiSquareUpper(x, df)).toBeCloseTo(1 - jStat.chisquare.cdf(x, df), 8);
  }
  // Beyond 400 degrees of freedom the expansion takes over: no step there.
  expect(studentQuantile(0.975, 401)).toBeCloseTo(studentQuantile(0.975, 400), 4);
});

test('the two-sided p of Student’s t agrees with the closed form, and keeps its digits in the tail', () => {
  for (const df of [1, 2, 5, 17, 120])
    for (const t of [0, 0.3, 1, 2.5, 6])
      expect(studentTwoSidedP(t, df)).toBeCloseTo(2 * (1 - studentCdf(t, df)), 11);
  // One degree of freedom is Cauchy's: 1 − (2/π) atan t, 2/(πt) far out; two degrees: 1 − t/√(2 + t²), 1/t².
  expect((studentTwoSidedP(1e9, 1) * 1e9 * Math.PI) / 2).toBeCloseTo(1, 9);
  expect(studentTwoSidedP(1e6, 2) * 1e12).toBeCloseTo(1, 9);
  expect(studentTwoSidedP(2.776445105, 4)).toBeCloseTo(0.05, 9);
});
