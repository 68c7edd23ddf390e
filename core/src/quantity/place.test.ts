import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parsePlace, UnknownPoint } from './place.ts';

// METHODS §15.
test.each([
  ['40', 40, undefined, 'at'],
  ['about 40 yd', 36.576, 3.6576, 'at'],
  ['~40', 40, 4, 'at'],
  ['40ish', 40, 4, 'at'],
  ['40-ish m', 40, 4, 'at'],
  ['30-40', 35, 10 / Math.sqrt(12), 'at'],
  ['between 30 and 40 yd', 32.004, 9.144 / Math.sqrt(12), 'at'],
  ['over 100 ft', 30.48, undefined, 'over'],
  ['under 100', 100, undefined, 'under'],
  ['3.6 mi', 5793.6384, undefined, 'at'],
])('%j', (text, travelledM, uncertaintyM, side) => {
  const found = parsePlace(text, 'wheel');
  expect(found.side).toBe(side);
  expect(found.reading?.travelledM).toBeCloseTo(travelledM, 6);
  if (uncertaintyM === undefined) expect(found.reading?.uncertaintyM).toBeUndefined();
  else expect(found.reading?.uncertaintyM).toBeCloseTo(uncertaintyM, 6);
});

test('paces are counted, "?" is unknown, and words are refused', () => {
  expect(parsePlace('52 paces', 'wheel').reading).toEqual({ travelledM: 39, method: 'paces' });
  for (const text of ['?', '', ' ?? ', 'unknown', '-'])
    expect(parsePlace(text, 'wheel').reading).toBeUndefined();
  for (const text of ['far', '40 parsecs', '40-30', 'about ?'])
    expect(() => parsePlace(text, 'wheel')).toThrow(RangeError);
});

test('beside a point of the path the eye judges the rest; beside one that is not there it is refused by name', () => {
  const points = [
    { name: 'Gate', atM: 40 },
    { name: 'edge', atM: 60 },
  ];
  const at = (text: string) => parsePlace(text, 'wheel', 'm', points).reading;
  expect(at('ten feet beyond the edge')).toEqual({
    travelledM: 63.048,
    method: 'wheel',
    uncertaintyM: Math.hypot(0.05, 0.3 * 3.048),
  });
  expect(at('5 m short of the gate')?.travelledM).toBe(35);
  expect(at('about 20 past gate')?.travelledM).toBe(60);
  expect(() => at('ten feet beyond the hedge')).toThrow(UnknownPoint);
  expect(() => at('ten feet beyond the hedge')).toThrow('no point is called "hedge"');
  expect(() => at('60 m short of the gate')).toThrow(RangeError);
  expect(() => at('far beyond the gate')).toThrow(RangeError);
});

test('of "about" and the method the larger counts', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), (m) => {
      const { reading } = parsePlace(`about ${m} m`, 'satellite');
      expect(reading?.uncertaintyM).toBeCloseTo(Math.max(0.1 * m, Math.hypot(4, 4)), 9);
    }),
  );
});
