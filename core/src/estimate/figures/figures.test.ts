import { describe, expect, test } from '@jest/globals';
import { readThroughput, readTrials } from '../../formats/trialsCsv.ts';
import { median } from '../../numeric/median.ts';
import fc from 'fast-check';
import { capOf, sharedCap } from './cap.ts';
import { fallOf } from './fall.ts';
import { holdAndFail, meetsNeed, parseFigureNeed } from './figureCriterion.ts';
import { crossNeed, fittedInOrder, throughputCurve, type ThroughputRow } from './figureCurve.ts';
import { partsOf } from './parts.ts';
import { likeStands, speedRatio } from './speedRatio.ts';
import { bytesOf, rateOfTransfer } from './transfer.ts';

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

  test(
    'three nearest points alike are a cap; two are not, unless they are the stated backhaul or ' +
      'shared by two products',
    () => {
      expect(capOf(rows([5, 94], [10, 92], [20, 93], [40, 60]))).toEqual({
        ...{ levelMbps: 93, points: 3, toM: 20, measured: false },
      });
      expect(capOf(rows([5, 94], [10, 92], [20, 70], [40, 60]))).toBeUndefined();
      const line = (leastMbps: number, mostMbps = leastMbps) => ({ leastMbps, mostMbps });
      expect(capOf(rows([5, 94], [10, 80]), line(95))).toMatchObject({ points: 1, measured: true });
      // What is behind it is ten times as fast: flat points are the product's own.
      expect(capOf(rows([5, 94], [10, 92], [20, 93], [40, 60]), line(900))).toBeUndefined();
      // As what is behind it was measured, from and to: far equals near, and neither says anything of the link.
      expect(capOf(rows([2, 196], [30, 152], [60, 90]), line(150, 200))).toMatchObject({
        ...{ points: 2, toM: 30, measured: true },
      });
      expect(capOf(rows([5, 0], [10, 0], [20, 0]))).toBeUndefined();
      expect(sharedCap([rows([5, 94], [10, 80]), rows([5, 92], [10, 60])])).toMatchObject({ points: 2 });
      expect(sharedCap([rows([5, 94]), rows([5, 60])])).toBeUndefined();
    },
  );

  test('a change of band or cell in mid-walk splits the readings; one that nobody noted is no change', () => {
    const at = (distanceM: number, band?: string, cell?: string) => ({ distanceM, band, cell });
    const { parts, handOvers } = partsOf([
      ...[at(5), at(10, '5 GHz'), at(20, undefined, 'hall'), at(30, '2.4 GHz', 'hall')],
      ...[at(40, '2.4 ghz'), at(50, '2.4 GHz', 'attic')],
    ]);
    expect(parts.map((p) => [p.by, p.rows.map((r) => r.distanceM)])).toEqual([
      [{ band: '5 GHz', cell: 'hall' }, [5, 10, 20]],
      [{ band: '2.4 GHz', cell: 'hall' }, [30, 40]],
      [{ band: '2.4 GHz', cell: 'attic' }, [50]],
    ]);
    expect(handOvers.map((h) => [h.last.distanceM, h.first.distanceM])).toEqual([
      [20, 30],
      [40, 50],
    ]);
  });

  test('a hand-over that the walker noticed splits what says nothing, and not what says that it is the same', () => {
    const at = (noticed: number, band?: string) => ({ noticed, band, cell: undefined });
    const split = partsOf([at(0), at(0), at(1), at(1)]);
    expect(split.parts.map((p) => p.rows.length)).toEqual([2, 2]);
    expect(split.handOvers.map((h) => h.byReadings)).toEqual([false]);
    expect(partsOf([at(0, '5 GHz'), at(1, '5 GHz')]).parts).toHaveLength(1);
    expect(partsOf([at(0, '5 GHz'), at(1, '2.4 GHz')]).handOvers.map((h) => h.byReadings)).toEqual([true]);
  });

  test('every reading is in one part, in its order, whatever was noted', () => {
    const noted = fc.option(fc.constantFrom('a', 'b'), { nil: undefined });
    fc.assert(
      fc.property(fc.array(fc.record({ band: noted, cell: noted, noticed: fc.nat(2) })), (read) => {
        const { parts, handOvers } = partsOf(read);
        expect(parts.flatMap((p) => p.rows)).toEqual(read);
        expect(handOvers.length).toBe(Math.max(0, parts.length - 1));
      }),
    );
  });

  test('a fall along the path: 620 to 300 is 52 %, 100 to 20 is 80 %; one place has none', () => {
    expect(100 * (fallOf(rows([10, 620], [800, 300]))?.share ?? 0)).toBeCloseTo(51.6, 1);
    expect(fallOf(rows([10, 100], [400, 60], [800, 20]))?.share).toBeCloseTo(0.8, 12);
    // Where it was lost nothing is left to compare.
    expect(fallOf(rows([10, 100], [400, 20], [800, 0]))).toMatchObject({ farM: 400, farMbps: 20 });
    expect(fallOf(rows([10, 100], [10, 60]))).toBeUndefined();
  });

  test('speeds at like stands: stands without a connection are left out and counted', () => {
    const walk = (...mbps: number[]) => new Map(mbps.map((m, i) => [`post ${i + 1}`, m]));
    const [a, b] = [
      [walk(90, 60, 0), walk(110, 66, 4)],
      [walk(30, 20, 10), walk(33, 22, 11)],
    ];
    const like = likeStands(a, b);
    expect(like).toEqual({ both: ['post 1', 'post 2'], connected: [2, 3], of: 3 });
    const found = speedRatio(a, b, like.both);
    expect(found?.ratio).toBeCloseTo(Math.sqrt(Math.sqrt(3 * 3 * (10 / 3) * 3)), 9);
    expect(found?.interval95?.low).toBeLessThan(found?.ratio ?? 0);
    expect(speedRatio(a.slice(0, 1), b, like.both)).toMatchObject({ walks: [1, 2], interval95: undefined });
    expect(speedRatio(a, b, [])).toBeUndefined();
  });

  test('a figure as a criterion: by the median of a stand; a bound tells one side only', () => {
    expect(parseFigureNeed('40 Mbit/s')).toEqual({ quantity: 'throughput', figure: 40 });
    expect(parseFigureNeed('−75 dBm')).toEqual({ quantity: 'level', figure: -75 });
    expect(parseFigureNeed('at most 50 ms')).toEqual({ quantity: 'round trip', figure: 50 });
    expect(parseFigureNeed('5 ms jitter').quantity).toBe('jitter');
    expect(() => parseFigureNeed('fast')).toThrow('invalid figure: "fast"');
    const need = parseFigureNeed('40 Mbit/s');
    expect(meetsNeed([{ value: 39 }, { value: 41 }, { value: 45 }], need)).toBe(true);
    expect(meetsNeed([{}], need)).toBe(false);
    expect(meetsNeed([{ value: 5, bound: 'at least' }], need)).toBeUndefined();
    expect(meetsNeed([{ value: 60, bound: 'at least' }], need)).toBe(true);
    expect(meetsNeed([{ value: 25, bound: 'below' }], need)).toBe(false);
    expect(meetsNeed([{}], parseFigureNeed('50 ms'))).toBe(false);
    const looked = [true, true, false, true, false].map((met, i) => ({ met, i }));
    expect(holdAndFail(looked)).toMatchObject({ held: { i: 3 }, failed: { i: 4 } });
    expect(holdAndFail(looked.slice(2, 3))).toMatchObject({ held: undefined, failed: { i: 2 } });
  });

  test('a transfer: 100 MB in 38 s is 21.1 Mbit/s, and MiB are no MB', () => {
    expect(rateOfTransfer(bytesOf('100 MB'), 38)).toBeCloseTo(21.05, 2);
    expect(rateOfTransfer(bytesOf('100 MiB'), 38)).toBeCloseTo(22.08, 2);
    expect(() => bytesOf('100 Mb')).toThrow('invalid size');
    expect(() => rateOfTransfer(1, 0)).toThrow('invalid seconds: 0');
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
