import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Path } from '../geometry/path.ts';
import { effectiveLog, lastUndoable } from '../log/effectiveLog.ts';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import { outcomesOf, type Outcome } from './outcome.ts';
import { traceWalk } from './trace.ts';
import { summariseWalk } from './walkSummary.ts';
import { logOf } from '../test/logOf.ts';

const path: Pick<Path, 'legs'> = { legs: [{ lengthM: 400, bearingDeg: 90, riseM: 0, exposure: 'open' }] };

const wheel = (travelledM: number): EventBodies['mark'] => ({
  reading: { travelledM, method: 'wheel', pressed: false },
});
const begin = {
  baselineGrade: 5,
  direction: 'mobile-to-fixed',
  reading: { travelledM: 0, method: 'marked line', pressed: false },
  playoutDelayS: 0,
};
const marks = (fromS: number, toS: number, at: (s: number) => number): [number, EventKind, object][] =>
  Array.from({ length: Math.floor((toS - fromS) / 5) }, (_, i) => [
    fromS + 5 * i,
    'mark',
    wheel(at(fromS + 5 * i)),
  ]);
const out = (events: readonly (readonly [number, EventKind, object?])[], turnS = 200): WalkEvent[] =>
  logOf([
    [0, 'begin', begin],
    ...marks(5, turnS, (s) => s),
    ...events,
    [turnS, 'turn', wheel(turnS)],
    ...marks(turnS + 5, 2 * turnS, (s) => 2 * turnS - s),
    [2 * turnS, 'end', { reason: 'path ended', ...wheel(0) }],
  ] as const);
const outcomes = (log: readonly WalkEvent[]): Record<string, Outcome> => {
  const trace = traceWalk(log);
  return Object.fromEntries(trace ? outcomesOf(trace, path).map((o) => [o.criterion, o]) : []);
};

describe('from events to outcomes', () => {
  test('a dropout is placed at the moment it happened, not when it was pressed', () => {
    const { 'first dropout': dropout } = outcomes(
      out([
        [100.6, 'dropoutBegin'],
        [110, 'dropoutEnd'],
      ]),
    );
    const { heldM = 0, failedM = 0 } = dropout?.interval ?? {};
    // At 1 m/s and 0.6 s of reaction: 100 m, one place, with the uncertainty of marks, gait and press.
    expect(heldM).toBeCloseTo(100, 6);
    expect(failedM).toBe(heldM);
    expect(dropout?.interval?.failedUM).toBeGreaterThan(0.2);
    expect(dropout?.interval?.failedUM).toBeLessThan(2);
  });

  test('playback at a higher rate makes the same reaction cost more distance', () => {
    const slow = outcomes(out([[100, 'dropoutBegin']]))['first dropout']?.interval;
    const fast = outcomes(
      out([[100, 'dropoutBegin']]).map((e) => ({ ...e, time: { ...e.time, rate: 10 } }) as WalkEvent),
    )['first dropout']?.interval;
    expect((slow?.heldM ?? 0) - (fast?.heldM ?? 0)).toBeGreaterThan(5.4 - 1);
    expect(fast?.failedUM).toBeGreaterThan(slow?.failedUM ?? Infinity);
  });

  test('a path that ends first bounds from below, and only then', () => {
    const held = outcomes(out([]));
    expect(held['first dropout']?.interval?.failedM).toBeUndefined();
    expect(held['first dropout']?.interval?.heldM).toBeGreaterThan(199);
    expect(held['first dropout']?.interval?.heldM).toBeLessThanOrEqual(200);
    expect(held['self-regain']).toMatchObject({ interval: undefined, absent: 'never lost at the turn' });
  });

  test('stopping because the link failed is a failure, not the end of the path', () => {
    const log = logOf([
      [0, 'begin', begin],
      ...marks(5, 100, (s) => s),
      [100, 'end', { reason: 'link failed', ...wheel(100) }],
    ]);
    expect(outcomes(log).lost).toMatchObject({ absent: undefined });
    expect(traceWalk(log)?.stretches.at(-1)?.grade).toBe(1);
  });

  test('coverage that comes back separates first dropout from last usable', () => {
    const result = outcomes(
      out([
        [80, 'dropoutBegin'],
        [95, 'dropoutEnd'],
        [150, 'grade', { grade: 2 }],
        [170, 'dropoutBegin'],
      ]),
    );
    expect(result['first dropout']?.interval?.failedM).toBeLessThan(82);
    expect(result['last usable']?.interval?.heldM).toBeGreaterThan(145);
    expect(result.lost?.interval?.heldM).toBeGreaterThan(165);
  });

  test('regain joins the nearest place still lost with the first clear one; a reset ends the wait', () => {
    // Lost from 180 m on; turned at 200 m (200 s); clear again at 240 s, which is 160 m on the way back.
    const regained = outcomes(
      out([
        [180, 'dropoutBegin'],
        [240.6, 'dropoutEnd'],
      ]),
    )['self-regain']?.interval;
    expect(regained).toMatchObject({ heldM: 160, failedM: 160 });
    expect(regained?.failedUM).toBeLessThan(2);
    const reset = outcomes(
      out([
        [180, 'dropoutBegin'],
        [240.6, 'reconnected', { how: 'after power-cycle' }],
      ]),
    );
    expect(reset['self-regain']?.interval?.heldM).toBe(0);
    expect(reset['self-regain']?.interval?.failedM).toBeGreaterThan(159);
    expect(reset['reconnect after a reset']?.interval?.heldM).toBe(160);
    expect(
      traceWalk(
        out([
          [180, 'dropoutBegin'],
          [240.6, 'reconnected', { how: 'after power-cycle' }],
        ]),
      )?.reconnections[0]?.afterS,
    ).toBeCloseTo(60.6, 6);
  });

  test('a failure without a mark around it, or at the zero point, has no distance', () => {
    const noMarks = outcomes(
      logOf([
        [0, 'begin', begin],
        [50, 'dropoutBegin'],
        [60, 'end', { reason: 'time' }],
      ]),
    );
    expect(noMarks['first dropout']).toMatchObject({
      interval: undefined,
      absent: 'it failed, at a place that nobody knows',
    });
    const atZero = outcomes(
      logOf([
        [0, 'begin', { ...begin, baselineGrade: 1 }],
        ...marks(5, 50, (s) => s),
        [50, 'end', { reason: 'time' }],
      ]),
    );
    expect(atZero['first dropout']?.absent).toContain('check cable, battery and channel');
  });

  test('dropouts are counted once, across the turn too', () => {
    const trace = traceWalk(
      out([
        [50.6, 'dropoutBegin'],
        [60.6, 'dropoutEnd'],
        [190.6, 'dropoutBegin'],
        [230.6, 'dropoutEnd'],
      ]),
    );
    const summary = summariseWalk(trace as NonNullable<typeof trace>);
    expect(summary.dropouts).toHaveLength(2);
    expect(summary.lostS).toBeCloseTo(50, 6);
    expect(summary.longestDropoutS).toBeCloseTo(40, 6);
    expect(summary.usableShare).toBeCloseTo(1 - 20 / 200, 2);
  });
});

test('at a frame that stands still nobody reacts, and a press in play does not overtake it', () => {
  const filmed = logOf([
    [0, 'begin', { ...begin, reading: { travelledM: 0, method: 'wheel', pressed: true } }],
    [50, 'dropoutBegin'],
    [50.3, 'dropoutEnd'],
    [100, 'mark', { reading: { travelledM: 100, method: 'wheel', pressed: true } }],
    [100, 'end', { reason: 'time' }],
  ]).map((e) => (e.kind === 'dropoutBegin' ? { ...e, time: { ...e.time, frameS: 0.04 } } : e) as WalkEvent);
  const trace = traceWalk(filmed);
  const lost = trace?.noticed.find((s) => s.grade === 1);
  // 0.3 s later in play is 0.3 s before by the usual reaction of 0.6 s.
  expect([lost?.fromS, lost?.toS, lost?.frameS]).toEqual([50, 50, 0.04]);
  const pressed = outcomes(
    filmed.map((e) => ({ ...e, time: { ...e.time, frameS: undefined } }) as WalkEvent),
  );
  const exact = outcomes(filmed);
  expect(exact['first dropout']?.interval?.failedM).toBeCloseTo(50, 6);
  expect(exact['first dropout']?.interval?.commonUM).toBeUndefined();
  expect(pressed['first dropout']?.interval?.commonUM).toBeGreaterThan(0);
  expect(exact['first dropout']?.interval?.failedUM).toBeLessThan(
    pressed['first dropout']?.interval?.failedUM ?? 0,
  );
});

describe('corrections', () => {
  const log = logOf([
    [0, 'begin', begin],
    [10, 'grade', { grade: 4 }],
    [20, 'dropoutBegin'],
    [30, 'correction', { amends: { deviceId: 'd', seq: 3 }, action: 'withdraw', reason: 'not so' }],
  ]);

  test('amend without erasing; undoing the correction brings the event back', () => {
    expect(effectiveLog(log).map((e) => e.kind)).toEqual(['begin', 'grade']);
    const undone = [
      ...log,
      ...logOf([
        [31, 'correction', { amends: { deviceId: 'd', seq: 4 }, action: 'withdraw', reason: 'it was so' }],
      ]).map((e) => ({ ...e, seq: 5, time: { ...e.time, wallMs: 9 } }) as WalkEvent),
    ];
    expect(effectiveLog(undone).map((e) => e.kind)).toEqual(['begin', 'grade', 'dropoutBegin']);
    expect(lastUndoable(log)?.kind).toBe('grade');
  });

  test('several of one entry hold together; what is rewritten, or added later, counts as what it says', () => {
    const by = (seq: number, body: object): WalkEvent =>
      ({ ...log[3], seq, body: { amends: { deviceId: 'd', seq: 2 }, reason: 'x', ...body } }) as WalkEvent;
    const stands = (...corrections: WalkEvent[]) =>
      effectiveLog([...log.slice(0, 3), ...corrections]).map((e) => [e.kind, e.time.walkS, e.body]);
    const both = [by(11, { action: 'regrade', grade: 2 }), by(12, { action: 'move', walkS: 15 })];
    expect(stands(...both)).toContainEqual(['grade', 15, { grade: 2 }]);
    const entry = { kind: 'grade', body: { grade: 3 } };
    expect(stands(...both, by(13, { action: 'rewrite', entry }))).toContainEqual(['grade', 15, { grade: 3 }]);
    // What was not of its kind changes nothing; what says that it was added neither.
    expect(
      stands(
        by(11, { action: 'rewrite', entry: { kind: 'note', body: { text: 'n' } } }),
        by(12, { action: 'add' }),
      ),
    ).toContainEqual(['grade', 10, { grade: 4 }]);
    expect(stands(...both, by(13, { action: 'withdraw' })).map(([kind]) => kind)).not.toContain('grade');
  });

  test('move and regrade change what counts', () => {
    const moved = [
      ...log.slice(0, 3),
      {
        ...log[3],
        body: { amends: { deviceId: 'd', seq: 2 }, action: 'move', walkS: 25, reason: 'late' },
      } as WalkEvent,
    ];
    expect(effectiveLog(moved).map((e) => [e.kind, e.time.walkS])).toEqual([
      ['begin', 0],
      ['dropoutBegin', 20],
      ['grade', 25],
    ]);
    const regraded = [
      ...log.slice(0, 3),
      {
        ...log[3],
        body: { amends: { deviceId: 'd', seq: 2 }, action: 'regrade', grade: 2, reason: 'worse' },
      } as WalkEvent,
    ];
    expect(effectiveLog(regraded)[1]).toMatchObject({ body: { grade: 2 } });
  });

  test('the order in which events arrive does not matter', () => {
    const whole = out([
      [50, 'grade', { grade: 3 }],
      [80, 'dropoutBegin'],
      [90, 'dropoutEnd'],
    ]);
    fc.assert(
      fc.property(fc.shuffledSubarray(whole, { minLength: whole.length }), (shuffled) => {
        expect(outcomes(shuffled)).toEqual(outcomes(whole));
      }),
      { numRuns: 20 },
    );
  });
});
