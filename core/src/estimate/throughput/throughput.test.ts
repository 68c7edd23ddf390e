import { describe, expect, test } from '@jest/globals';
import { readThroughput, readTrials } from '../../formats/trialsCsv.ts';
import { median } from '../../numeric/median.ts';
import {
  capOf,
  crossNeed,
  fittedInOrder,
  sharedCap,
  splitByNetwork,
  throughputCurve,
  type ThroughputRow,
} from './throughput.ts';

const rows = (...pairs: [number, number][]): ThroughputRow[] =>
  pairs.map(([distanceM, mbps]) => ({ distanceM, mbps }));

describe('throughput over distance', () => {
  test('rows at one distance share a fitted value, given in the order of the file', () => {
    const read = rows([30, 80], [10, 90], [30, 70], [20, 60]);
    // 60 at 20 m and the mean 75 of two at 30 m pool to (60 + 2 × 75)/3 = 70.
    expect(fittedInOrder(read, throughputCurve(read))).toEqual([70, 90, 70, 70]);
    expect(median([3, 1, 2, 10])).toBe(2.5);
  });

  test('the need falls between hold and fail, linear in between; absent if never crossed', () => {
    const curve = throughputCurve(rows([10, 90], [50, 60], [100, 20]));
    expect(crossNeed(curve, 40)).toEqual({ holdM: 50, failM: 100, distanceM: 75 });
    expect(crossNeed(curve, 10)).toEqual({ holdM: 100, failM: undefined, distanceM: undefined });
    expect(crossNeed(curve, 95)).toEqual({ holdM: undefined, failM: 10, distanceM: undefined });
    expect(() => crossNeed(curve, 0)).toThrow('invalid needMbps: 0');
  });

  test('three nearest points alike are a cap; two are not, unless they are the stated backhaul or shared by two products', () => {
    expect(capOf(rows([5, 94], [10, 92], [20, 93], [40, 60]))).toEqual({
      ...{ levelMbps: 93, points: 3, measured: false },
    });
    expect(capOf(rows([5, 94], [10, 92], [20, 70], [40, 60]))).toBeUndefined();
    expect(capOf(rows([5, 94], [10, 80]), 95)).toMatchObject({ points: 1, measured: true });
    // What is behind it is ten times as fast: flat points are the product's own.
    expect(capOf(rows([5, 94], [10, 92], [20, 93], [40, 60]), 900)).toBeUndefined();
    expect(sharedCap([rows([5, 94], [10, 80]), rows([5, 92], [10, 60])])).toMatchObject({ points: 2 });
    expect(sharedCap([rows([5, 94]), rows([5, 60])])).toBeUndefined();
  });

  test('a change of band in mid-walk splits the curve', () => {
    const walk = [
      { distanceM: 5, mbps: 90, network: '5 GHz' },
      { distanceM: 20, mbps: 50, network: '5 GHz' },
      { distanceM: 30, mbps: 40, network: '2.4 GHz' },
    ];
    expect(splitByNetwork(walk).map((p) => p.length)).toEqual([2, 1]);
  });

  test('files: what is wrong is named by line and column', () => {
    expect(readThroughput('throughput_mbps,distance_m\n90,5\n')).toEqual([{ distanceM: 5, mbps: 90 }]);
    expect(() => readThroughput('distance_m,throughput_mbps\n5,fast\n')).toThrow(
      'line 2, column throughput_mbps: "fast" is not a finite number',
    );
    expect(() => readThroughput('distance_m,throughput_mbps\n-5,1\n')).toThrow(
      'line 2, column distance_m: -5 is below 0',
    );
    expect(() => readTrials('distance_m,trials,successes\n5,3,4\n')).toThrow(
      'line 2, column successes: 4 of 3 trials',
    );
    expect(() => readTrials('distance_m,trials,successes\n5,2.5,1\n')).toThrow(
      'line 2, column trials: 2.5 is not a whole number',
    );
    expect(readTrials('product,distance_m,trials,successes\nA,5,3,2\n')).toEqual([
      { distanceM: 5, trials: 3, successes: 2, product: 'A' },
    ]);
  });
});
