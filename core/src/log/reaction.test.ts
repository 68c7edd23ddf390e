import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { Path } from '../geometry/path.ts';
import { seeded } from '../random/seeded.ts';
import { operate } from '../simulate/operator.ts';
import { replay, scoreLog, trueLosses } from '../simulate/replay.ts';
import { startWalk, type SimulatedGear } from '../simulate/simulatedGear.ts';
import { traceWalk } from '../walk/trace.ts';
import { effectiveLog } from './effectiveLog.ts';
import type { WalkEvent } from './event.ts';
import { learnReaction } from './reaction.ts';
import { logOf } from '../test/logOf.ts';

describe('an operator’s delay', () => {
  test('is learned back from presses that come late by it, in any order', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.15, max: 1.2, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (reactionS, seed) => {
          const random = seeded('reaction', seed);
          const changes = Array.from({ length: 40 }, (_, i) => 5 * i + random.uniform());
          const presses = changes.map((c) => c + reactionS + 0.05 * random.normal());
          const { delay, missed, falsePresses } = learnReaction(changes, [...presses].reverse());
          expect(delay?.reactionS).toBeCloseTo(reactionS, 1);
          expect(delay?.spreadS).toBeLessThan(0.09);
          expect([missed, falsePresses]).toEqual([0, 0]);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('misses and false presses are counted, and few answers teach nothing', () => {
    expect(learnReaction([10, 20, 30], [10.5, 25, 30.6])).toMatchObject({
      delay: undefined,
      missed: 1,
      falsePresses: 1,
    });
    expect(learnReaction([], [1])).toMatchObject({
      delay: undefined,
      missed: 0,
      falsePresses: 1,
      delaysS: [],
    });
  });
});

describe('truth behind a simulated walk', () => {
  const path: Path = {
    id: 'p',
    name: 'P',
    condition: 'open',
    model: 'two-slope',
    legs: [{ lengthM: 400, bearingDeg: 0, riseM: 0, exposure: 'open' }],
    obstructions: [],
    checkpoints: [],
  };
  const gear: SimulatedGear = {
    productSeed: 'a',
    requiredDbm: -85,
    frequencyMHz: 2400,
    eirpDbm: 10,
    receiveGainDbi: 0,
    heightsM: [1.5, 1.5],
    bodyLossDb: [8, 2],
  };
  const { log, ticks } = operate(startWalk(gear, path, 'truth'), seeded('truth'));
  const begin = {
    atS: 0,
    kind: 'begin',
    body: {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'marked line', pressed: false },
      playoutDelayS: 0,
      simulatedSeed: 'truth',
    },
  };
  const events = logOf([begin, ...log].map(({ atS, kind, body }) => [atS, kind, body] as const));

  test('is played again from the log alone, and the simulated operator scores as it was made', () => {
    const again = replay(events, gear, path) ?? [];
    expect(again.slice(0, ticks.length).map((t) => t.grade)).toEqual(
      ticks.slice(0, again.length).map((t) => t.grade),
    );
    const { delaysS, falsePresses } = scoreLog(events, again);
    expect(trueLosses(again).length).toBeGreaterThan(0);
    expect(falsePresses).toBe(0);
    for (const d of delaysS) expect(Math.abs(d - 0.6)).toBeLessThan(0.8);
    expect(
      replay(
        events.map((e) => (e.kind === 'begin' ? { ...e, body: { ...e.body, simulatedSeed: undefined } } : e)),
        gear,
        path,
      ),
    ).toBeUndefined();
  });

  test('the delay that a walk used can be corrected, and moves what was noticed', () => {
    const correction = {
      walkId: 'w',
      deviceId: 'd',
      seq: 999,
      version: 1,
      kind: 'correction',
      time: { walkS: 0, rate: 1, inputMs: 0, originMs: 0, wallMs: 1e6 },
      body: {
        amends: { deviceId: 'd', seq: 1 },
        action: 'retime',
        reason: 'trained since',
        delay: { reactionS: 1.6, spreadS: 0.2 },
      },
    } as unknown as WalkEvent;
    const [before, after] = [traceWalk(events), traceWalk([...events, correction])];
    const lossOf = (t: typeof before): number => t?.stretches.find((s) => s.grade === 1)?.fromS ?? 0;
    expect(lossOf(before) - lossOf(after)).toBeCloseTo(1, 6);
    expect(effectiveLog([...events, correction])[0]).toMatchObject({
      kind: 'begin',
      body: { delay: { reactionS: 1.6 } },
    });
  });
});
