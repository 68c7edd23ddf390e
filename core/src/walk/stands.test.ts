import { describe, expect, test } from '@jest/globals';
import { availability } from '../estimate/range/availability.ts';
import { coordinatesOf } from '../geometry/fromCoordinates.ts';
import type { Path } from '../geometry/path.ts';
import type { EventKind, WalkEvent } from '../log/event.ts';
import { findWalk, outcomeOf, walkIntervals } from './finding.ts';
import { gradeOfHits, gradeOfThroughput } from './look.ts';
import { traceWalk } from './trace.ts';
import { logOf } from '../test/logOf.ts';

const path: Path = {
  id: 'p',
  name: 'P',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 300, bearingDeg: 40, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [20, 40].map((atM) => ({ name: `post ${atM / 20}`, atM })),
  fixedEnd: { latitudeDeg: 52.97, longitudeDeg: -4 },
};
const begin = {
  baselineGrade: 5,
  direction: 'mobile-to-fixed',
  reading: { travelledM: 0, method: 'marked line', pressed: false },
  playoutDelayS: 0,
};
const log = (...entries: [number, EventKind, object][]): WalkEvent[] =>
  logOf([[0, 'begin', begin], ...entries]);
const mark = (s: number, m: number): [number, EventKind, object] => [
  s,
  'mark',
  { reading: { travelledM: m, method: 'marked line', pressed: false } },
];
const call = (
  s: number,
  checkpoint: string,
  direction: string,
  grade: number,
): [number, EventKind, object] => [s, 'call', { checkpoint, direction, grade, tries: 1 }];
const find = (events: WalkEvent[]) =>
  findWalk({ walkId: 'w', label: '1', product: 'A', path, log: events }) as NonNullable<
    ReturnType<typeof findWalk>
  >;

describe('looking at stands', () => {
  const walk = find(
    log(
      mark(10, 50),
      call(12, 'a', 'mobile-to-fixed', 5),
      call(14, 'a', 'fixed-to-mobile', 4),
      mark(16, 50),
      mark(40, 100),
      call(42, 'b', 'mobile-to-fixed', 1),
      call(44, 'b', 'fixed-to-mobile', 4),
      mark(46, 100),
      [
        50,
        'end',
        { reason: 'link failed', reading: { travelledM: 100, method: 'marked line', pressed: false } },
      ],
    ),
  );

  test('a failure lies between the last stand that held and the first that failed, each way apart', () => {
    expect(walk.directions.map((d) => d.direction)).toEqual(['mobile-to-fixed', 'fixed-to-mobile']);
    const { interval } = outcomeOf(walk, 'first dropout', 'mobile-to-fixed');
    expect(interval?.heldM).toBeGreaterThan(49);
    expect(interval?.heldM).toBeLessThanOrEqual(50);
    expect(interval?.failedM).toBeGreaterThanOrEqual(100);
    expect(interval?.failedM).toBeLessThan(101.5);
    expect(outcomeOf(walk, 'first dropout', 'fixed-to-mobile').interval?.failedM).toBeUndefined();
  });

  test('both ways is the lesser; a direction that was not walked says so', () => {
    const both = outcomeOf(walk, 'first dropout', 'both ways').interval;
    expect(both).toEqual(outcomeOf(walk, 'first dropout', 'mobile-to-fixed').interval);
    expect(walkIntervals([walk], 'first dropout')[0]).toMatchObject(both as object);
    const one = find(
      log(mark(10, 50), [12, 'dropoutBegin', {}], mark(20, 60), [30, 'end', { reason: 'time' }]),
    );
    expect(outcomeOf(one, 'first dropout', 'both ways')).toMatchObject({
      interval: undefined,
      absent: 'only mobile-to-fixed was looked at',
    });
    expect(outcomeOf(one, 'first dropout', 'fixed-to-mobile').absent).toContain('was not looked at');
  });

  test('hits and throughput become grades by their kind’s scale', () => {
    expect(
      [
        [10, 10],
        [9, 10],
        [5, 10],
        [1, 10],
        [0, 10],
      ].map(([k, n]) => gradeOfHits(k as number, n as number)),
    ).toEqual([5, 4, 3, 2, 1]);
    expect([95, 60, 12, 3, undefined].map((mbps) => gradeOfThroughput(mbps, 100))).toEqual([5, 4, 3, 2, 1]);
    const remote = find(
      log(
        mark(5, 20),
        [6, 'hits', { presses: 10, hits: 10 }],
        mark(15, 60),
        [16, 'hits', { presses: 10, hits: 2 }],
        mark(17, 60),
        [20, 'end', { reason: 'time' }],
      ),
    );
    expect(remote.trace.hits.map((h) => Math.round(h.position?.travelledM ?? 0))).toEqual([20, 60]);
    expect(outcomeOf(remote, 'last usable').interval?.failedM).toBeGreaterThanOrEqual(60);
    const router = find(
      log(
        mark(5, 20),
        [6, 'measured', { quantity: 'throughput', value: 200, direction: 'fixed-to-mobile' }],
        mark(15, 60),
        [16, 'measured', { quantity: 'throughput', value: 30, direction: 'fixed-to-mobile' }],
        mark(17, 60),
        [20, 'end', { reason: 'time' }],
      ),
    );
    expect(router.directions.map((d) => d.direction)).toEqual(['fixed-to-mobile']);
    expect(router.trace.stretches.at(-1)?.grade).toBe(3);
  });
});

describe('where a mark comes from', () => {
  const at = (m: number) =>
    coordinatesOf(
      { legs: [{ ...(path.legs[0] as Path['legs'][number]), lengthM: m }] },
      path.fixedEnd as NonNullable<Path['fixedEnd']>,
    ).at(-1);

  test('device locations are snapped to the route; coarse ones and those off it are kept but do not count', () => {
    const fix = (s: number, m: number, accuracyM: number, northDeg = 0): [number, EventKind, object] => [
      s,
      'fix',
      { latitudeDeg: (at(m)?.latitudeDeg ?? 0) + northDeg, longitudeDeg: at(m)?.longitudeDeg, accuracyM },
    ];
    const trace = traceWalk(
      log(fix(10, 30, 5), fix(20, 60, 200), fix(30, 90, 8, 0.01), [40, 'end', { reason: 'time' }]),
      { path },
    );
    expect(trace?.fixes.map((f) => Math.round(f.travelledM * 10) / 10)).toEqual([0, 30]);
    expect(trace?.fixes[1]?.uncertaintyM).toBeCloseTo(Math.hypot(5 / 2.45, 4), 2);
    expect(trace?.methods).toEqual(['satellite']);
  });

  test('a mark is remeasured by a correction, and the zero of a counter is added', () => {
    const events = log(
      [10, 'mark', { reading: { travelledM: 40, method: 'wheel', pressed: false } }],
      [
        11,
        'correction',
        {
          amends: { deviceId: 'd', seq: 2 },
          action: 'remeasure',
          reason: 'taped it',
          reading: { travelledM: 44, method: 'laser', pressed: false },
        },
      ],
    );
    expect(traceWalk(events, { path: { ...path, startOffsetM: 2 } })?.fixes.at(-1)?.travelledM).toBe(44);
    expect(
      traceWalk(events.slice(0, 2), { path: { ...path, startOffsetM: 2 } })?.fixes.at(-1)?.travelledM,
    ).toBe(42);
  });
});

test('availability counts walks, not seconds: four walks clear all the time still leave doubt', () => {
  const clear = traceWalk(
    log(mark(10, 50), mark(100, 60), [100.5, 'end', { reason: 'time' }]),
  ) as NonNullable<ReturnType<typeof traceWalk>>;
  const [bin] = availability([clear, clear, clear, clear], 60, 60);
  expect(bin).toMatchObject({ walks: 4, clearShare: 1, high: 1 });
  // Wilson's bound for four of four, 95 %: 51 %.
  expect(bin?.low).toBeCloseTo(0.51, 2);
  const half = traceWalk(
    log([5, 'dropoutBegin', {}], mark(10, 50), [10.6, 'end', { reason: 'time' }]),
  ) as NonNullable<ReturnType<typeof traceWalk>>;
  expect(availability([half], 50, 50)[0]?.clearShare).toBeCloseTo(0.44, 1);
});

describe('a reading that lasts', () => {
  const read = (s: number, more: object): [number, EventKind, object] => [
    s,
    'measured',
    { quantity: 'throughput', direction: 'fixed-to-mobile', value: 40, lastedS: 20, ...more },
  ];

  test('on the move it spans the way, and its middle is known as well as that: no stand is made of it', () => {
    const trace = traceWalk(
      log(mark(10, 20), read(40, { moving: true }), mark(50, 60), [60, 'end', { reason: 'time' }]),
    );
    const [measured] = trace?.measured ?? [];
    // One metre a second from 20 m: 30 m at its beginning, 50 m at its end.
    expect(measured?.span).toEqual({ fromM: 30, toM: 50 });
    expect(measured?.position?.travelledM).toBe(40);
    expect(measured?.position?.uncertaintyM).toBeGreaterThan(20 / Math.sqrt(12));
    expect(trace?.stands).toEqual([]);
  });

  test('by press one has stopped: one mark a stand, and the reading has its place', () => {
    const trace = traceWalk(log(mark(10, 20), read(40, {}), mark(50, 60), [60, 'end', { reason: 'time' }]));
    const [measured] = trace?.measured ?? [];
    expect([measured?.position?.travelledM, measured?.span]).toEqual([20, undefined]);
    expect(trace?.stands).toHaveLength(1);
  });
});
