import { expect, test } from '@jest/globals';
import type { WalkInterval } from '../../walk/walkInterval.ts';
import { wallOf } from './wall.ts';

const walk = (heldM: number, failedM: number | undefined): WalkInterval => ({
  ...{ product: 'A', path: 'p', walk: '', heldM, failedM },
});
const corner = { label: 'a corner', atM: 44 };
const stands = [20, 30, 40, 50, 60];

test('half of the walks end where the path turns: the wall decides, and the median is bounded by order', () => {
  const walks = [walk(40, 50), walk(40, 50), walk(40, 50), walk(30, 40), walk(50, 60), walk(40, 50)];
  // Of six the least hold and the greatest fail.
  expect(wallOf(walks, [corner, { label: 'a gate', atM: 55 }], stands)).toEqual({
    ...{ label: 'a corner', atM: 44, walks: 4, of: 6, median95M: { low: 30, high: 60 } },
  });
  expect(wallOf(walks.slice(0, 5), [corner], stands)).toMatchObject({ walks: 3, median95M: undefined });
  expect(wallOf([walk(40, 50), walk(20, 30), walk(50, 60)], [corner], stands)).toBeUndefined();
  expect(wallOf(walks.slice(0, 2), [corner], stands)).toBeUndefined();
  expect(wallOf(walks, [], stands)).toBeUndefined();
});

test('a coarse step gathers walks by itself, and a path that ended is no wall', () => {
  const walks = [walk(30, 60), walk(30, 60), walk(30, 60), walk(20, 25)];
  expect(wallOf(walks, [corner], [20, 25, 30, 60, 66])).toBeUndefined();
  expect(
    wallOf([walk(44, undefined), walk(44, undefined), walk(44, undefined)], [corner], []),
  ).toBeUndefined();
});

test('what was noticed on the move ends there within what is known of its place', () => {
  const noticed = (m: number): WalkInterval => ({ ...walk(m, m), heldUM: 1, failedUM: 1 });
  expect(wallOf([noticed(43), noticed(45.5), noticed(60)], [corner], [])).toMatchObject({ walks: 2, of: 3 });
});
