import { describe, expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
import type { Path } from '../geometry/path.ts';
import { clopperPearson } from '../numeric/binomial.ts';
import { scaleUOf } from '../quantity/distanceMethod.ts';
import { seeded } from '../random/seeded.ts';
import { findWalk, walkIntervals } from '../walk/finding.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import { PLAIN_HABITS, scaleOfDay, standsEvery, walkAsPeopleDo, type Habits } from './walkers.ts';

const MEDIAN_M = 100;
const SPREAD = 0.25;
const WALKS = 5;
const SETS = 120;

/** Five walks of one day to a link whose median is 100 m. */
function oneDay(seed: string, habits: Habits): WalkInterval[] {
  const random = seeded('walkers', seed);
  const scale = scaleOfDay(habits.method, random);
  const path: Path = {
    id: 'p',
    name: 'P',
    condition: 'open',
    model: 'free-space',
    legs: [{ lengthM: 900, bearingDeg: 0, riseM: 0, exposure: 'open' }],
    obstructions: [],
    checkpoints: [],
  };
  return Array.from({ length: WALKS }, (_, i) => {
    const failsM = MEDIAN_M * Math.exp(SPREAD * random.normal());
    const log = walkAsPeopleDo(failsM, habits, scale, random);
    const found = findWalk({ walkId: `${i}`, label: `${i}`, product: 'A', path, log });
    return (found ? walkIntervals([found], 'last usable') : []).map((w) => ({
      ...w,
      method: habits.method,
      scaleU: scaleUOf(habits.method),
      outing: seed,
    }));
  }).flat();
}

/** How many of the sets with an interval for the median have one that holds the truth. */
function coverage(name: string, habits: Habits): { given: number; covering: number } {
  const ends = Array.from(
    { length: SETS },
    (_, i) => summariseRanges(oneDay(`${name} ${i}`, habits)).fitted[0]?.withScale95M.median,
  ).filter((e) => e !== undefined);
  return {
    given: ends.length,
    covering: ends.filter((e) => (e.low ?? 0) <= MEDIAN_M && MEDIAN_M <= (e.high ?? Infinity)).length,
  };
}

describe('walkers as they are: the published interval of the median holds the truth as often as it says', () => {
  test.each<[string, Partial<Habits>]>([
    ['one mark a stand, none on leaving', {}],
    ['stands every 20 m', { standsM: standsEvery(20, 300) }],
    ['distances by eye', { method: 'by eye' }],
    ['counted paces', { method: 'paces' }],
    ['satellite fixes', { method: 'satellite', standsM: standsEvery(20, 300) }],
    ['forgotten fields', { forgets: true }],
    ['a way back that nobody announced', { comesBack: true }],
    ['faults without a place', { unplaced: 0.3 }],
    ['a path that is too short for half of them', { standsM: standsEvery(10, 110) }],
  ])('%s', (name, more) => {
    const { given, covering } = coverage(name, { ...PLAIN_HABITS, ...more });
    expect(given).toBeGreaterThan(0.9 * SETS);
    // What 95 % could give by chance alone, once in a thousand times.
    expect(clopperPearson(covering, given, 0.998).high).toBeGreaterThanOrEqual(0.95);
  });

  test('a way back changes nothing on the way out', () => {
    const out = oneDay('same', PLAIN_HABITS);
    expect(out).toHaveLength(WALKS);
    for (const w of out) expect((w.failedM ?? 0) - w.heldM).toBeCloseTo(10, -0.5);
  });
});
