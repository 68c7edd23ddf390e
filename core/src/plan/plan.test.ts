import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { approximatePower, approximateWalks, simulatePower } from './power.ts';
import { attenuatorDb, geometricMarks, nextPointM, widestStepRatio } from './steps.ts';
import { clockText, parseClock, timetable } from './timetable.ts';

describe('power by simulation', () => {
  test.each([
    [1.15, 0.2, 25],
    [1.25, 0.35, 30],
    [1.1, 0.15, 28],
  ])(
    'agrees with the normal approximation within 5 points where that holds: ratio %d, σ %d, %d walks',
    (ratio, sigma, walksEach) => {
      const { power } = simulatePower({ ratio, sigma, walksEach, stepRatio: 1.02 }, 1000, 'check');
      expect(Math.abs(power - approximatePower({ ratio, sigma, walksEach }))).toBeLessThan(0.05);
    },
  );

  test('few walks tell less than the approximation promises; coarse steps less than fine ones', () => {
    const question = { ratio: 1.3, sigma: 0.15, walksEach: 4, stepRatio: 1.03 };
    const fine = simulatePower(question, 400, 'few').power;
    expect(fine).toBeLessThan(approximatePower(question));
    expect(simulatePower({ ...question, stepRatio: 1.5 }, 400, 'few').power).toBeLessThan(fine);
    expect(simulatePower(question, 400, 'few').power).toBe(fine);
  });

  test('products that are nearly alike are told apart about as often as the test errs', () => {
    expect(
      simulatePower({ ratio: 1.0001, sigma: 0.2, walksEach: 6, stepRatio: 1.05 }, 1000, 'alike').power,
    ).toBeLessThan(0.08);
    // METHODS §10.
    expect([approximateWalks(1.5, 0.2), approximateWalks(1.5, 0.25), approximateWalks(1.25, 0.2)]).toEqual([
      5, 8, 14,
    ]);
    expect(() => simulatePower({ ratio: 1, sigma: 0.2, walksEach: 6, stepRatio: 1.05 }, 1, '')).toThrow(
      'invalid ratio: 1',
    );
  });
});

describe('steps', () => {
  test('marks are no wider apart than the root of the ratio; bisection ends when the bracket is narrow', () => {
    expect(widestStepRatio(1.21)).toBeCloseTo(1.1, 12);
    expect(widestStepRatio(1 / 1.21)).toBeCloseTo(1.1, 12);
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 200, noNaN: true }),
        fc.double({ min: 1.1, max: 6, noNaN: true }),
        fc.double({ min: 1.01, max: 1.5, noNaN: true }),
        (from, span, step) => {
          const marks = geometricMarks(from, from * span, step);
          expect(marks[0]).toBeCloseTo(from, 9);
          expect(marks.at(-1)).toBeCloseTo(from * span, 6);
          marks
            .slice(1)
            .forEach((m, i) => expect(m / (marks[i] as number)).toBeLessThanOrEqual(step * (1 + 1e-9)));
          let [held, failed, tries] = [from, from * span, 0];
          for (
            let next = nextPointM(held, failed, step);
            next !== undefined;
            next = nextPointM(held, failed, step)
          ) {
            failed = next;
            expect(++tries).toBeLessThan(20);
          }
          expect(failed / held).toBeLessThanOrEqual(step);
          held = failed;
        },
      ),
    );
  });

  test('an attenuator makes a short path do: 10 dB is ×3.162 at exponent 2', () => {
    expect(attenuatorDb(100, 316.2, 2)).toBeCloseTo(10, 2);
    expect(attenuatorDb(300, 100, 2)).toBe(0);
  });
});

test('a timetable sets up each rig once, and walks out and back', () => {
  const walks = [{ rig: 'a' }, { rig: 'b' }, { rig: 'a' }];
  const times = timetable(walks, ({ rig }) => ({ lengthM: 420, rigId: rig }), {
    startMin: parseClock('09:30'),
    setUpMin: 10,
    settleMin: 2,
  });
  expect(times.map((t) => clockText(t.fromMin))).toEqual(['09:30', '09:52', '10:14']);
  expect(times.map((t) => Math.round(t.walkingFromMin - t.fromMin))).toEqual([12, 12, 2]);
  expect(clockText(times[2]?.toMin as number)).toBe('10:26');
  expect(clockText(24 * 60 + 5)).toBe('00:05');
  expect(() => parseClock('25:00')).toThrow('invalid time: "25:00"');
});
