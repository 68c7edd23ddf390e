import { describe, expect, test } from '@jest/globals';
import type { PlanPoint } from '@urvek/core';
import fc from 'fast-check';
import { planExtent, planScale } from './planScene.ts';
import { seenExtent, snapTo } from './view.ts';

const metres = fc.double({ min: -300, max: 300, noNaN: true });

describe('a plan that is pulled up and moved', () => {
  test('what lay at a px of the whole lies where the view puts that px', () => {
    fc.assert(
      fc.property(
        metres,
        metres,
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: -2000, max: 500, noNaN: true }),
        fc.double({ min: -800, max: 300, noNaN: true }),
        (east, north, k, x, y) => {
          const extent = { west: -20, east: 180, south: -40, north: 60 };
          const whole = planScale(extent, 900, 340);
          const seen = planScale(seenExtent(extent, 900, 340, { x, y, k }), 900, 340);
          expect(seen.x(east)).toBeCloseTo(x + k * whole.x(east), 5);
          expect(seen.y(north)).toBeCloseTo(y + k * whole.y(north), 5);
          expect(seen.pxPerM).toBeCloseTo(k * whole.pxPerM, 6);
        },
      ),
    );
  });

  test('a short path has ground about it still', () => {
    const { west, east, south, north } = planExtent({
      ...{ id: 'p', name: 'p', condition: 'open', model: 'two-slope', distanceMethod: 'marked line' },
      ...{ obstructions: [], checkpoints: [] },
      legs: [{ lengthM: 5, bearingDeg: 90, riseM: 0, exposure: 'open' }],
    });
    expect([east - west, north - south]).toEqual([60, 30]);
    expect((east + west) / 2).toBeCloseTo(2.5, 9);
  });
});

describe('what is drawn snaps', () => {
  test('to a place, into line, or to the grid, and never farther than it reaches', () => {
    const place = fc.tuple(metres, metres);
    fc.assert(
      fc.property(
        place,
        fc.array(place, { maxLength: 6 }),
        fc.constantFrom(0.1, 0.5),
        (at, places, gridM) => {
          const reachM = 2;
          const { at: to, to: what, by } = snapTo(at, places, reachM, gridM);
          const offs = [Math.abs(to[0] - at[0]), Math.abs(to[1] - at[1])] as const;
          for (const off of offs) expect(off).toBeLessThanOrEqual(Math.max(reachM, gridM / 2) + 1e-9);
          if (what === 'place') expect(places).toContainEqual(to);
          if (what === 'line') expect(by.some((p) => p[0] === to[0] || p[1] === to[1])).toBe(true);
          if (what === 'grid') {
            const closest = (axis: 0 | 1): number =>
              Math.min(...places.map((p) => Math.abs(p[axis] - at[axis])), Infinity);
            expect(Math.min(closest(0), closest(1))).toBeGreaterThan(reachM);
          }
        },
      ),
    );
    const corner: PlanPoint = [10, 20];
    expect(snapTo([10.4, 19.7], [corner], 1, 0.5)).toEqual({ at: [10, 20], to: 'place', by: [corner] });
    expect(snapTo([10.4, 7.3], [corner], 1, 0.5)).toEqual({ at: [10, 7.5], to: 'line', by: [corner] });
    expect(snapTo([3.3, 7.3], [corner], 1, 0.5)).toEqual({ at: [3.5, 7.5], to: 'grid', by: [] });
  });
});
