import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatLength, LENGTH_UNITS, metresTo, parseLength } from './length.ts';

// Factors by definition: international yard and pound agreement, 1959.
describe('lengths', () => {
  test.each([
    ['500 ft', 152.4],
    ['300 ft', 91.44],
    ['0.45 km', 450],
    ['0.40 km', 400],
    ['1,476 ft', 449.8848],
    ['90 yd', 82.296],
    ['2.86 mi', 4602.72384],
    ['100', 100],
    ['.5 KM', 500],
    ["12'", 3.6576],
  ])('%s is %d m', (text, metres) => {
    expect(parseLength(text).valueM).toBeCloseTo(metres, 9);
  });

  test.each([
    [180, 'ft', 590.6],
    [110, 'ft', 360.9],
    [450, 'ft', 1476.4],
  ] as const)('%d m is %s %d', (metres, unit, value) => {
    expect(metresTo(metres, unit)).toBeCloseTo(value, 1);
  });

  test.each(['', '100 parsecs', '1,47 ft', '1.2.3 m', '-5 m', 'ten m', '5 m 3'])(
    '%j is refused, not guessed',
    (text) => {
      expect(() => parseLength(text)).toThrow(/invalid length/);
    },
  );

  test('what is shown reads back to what was stored, to the figures shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5000, noNaN: true }),
        fc.constantFrom(...LENGTH_UNITS),
        (metres, unit) => {
          expect(Math.abs(parseLength(formatLength(metres, unit)).valueM - metres)).toBeLessThanOrEqual(
            0.0051 * metresToOne(unit) + 0.005 * metres,
          );
        },
      ),
    );
    expect(() => formatLength(Number.NaN)).toThrow('invalid valueM: NaN');
  });
});

const metresToOne = (unit: (typeof LENGTH_UNITS)[number]): number => 1 / metresTo(1, unit);
