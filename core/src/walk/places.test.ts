import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Path } from '../geometry/path.ts';
import type { Criterion } from '../grade/criterion.ts';
import type { EventKind } from '../log/event.ts';
import { findWalk, outcomeOf, type WalkFinding } from './finding.ts';
import { censoringOf } from './walkInterval.ts';
import { logOf } from '../test/logOf.ts';

const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 3000, bearingDeg: 40, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};
type Entry = readonly [number, EventKind, object?];
const at = (m: number, method = 'marked line') => ({
  reading: { travelledM: m, method, pressed: true },
});
const begin = (mode: string, more: object = {}): Entry => [
  0,
  'begin',
  {
    baselineGrade: 5,
    direction: 'mobile-to-fixed',
    reading: { travelledM: 0, method: 'marked line', pressed: false },
    mode,
    ...more,
  },
];
const find = (...entries: Entry[]): WalkFinding =>
  findWalk({ walkId: 'w', label: '1', product: 'A', path, log: logOf(entries) }) as WalkFinding;
const intervalOf = (walk: WalkFinding, criterion: Criterion) => {
  const { interval } = outcomeOf(walk, criterion);
  return interval && [interval.heldM, interval.failedM];
};
const hits = (s: number, k: number, n: number): Entry => [s, 'hits', { hits: k, presses: n }];

// The worked values of METHODS §14.
describe('one mark a stand', () => {
  test('counting twenty seconds at each, all answered to 30 m and none at 40: (30, 40]', () => {
    const stand = (i: number, k: number): Entry[] => [
      [30 * i, 'mark', at(10 * i)],
      ...[5, 10, 15, 20].map((s) => hits(30 * i + s, k, 3)),
    ];
    for (const mode of ['hits', 'continuous']) {
      const walk = find(begin(mode), ...stand(1, 3), ...stand(2, 3), ...stand(3, 3), ...stand(4, 0), [
        150,
        'end',
        { reason: 'time' },
      ]);
      expect(intervalOf(walk, 'last usable')).toEqual([30, 40]);
      expect(intervalOf(walk, 'first dropout')).toEqual([30, 40]);
      expect(walk.trace.hits.map((h) => h.position?.travelledM)).toEqual(
        [10, 20, 30, 40].flatMap((m) => [m, m, m, m]),
      );
      expect(walk.summary.atStands).toEqual({
        usable: 3,
        stands: 4,
        longest: { stands: 3, fromM: 10, toM: 30 },
      });
      expect(walk.summary.usableShare).toBeUndefined();
    }
  });

  test('readings at a stand have its place, however long one stands', () => {
    const read = (s: number, value: number): Entry => [
      s,
      'measured',
      { quantity: 'throughput', value, direction: 'fixed-to-mobile' },
    ];
    const walk = find(
      begin('continuous', { direction: 'fixed-to-mobile' }),
      [10, 'mark', at(5)],
      ...[20, 30, 40].map((s) => read(s, 90)),
      [60, 'mark', at(40)],
      read(70, 30),
      [80, 'end', { reason: 'time' }],
    );
    expect(walk.trace.measured.map((m) => m.position?.travelledM)).toEqual([5, 5, 5, 40]);
  });

  test('3 of 3 at 100 m and 1 of 3 at 200 m: both stands are kept, and half is lost between', () => {
    const walk = find(
      begin('hits'),
      [60, 'mark', at(100)],
      hits(70, 3, 3),
      [130, 'mark', at(200)],
      hits(140, 1, 3),
      [150, 'end', { reason: 'time' }],
    );
    expect(walk.trace.looks.map((l) => [l.place?.travelledM, l.best])).toEqual([
      [0, 5],
      [100, 5],
      [200, 2],
    ]);
    expect(intervalOf(walk, 'last usable')).toEqual([100, 200]);
  });

  test('"I stand here" and "I go on" hold in any mode; on the move a place is interpolated', () => {
    const walk = find(
      begin('continuous'),
      [50, 'mark', { ...at(50), stand: true }],
      [80, 'dropoutBegin'],
      [90, 'dropoutEnd'],
      [100, 'goOn'],
      [120.6, 'dropoutBegin'],
      [150, 'mark', at(100)],
      [151, 'end', { reason: 'time' }],
    );
    const [first, second] = walk.summary.dropouts;
    expect([first?.fromM, first?.toM]).toEqual([50, 50]);
    expect(second?.fromM).toBeCloseTo(70, 6);
  });

  test('arrival and departure are one stand, and its end is no place of its own', () => {
    const call = (s: number, grade: number): Entry => [
      s,
      'call',
      { checkpoint: 'gate', direction: 'mobile-to-fixed', grade, tries: 1 },
    ];
    const walk = find(
      begin('stop and call'),
      [30, 'mark', at(50)],
      call(40, 5),
      [50, 'mark', at(50.1)],
      [90, 'mark', at(100)],
      call(95, 1),
      call(99, 3),
      [120, 'end', { reason: 'time' }],
    );
    expect(walk.trace.stands.map((s) => s.place?.travelledM)).toEqual([50, 100]);
    // One call of two came through: a fade, not the limit; but usable it is not.
    expect(intervalOf(walk, 'last usable')).toEqual([50, 100]);
    expect(intervalOf(walk, 'lost')).toEqual([100, undefined]);
  });
});

describe('the way back', () => {
  const called = (...grades: (readonly [number, number])[]): Entry[] =>
    grades.flatMap(([m, grade], i): Entry[] => [
      [60 * (i + 1), 'mark', at(m)],
      [60 * (i + 1) + 5, 'call', { checkpoint: `${m}`, direction: 'mobile-to-fixed', grade, tries: 1 }],
    ]);

  test('distances that fall are a turn, also where nobody logged one', () => {
    const walk = find(
      begin('stop and call'),
      ...called([50, 5], [100, 5], [150, 1], [199, 1], [150, 1], [100, 5], [50, 5]),
      [600, 'end', { reason: 'path ended' }],
    );
    expect(walk.trace.turnInferred).toBe(true);
    expect(intervalOf(walk, 'last usable')).toEqual([100, 150]);
    expect(intervalOf(walk, 'self-regain')).toEqual([100, 150]);
  });

  test('a walk that begins out of reach and comes in tells where it was first reached, and nothing else', () => {
    const walk = find(
      begin('stop and call', { baselineGrade: 1, ...at(300) }),
      ...called([250, 1], [200, 2], [150, 4], [100, 5]),
      [600, 'end', { reason: 'path ended' }],
    );
    expect(walk.trace.inwards).toBe(true);
    expect(intervalOf(walk, 'first reached')).toEqual([150, 200]);
    expect(outcomeOf(walk, 'lost').absent).toContain('inwards');
    const out = find(begin('stop and call'), ...called([50, 5]), [90, 'end', { reason: 'time' }]);
    expect(outcomeOf(out, 'first reached').absent).toContain('did not begin out of reach');
  });
});

describe('a failure that nobody placed', () => {
  test('lies beyond the last good stand, up to the farthest place that was reached, and never holds', () => {
    const call = (s: number, grade: number): Entry => [
      s,
      'call',
      { checkpoint: '?', direction: 'mobile-to-fixed', grade, tries: 1 },
    ];
    const walk = find(
      begin('stop and call'),
      [30, 'mark', at(30)],
      call(35, 5),
      [60, 'mark', { name: 'beyond the hedge' }],
      call(65, 1),
      [90, 'end', { reason: 'time', ...at(120) }],
    );
    expect(outcomeOf(walk, 'last usable').interval).toMatchObject({
      heldM: 30,
      failedM: 120,
      unplaced: true,
    });
    expect(outcomeOf(walk, 'last usable').between).toEqual({ held: '?', failed: 'beyond the hedge' });
    const nowhere = find(
      begin('stop and call'),
      [30, 'mark', at(30)],
      call(35, 5),
      [60, 'mark'],
      call(65, 1),
      [90, 'end', { reason: 'link failed' }],
    );
    expect(outcomeOf(nowhere, 'last usable').interval).toMatchObject({
      heldM: 30,
      failedM: undefined,
      unplaced: true,
    });
  });

  test('on a walk with no mark after it, it lies beyond the last mark', () => {
    const walk = find(
      begin('continuous'),
      [40, 'mark', at(50)],
      [70, 'dropoutBegin'],
      [90, 'end', { reason: 'time' }],
    );
    expect(outcomeOf(walk, 'first dropout').interval).toMatchObject({
      heldM: 50,
      failedM: undefined,
      unplaced: true,
    });
  });
});

describe('what is not stated', () => {
  test('a beginning that nobody graded says nothing but what "lost" presupposes', () => {
    const walk = find(
      begin('continuous', { baselineGrade: undefined }),
      [50, 'mark', at(50)],
      [60.6, 'dropoutBegin'],
      [100, 'mark', at(100)],
      [101, 'end', { reason: 'link failed' }],
    );
    expect(intervalOf(walk, 'first dropout')).toEqual([60, 60]);
    expect(intervalOf(walk, 'last usable')?.[0]).toBe(0);
    expect(walk.trace.stretches[0]?.stated).toBe(false);
  });

  test('a beginning at an unknown place, and one that stands elsewhere', () => {
    const walk = find(
      begin('continuous', { reading: undefined }),
      [50, 'mark', at(50)],
      [60.6, 'dropoutBegin'],
      [100, 'mark', at(100)],
      [101, 'end', { reason: 'time' }],
    );
    expect(walk.trace.fixes[0]?.travelledM).toBe(50);
    expect(intervalOf(walk, 'first dropout')).toEqual([60, 60]);
    const yards = find(
      begin('continuous', at(10)),
      [10, 'dropoutBegin'],
      [20, 'mark', at(30)],
      [21, 'end', { reason: 'time' }],
    );
    expect(intervalOf(yards, 'first dropout')?.[0]).toBeCloseTo(19.4, 6);
  });
});

test('an odometer is not narrowed by the moment of a press: the interval is its step', () => {
  const mile = 1609.344;
  const walk = find(
    begin('drive', { reading: { travelledM: 0, method: 'odometer', pressed: false } }),
    [100, 'mark', at(0.8 * mile, 'odometer')],
    [105, 'dropoutBegin'],
    [112, 'mark', at(0.9 * mile, 'odometer')],
    [113, 'end', { reason: 'time' }],
  );
  const { interval } = outcomeOf(walk, 'first dropout');
  // It truncates: half a step is added to each reading, and each is known to step/√12.
  const half = 0.05 * mile;
  expect(interval?.heldM).toBeCloseTo(1287.4752 + half, 6);
  expect(interval?.failedM).toBeCloseTo(1448.4096 + half, 6);
  expect(interval?.failedUM).toBeGreaterThan(46.45);
});

test('separation is counted from where the fixed end stands', () => {
  const walk = find(
    begin('stop and call'),
    [30, 'mark', at(50)],
    [35, 'call', { checkpoint: 'a', direction: 'mobile-to-fixed', grade: 5, tries: 1 }],
    [40, 'fixedEnd', at(20)],
    [90, 'mark', at(100)],
    [95, 'call', { checkpoint: 'b', direction: 'mobile-to-fixed', grade: 1, tries: 3 }],
    [100, 'end', { reason: 'time' }],
  );
  expect(intervalOf(walk, 'lost')).toEqual([50, 80]);
});

test('rungs, tries and words read back are looks like any other', () => {
  const direction = 'mobile-to-fixed';
  const walk = find(
    begin('ladder'),
    [30, 'mark', at(50)],
    [31, 'rung', { rung: 'voice', worked: true, direction }],
    [60, 'mark', at(100)],
    [61, 'rung', { rung: 'voice', worked: false, direction }],
    [62, 'rung', { rung: 'tone', worked: true, direction }],
    [90, 'mark', at(150)],
    [91, 'tried', { tries: 3, failed: 3 }],
    [100, 'end', { reason: 'time' }],
  );
  expect(intervalOf(walk, 'last usable')).toEqual([50, 100]);
  expect(intervalOf(walk, 'lost')).toEqual([100, 150]);
  const words = find(
    begin('read-back'),
    [30, 'mark', at(50)],
    [31, 'readBack', { sent: 'amber 12 candle', heard: 'amber 12 candle', direction }],
    [60, 'mark', at(100)],
    [61, 'readBack', { sent: 'amber 12 candle', heard: 'amber', direction }],
    [100, 'end', { reason: 'time' }],
  );
  expect(intervalOf(words, 'last usable')).toEqual([50, 100]);
});

test('whatever moments are pressed, no outcome is an interval that holds no distance', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.constantFrom(0, 0.01, 0.4, 1, 5, 20), fc.constantFrom('dropoutBegin', 'dropoutEnd')),
        {
          minLength: 1,
          maxLength: 6,
        },
      ),
      fc.constantFrom(0, 0.3, 40),
      (presses, markM) => {
        const timed = presses
          .toSorted(([a], [b]) => a - b)
          .map(([s, kind]): Entry => [s, kind as 'dropoutBegin', {}]);
        const walk = find(
          begin('continuous'),
          ...timed,
          [30, 'mark', at(markM)],
          [60, 'end', { reason: 'time' }],
        );
        for (const { interval } of walk.outcomes) if (interval) censoringOf(interval);
      },
    ),
  );
  const early = find(
    begin('continuous'),
    [0.3, 'dropoutBegin'],
    [30, 'mark', at(40)],
    [60, 'end', { reason: 'time' }],
  );
  expect(outcomeOf(early, 'first dropout').absent).toContain('failed at the zero point');
});
