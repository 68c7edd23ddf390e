import { describe, expect, test } from '@jest/globals';
import {
  looksMisread,
  METHOD_UNCERTAINTY,
  satelliteUncertaintyM,
  travelledOf,
  uncertaintyOf,
} from './distanceMethod.ts';

describe('how a distance was come by', () => {
  test(
    'an odometer in tenths of a mile: 46.5 m (rectangular, JCGM 100 4.3.7, from memory), and half a ' +
      'step more',
    () => {
      expect(METHOD_UNCERTAINTY.odometer.independentM).toBeCloseTo(46.46, 2);
      expect(travelledOf({ travelledM: 160.9344, method: 'odometer' })).toBeCloseTo(241.4, 1);
    },
  );

  test('a satellite fix: 4 m at each end, or the browser’s accuracy ÷ 2.45, in quadrature', () => {
    expect(METHOD_UNCERTAINTY.satellite.independentM).toBeCloseTo(5.66, 2);
    expect(satelliteUncertaintyM(9.8, 9.8)).toBeCloseTo(5.66, 2);
    expect(uncertaintyOf({ travelledM: 1, method: 'satellite', uncertaintyM: 3 })).toBe(3);
  });

  test('a counter’s zero is added to what counts, and to nothing else', () => {
    expect(travelledOf({ travelledM: 40, method: 'wheel' }, 2.5)).toBe(42.5);
    expect(travelledOf({ travelledM: 40, method: 'marked line' }, 2.5)).toBe(40);
  });

  test('a figure a thousand times off its neighbours is questioned', () => {
    expect(looksMisread(0.4, [380, 420])).toBe(true);
    expect(looksMisread(400, [380, 420])).toBe(false);
    expect(looksMisread(400_000, [380])).toBe(true);
    expect(looksMisread(4, [])).toBe(false);
    expect(looksMisread(0, [5])).toBe(false);
  });
});
