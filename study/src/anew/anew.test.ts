import { expect, test } from '@jest/globals';
import type { StoredWalk, WalkHeader } from '@urvek/contract';
import { deriveWalk, type Path } from '@urvek/core';
import { logOf } from '@urvek/core/test';
import fc from 'fast-check';
import { CannotMakeAnew } from './copied.ts';
import { joinWalks } from './joinWalks.ts';
import { refileWalk } from './refileWalk.ts';
import { splitWalk } from './splitWalk.ts';

const path = {
  id: 'p',
  name: 'field',
  condition: 'open',
  model: 'free-space',
  legs: [{ lengthM: 1000, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
} as Path;
const header: WalkHeader = {
  id: '00000000-0000-4000-8000-000000000001',
  comparisonId: '00000000-0000-4000-8000-0000000000ff',
  productId: 'a',
  rigId: 'r',
  pathId: 'p',
  startedMs: 1_000_000,
  slot: { round: 1, place: 1, variant: 'plain' },
};
let ids = 0;
const making = {
  newId: () => `00000000-0000-4000-8000-${String(++ids).padStart(12, '0')}`,
  reason: 'one log, two walks',
};
const at = (m: number) => ({ reading: { travelledM: m, method: 'wheel' as const, pressed: true } });
/** Marks at 1 m/s, a dropout at `lostS` that lasts 5 s, ended at 200 s. */
const walked = (lostS: number): StoredWalk => ({
  header,
  log: logOf([
    [0, 'begin', { direction: 'mobile-to-fixed', baselineGrade: 5, ...at(0) }],
    ...[50, 100, 150, 200].map((s): [number, 'mark', object] => [s, 'mark', at(s)]),
    [lostS, 'dropoutBegin', {}],
    [lostS + 5, 'dropoutEnd', {}],
    [200, 'end', { reason: 'path ended' }],
  ]),
});
/** Where and when it was lost, on the walk's clock. */
const lost = (walk: StoredWalk): { m: number | undefined; s: number } | undefined => {
  const trace = deriveWalk(walk.log, path)?.directions[0]?.trace;
  expect(trace?.endReason).toBeDefined();
  const found = trace?.noticed.find((s) => s.grade === 1);
  return found && { m: found.from?.travelledM, s: found.fromS };
};

test('a dropout stays where it was, split and joined again; the plan keeps one walk', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 190 }), fc.integer({ min: 51, max: 149 }), (lostS, cutS) => {
      fc.pre(Math.abs(lostS - cutS) > 8 && Math.abs(lostS + 5 - cutS) > 2);
      const whole = walked(lostS);
      const [first, second] = splitWalk(whole, cutS, making);
      const before = lost(whole);
      expect(before?.m).toBeGreaterThan(0);
      const [with_, without] = lostS < cutS ? [first, second] : [second, first];
      expect(lost(with_)?.s).toBeCloseTo((before?.s ?? NaN) - (lostS < cutS ? 0 : cutS), 6);
      expect(lost(without)).toBeUndefined();
      expect(second.header.startedMs - first.header.startedMs).toBe(1000 * cutS);
      expect([first.header.slot, second.header.slot]).toEqual([header.slot, undefined]);
      const joined = joinWalks(first, second, making);
      expect(lost(joined)).toEqual(before);
      // What was between the two is a gap, and nothing is called clean.
      expect(joined.log.filter((e) => e.kind === 'gap')).toHaveLength(1);
      expect(joined.log.map((e) => e.seq)).toEqual(joined.log.map((_, i) => i + 1));
    }),
    { seed: 15, numRuns: 60 },
  );
});

test('a second part begins as it stood: its grade, the way back, and the place of a mark of that moment', () => {
  const { log } = walked(20);
  const turned: StoredWalk = {
    header,
    log: [
      ...log.filter((e) => e.kind !== 'end'),
      ...logOf([
        [160, 'grade', { grade: 3 }],
        [170, 'turn', {}],
        [180, 'mark', at(190)],
        [220, 'end', { reason: 'time' }],
      ]).map((e) => ({ ...e, seq: e.seq + 100 })),
    ],
  };
  const [, second] = splitWalk(turned, 180, making);
  expect(second.log.slice(0, 3).map((e) => e.kind)).toEqual(['begin', 'note', 'turn']);
  expect(second.log[0]?.body).toMatchObject({ baselineGrade: 3, reading: { travelledM: 190 } });
  expect(second.log[1]?.body).toEqual({ text: 'second part, split at 180.0 s: one log, two walks' });
});

test('corrections of the old one are in the new one, and what cannot be made is refused with a reason', () => {
  const { log } = walked(20);
  const slip = log.find((e) => e.kind === 'dropoutBegin');
  const withdrawn: StoredWalk = {
    header,
    log: [
      ...log,
      ...logOf([
        [
          201,
          'correction',
          {
            amends: { deviceId: slip?.deviceId ?? '', seq: slip?.seq ?? 0 },
            action: 'withdraw',
            reason: 'a slip',
          },
        ],
      ]).map((e) => ({ ...e, seq: 100 })),
    ],
  };
  const other = refileWalk(withdrawn, { productId: 'a', rigId: 'other', pathId: 'p' }, making);
  expect(lost(walked(20))).toBeDefined();
  expect(lost(withdrawn)).toBeUndefined();
  expect(lost(other)).toBeUndefined();
  expect(other.header).toMatchObject({ rigId: 'other', startedMs: header.startedMs });
  expect(other.header.slot).toBeUndefined();

  const refused = (make: () => unknown): string => {
    try {
      make();
    } catch (error) {
      if (error instanceof CannotMakeAnew) return error.message;
      throw error;
    }
    return 'made';
  };
  expect(refused(() => splitWalk(walked(20), 200, making))).toBe(
    '200 s is not within the walk, which lasts from 0.0 to 200.0 s',
  );
  expect(refused(() => joinWalks(walked(20), other, making))).toContain('two products, rigs or paths');
  expect(refused(() => joinWalks(walked(20), walked(30), making))).toContain('before the first has ended');
  const two: StoredWalk = {
    header,
    log: [
      ...log,
      ...logOf([[3, 'joined', { role: 'base', direction: 'fixed-to-mobile' }]]).map((e) => ({
        ...e,
        deviceId: 'e',
      })),
    ],
  };
  expect(refused(() => splitWalk(two, 50, making))).toContain('two devices logged this walk');
});
