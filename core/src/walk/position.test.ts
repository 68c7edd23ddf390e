import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Leg } from '../geometry/path.ts';
import { pathPoint, separationAtM, separationRangeM } from '../geometry/separation.ts';
import { positionAt, type Fix } from './track.ts';

const leg = (lengthM: number, bearingDeg: number, riseM = 0): Leg => ({
  lengthM,
  bearingDeg,
  riseM,
  exposure: 'open',
});

describe('positions between marks', () => {
  const gap: Fix[] = [
    { atS: 0, travelledM: 0, uncertaintyM: 0, method: 'wheel' as const },
    { atS: 71, travelledM: 100, uncertaintyM: 0, method: 'wheel' as const },
  ];

  test('in the middle of a gap of 71 s the wander of a walker is 2.8 m', () => {
    expect(positionAt(gap, 35.5)?.uncertaintyM).toBeCloseTo(2.83, 2);
    expect(positionAt(gap, 35.5)?.travelledM).toBeCloseTo(50, 9);
  });

  test('it is never more than the rectangular (gap)/√12, nor outside the marks by more than a stride', () => {
    const stood: Fix[] = [
      { atS: 0, travelledM: 10, uncertaintyM: 0, method: 'wheel' as const },
      { atS: 600, travelledM: 12, uncertaintyM: 0, method: 'wheel' as const },
    ];
    expect(positionAt(stood, 300)?.uncertaintyM).toBeCloseTo(2 / Math.sqrt(12), 9);
    expect(positionAt(gap, 71.4)?.travelledM).toBe(100);
    expect(positionAt(gap, 72)).toBeUndefined();
    expect(positionAt([], 1)).toBeUndefined();
  });

  test('positions rise with time, and stay between the marks around them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.double({ min: 0, max: 80, noNaN: true })), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (steps, share) => {
          let [atS, travelledM] = [0, 0];
          const fixes: Fix[] = [
            { atS, travelledM, uncertaintyM: 0.1, method: 'wheel' as const },
            ...steps.map(([s, m]) => ({
              atS: (atS += s),
              travelledM: (travelledM += m),
              uncertaintyM: 0.1,
              method: 'wheel' as const,
            })),
          ];
          const at = share * atS;
          const [here, later] = [positionAt(fixes, at), positionAt(fixes, Math.min(atS, at + 1))];
          expect((later?.travelledM ?? 0) - (here?.travelledM ?? 0)).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
});

describe('separation', () => {
  test('is the straight line in three dimensions', () => {
    // 3-4-5: 30 m east, then 40 m north.
    expect(separationAtM({ legs: [leg(30, 90), leg(40, 0)] }, 70)).toBeCloseTo(50, 9);
    // A slope does not shorten what the wheel reads from its foot.
    expect(separationAtM({ legs: [leg(100, 45, 60)] }, 100)).toBeCloseTo(100, 9);
    expect(pathPoint({ legs: [leg(100, 45, 60)] }, 100)[2]).toBeCloseTo(60, 9);
  });

  test('on a path that comes back it is not monotonic, and the range says so', () => {
    const hairpin = { legs: [leg(100, 0), leg(20, 90), leg(100, 180)] };
    const range = separationRangeM(hairpin, 90, 215);
    expect(range.monotonic).toBe(false);
    expect(range.leastM).toBeLessThan(25);
    expect(range.greatestM).toBeCloseTo(Math.hypot(100, 20), 6);
    expect(separationRangeM({ legs: [leg(100, 0)] }, 20, 40)).toEqual({
      leastM: 20,
      greatestM: 40,
      monotonic: true,
    });
  });

  test('never exceeds what was travelled; wrong use names its value', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            lengthM: fc.double({ min: 1, max: 100, noNaN: true }),
            bearingDeg: fc.integer({ min: 0, max: 359 }),
            share: fc.double({ min: -1, max: 1, noNaN: true }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (legs, share) => {
          const path = { legs: legs.map((l) => leg(l.lengthM, l.bearingDeg, l.lengthM * l.share)) };
          const travelled = share * legs.reduce((sum, l) => sum + l.lengthM, 0);
          expect(separationAtM(path, travelled)).toBeLessThanOrEqual(travelled + 1e-6);
        },
      ),
    );
    expect(() => separationAtM({ legs: [leg(10, 0)] }, 11)).toThrow('invalid travelledM: 11');
    expect(() => separationAtM({ legs: [leg(10, 0, 11)] }, 5)).toThrow('invalid riseM: 11 over 10 m');
  });
});

test(
  'a longer path never shortens separation uncertainty: what is met over a stretch is met over ' +
    'every longer one',
  () => {
    const legs = fc
      .array(
        fc.record({
          lengthM: fc.double({ min: 1, max: 90, noNaN: true }),
          bearingDeg: fc.double({ min: 0, max: 359, noNaN: true }),
        }),
        { minLength: 1, maxLength: 5 },
      )
      .map((list) => list.map((l) => leg(l.lengthM, l.bearingDeg)));
    fc.assert(
      fc.property(
        legs,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (route, a, b, longerM) => {
          const totalM = route.reduce((sum, l) => sum + l.lengthM, 0);
          const [from, to] = [Math.min(a, b) * totalM, Math.max(a, b) * totalM];
          const [short, long] = [
            separationRangeM({ legs: route }, from, to),
            separationRangeM({ legs: [...route, leg(longerM + 1, 45)] }, from, to + longerM),
          ];
          expect(long.leastM).toBeLessThanOrEqual(short.leastM + 1e-6);
          expect(long.greatestM).toBeGreaterThanOrEqual(short.greatestM - 1e-6);
        },
      ),
    );
  },
);

test('a wheel that reads a little more than the path has does not lead off it', () => {
  expect(separationRangeM({ legs: [leg(70, 0)] }, 70.01, 70.02)).toEqual({
    leastM: 70,
    greatestM: 70,
    monotonic: true,
  });
});
