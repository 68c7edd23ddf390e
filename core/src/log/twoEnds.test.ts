import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Path } from '../geometry/path.ts';
import { seeded } from '../random/seeded.ts';
import { lateOverall } from '../walk/beaconLate.ts';
import { findWalk } from '../walk/finding.ts';
import { traceWalk } from '../walk/trace.ts';
import { fitClock } from './clock.ts';
import type { EventBodies, EventKind, WalkEvent } from './event.ts';
import { joinLogs, walkClockThere } from './joinLogs.ts';

const path: Path = {
  id: 'p',
  name: 'open',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 400, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
};

/** A device whose clock is off the true time, ms, and runs fast by a share. */
interface Device {
  readonly id: string;
  readonly offMs: number;
  readonly drift: number;
}
const clockOf = ({ offMs, drift }: Device, trueMs: number): number => offMs + trueMs * (1 + drift);

let seq = 0;
const event = <K extends EventKind>(
  device: Device,
  trueMs: number,
  kind: K,
  body: EventBodies[K],
  walkS = trueMs / 1000,
): WalkEvent =>
  ({
    walkId: 'w',
    deviceId: device.id,
    seq: ++seq,
    version: 1,
    kind,
    body,
    time: { walkS, rate: 1, inputMs: clockOf(device, trueMs), originMs: 0, wallMs: clockOf(device, trueMs) },
  }) as WalkEvent;

/**
 * Comparisons over a network whose two ways differ: the base's time is off the middle by up to half the
 * round trip.
 */
function comparisons(device: Device, seed: string, untilMs: number): WalkEvent[] {
  const random = seeded('clock', seed, device.id);
  return Array.from({ length: Math.ceil(untilMs / 30_000) }, (_, i) => {
    const trueMs = 30_000 * i + 500;
    const halfRttMs = 3 + 20 * random.uniform();
    return event(device, trueMs, 'clock', {
      baseMs: 1.7e12 + trueMs + (2 * random.uniform() - 1) * halfRttMs,
      halfRttMs,
    });
  });
}

const device = (id: string) =>
  fc.record({
    id: fc.constant(id),
    offMs: fc.double({ min: -5e6, max: 5e6, noNaN: true }),
    drift: fc.double({ min: -80e-6, max: 80e-6, noNaN: true }),
  });

describe('two clocks', () => {
  test('whatever their offset and drift, an event comes within its stated uncertainty on the walk’s clock', () => {
    let [inside, all] = [0, 0];
    fc.assert(
      fc.property(
        device('walker'),
        device('base'),
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0, max: 600_000, noNaN: true }),
        (walker, base, seed, trueMs) => {
          const log = [
            event(walker, 0, 'begin', {
              baselineGrade: 5,
              direction: 'fixed-to-mobile',
              reading: { travelledM: 0, method: 'wheel', pressed: false },
              playoutDelayS: 0,
            }),
            ...comparisons(walker, String(seed), 600_000),
            ...comparisons(base, String(seed), 600_000),
            event(base, 10, 'joined', { role: 'base', direction: 'mobile-to-fixed' }),
            event(base, trueMs, 'grade', { grade: 3 }),
            event(walker, 600_000, 'end', { reason: 'time' }),
          ];
          const {
            log: joined,
            joined: [how],
          } = joinLogs(log);
          const off = Math.abs((joined.find((e) => e.kind === 'grade')?.time.walkS ?? 0) - trueMs / 1000);
          expect(how).toMatchObject({ role: 'base', by: 'clocks compared' });
          expect(how?.uncertaintyS).toBeLessThan(0.05);
          expect(off).toBeLessThan(4 * (how?.uncertaintyS ?? 0));
          if (off <= 2 * (how?.uncertaintyS ?? 0)) inside++;
          all++;
        },
      ),
      { numRuns: 150 },
    );
    expect(inside / all).toBeGreaterThan(0.95);
  });

  test('a shared moment does where there is no network, and says how well; else wall clocks, poorly', () => {
    const [walker, base] = [
      { id: 'walker', offMs: 0, drift: 0 },
      { id: 'base', offMs: 9e5, drift: 0 },
    ];
    const begin = event(walker, 0, 'begin', {
      baselineGrade: 5,
      direction: 'fixed-to-mobile',
      reading: { travelledM: 0, method: 'wheel', pressed: false },
      playoutDelayS: 0,
    });
    const join = event(base, 0, 'joined', { role: 'base', direction: 'mobile-to-fixed' });
    const grade = event(base, 50_000, 'grade', { grade: 2 });
    const shared = [
      event(walker, 5_100, 'shared', { count: 1 }),
      event(base, 5_000, 'shared', { count: 1 }),
      event(base, 90_000, 'shared', { count: 2 }),
      event(walker, 89_900, 'shared', { count: 2 }),
    ];
    const by = joinLogs([begin, join, grade, ...shared]);
    expect(by.joined[0]).toMatchObject({ by: 'shared moment' });
    expect(by.joined[0]?.uncertaintyS).toBeCloseTo((0.2 * Math.SQRT2) / Math.SQRT2, 1);
    expect(by.log.find((e) => e.kind === 'grade')?.time.walkS).toBeCloseTo(50, 1);
    expect(joinLogs([begin, join, grade]).joined[0]).toMatchObject({ by: 'wall clocks', uncertaintyS: 2 });
  });

  test('without a network the beacon that was read does, late by what nobody knows; latency is not told of it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5e6, max: 5e6, noNaN: true }),
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        (offMs, lateS) => {
          const [walker, base] = [
            { id: 'walker', offMs: 0, drift: 0 },
            { id: 'base', offMs, drift: 0 },
          ];
          const log = [
            event(walker, 0, 'begin', { baselineGrade: 5, direction: 'mobile-to-fixed' }),
            event(base, 100, 'joined', { role: 'base', direction: 'mobile-to-fixed' }),
            ...[2000, 4000, 6000].map((ms) =>
              event(base, ms, 'beacon', { sentS: ms / 1000 - lateS, uS: 0.002, codes: 9 }, 0),
            ),
            event(base, 50_000, 'grade', { grade: 2 }, 0),
          ];
          const { joined, log: all } = joinLogs(log);
          expect(joined[0]?.by).toBe('beacon');
          const off = Math.abs((all.find((e) => e.kind === 'grade')?.time.walkS ?? NaN) - 50);
          expect(off).toBeLessThanOrEqual(0.5);
          expect(joined[0]?.uncertaintyS).toBeCloseTo(1 / Math.sqrt(12), 9);
          expect(traceWalk(log)?.late).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('where both clocks are compared, the beacon tells how late the picture comes, within what is stated', () => {
    let [inside, all] = [0, 0];
    fc.assert(
      fc.property(
        device('walker'),
        device('base'),
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        (walker, base, seed, lateS) => {
          const log = [
            event(walker, 0, 'begin', { baselineGrade: 5, direction: 'mobile-to-fixed' }),
            ...comparisons(walker, String(seed), 300_000),
            ...comparisons(base, String(seed), 300_000),
            event(base, 10, 'joined', { role: 'base', direction: 'mobile-to-fixed' }),
            ...[20_000, 90_000, 200_000].map((ms) =>
              event(base, ms, 'beacon', { sentS: ms / 1000 - lateS, uS: 0.002, codes: 9 }, 0),
            ),
            event(walker, 300_000, 'end', { reason: 'time' }),
          ];
          const late = traceWalk(log)?.late ?? [];
          expect(late).toHaveLength(3);
          const own = log.filter((e) => e.deviceId === walker.id);
          const there = walkClockThere(
            log.filter((e) => e.deviceId === base.id),
            own,
          );
          for (const l of late) {
            const off = Math.abs(l.lateS - lateS);
            expect(off).toBeLessThan(4 * l.uS);
            if (off <= 2 * l.uS) inside++;
            all++;
            // What the receiving end knows while one walks is the same.
            const now = there?.at(clockOf(base, 1000 * l.atS));
            expect(Math.abs((now?.walkS ?? NaN) - l.atS)).toBeLessThan(0.2);
          }
          const overall = lateOverall(late);
          expect(overall?.leastS).toBeLessThanOrEqual(overall?.medianS ?? NaN);
          expect(overall?.medianS).toBeLessThanOrEqual(overall?.mostS ?? NaN);
        },
      ),
      { numRuns: 60 },
    );
    expect(inside / all).toBeGreaterThan(0.95);
    expect(lateOverall([])).toBeUndefined();
    expect(walkClockThere([], [])).toBeUndefined();
  });

  test('the other way round, the walk’s own device reads what a joined one showed: its clock counts', () => {
    const [walker, base] = [
      { id: 'walker', offMs: 0, drift: 0 },
      { id: 'base', offMs: 77_000, drift: 0 },
    ];
    const log = [
      event(walker, 0, 'begin', { baselineGrade: 5, direction: 'fixed-to-mobile' }),
      event(walker, 500, 'clock', { baseMs: 500, halfRttMs: 4 }),
      event(base, 500, 'clock', { baseMs: 500, halfRttMs: 4 }),
      event(base, 600, 'joined', { role: 'base', direction: 'fixed-to-mobile' }),
      event(walker, 9000, 'beacon', { carriedBy: 'sound', sentS: 8.9, uS: 0.002, codes: 9 }),
    ];
    const late = traceWalk(log)?.late ?? [];
    expect(late.map((l) => l.atS)).toEqual([9]);
    expect(late[0]?.lateS).toBeCloseTo(0.1, 6);
    // Nobody joined: whose clock it was is not known.
    expect(traceWalk(log.filter((e) => e.deviceId === walker.id))?.late).toEqual([]);
  });

  test('one comparison gives an offset that grows less certain; none gives nothing', () => {
    expect(fitClock([])).toBeUndefined();
    const fit = fitClock([{ deviceMs: 1000, baseMs: 51_000, halfRttMs: 10 }]);
    expect(fit?.offsetAt(1000).offsetMs).toBe(50_000);
    expect(fit?.offsetAt(3_601_000).uncertaintyMs).toBeGreaterThan(300);
  });
});

describe('two logs', () => {
  const [walker, base] = [
    { id: 'walker', offMs: 0, drift: 0 },
    { id: 'base', offMs: 123_456, drift: 0 },
  ];
  const out = (direction: 'mobile-to-fixed' | 'fixed-to-mobile'): WalkEvent[] => [
    event(walker, 0, 'begin', {
      baselineGrade: 5,
      direction,
      reading: { travelledM: 0, method: 'marked line', pressed: false },
      playoutDelayS: 0,
    }),
    event(walker, 600, 'clock', { baseMs: 600, halfRttMs: 5 }),
    event(base, 600, 'clock', { baseMs: 600, halfRttMs: 5 }),
    event(base, 700, 'joined', { role: 'base', direction: 'mobile-to-fixed' }),
    ...[50, 100, 150, 200].map((m) =>
      event(walker, m * 1000, 'mark', { reading: { travelledM: m, method: 'marked line', pressed: false } }),
    ),
    event(walker, 200_000, 'end', { reason: 'time' }),
  ];
  const find = (log: readonly WalkEvent[]) => findWalk({ walkId: 'w', label: '1', product: 'A', path, log });
  const dropout = (of: ReturnType<typeof find>, direction: string) =>
    of?.directions
      .find((d) => d.direction === direction)
      ?.outcomes.find((o) => o.criterion === 'first dropout')?.interval;

  test('the walker says where, the base what it hears: the base’s dropout stands at the walker’s place', () => {
    const found = find([...out('mobile-to-fixed'), event(base, 120_600, 'dropoutBegin', {})]);
    const interval = dropout(found, 'mobile-to-fixed');
    expect(interval).toMatchObject({ heldM: 120, failedM: 120 });
    expect(interval?.failedUM).toBeLessThan(5);
    expect(found?.seconds).toEqual([]);
  });

  test('each watches its own direction: both stand, and both ways is the lesser', () => {
    const found = find([
      ...out('fixed-to-mobile'),
      event(walker, 160_600, 'dropoutBegin', {}),
      event(base, 120_600, 'dropoutBegin', {}),
    ]);
    expect(dropout(found, 'fixed-to-mobile')?.heldM).toBeGreaterThan(150);
    expect(dropout(found, 'mobile-to-fixed')?.failedM).toBeLessThan(130);
  });

  test('both watch one direction and disagree: side by side, the walk’s own device standing, no average', () => {
    const found = find([
      ...out('mobile-to-fixed'),
      event(walker, 160_600, 'dropoutBegin', {}),
      event(base, 120_600, 'dropoutBegin', {}),
    ]);
    expect(dropout(found, 'mobile-to-fixed')?.heldM).toBeGreaterThan(150);
    expect(found?.seconds).toHaveLength(1);
    expect(
      found?.seconds[0]?.outcomes.find((o) => o.criterion === 'first dropout')?.interval?.failedM,
    ).toBeLessThan(130);
  });

  test('a device that did not join, correcting at a desk, is on no other clock', () => {
    const desk = { id: 'desk', offMs: 5e7, drift: 0 };
    const log = [
      ...out('mobile-to-fixed').filter((e) => e.deviceId === 'walker'),
      event(desk, 300_000, 'note', { text: 'later' }, 12),
    ];
    expect(joinLogs(log).log.find((e) => e.kind === 'note')?.time.walkS).toBe(12);
  });

  test(
    'where simulated gear plays 20 times as fast, the joined device’s reaction is 20 times as long ' +
      'on the walk’s clock',
    () => {
      const fast = (e: WalkEvent, trueMs: number): WalkEvent => ({
        ...e,
        time: { ...e.time, walkS: trueMs / 50, rate: 20 },
      });
      const log = out('mobile-to-fixed').map((e) => (e.deviceId === 'walker' ? fast(e, e.time.inputMs) : e));
      const pressed = joinLogs([...log, event(base, 5_000, 'dropoutBegin', {})]).log.find(
        (e) => e.kind === 'dropoutBegin',
      );
      expect(pressed?.time.rate).toBe(20);
      expect(pressed?.time.walkS).toBeCloseTo(100, 0);
    },
  );
});
