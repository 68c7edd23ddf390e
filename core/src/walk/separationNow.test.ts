import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { separationNow } from './separationNow.ts';

const path = {
  legs: [{ lengthM: 500, bearingDeg: 0, riseM: 0, exposure: 'open' as const }],
  checkpoints: [],
  distanceMethod: 'wheel' as const,
};
let seq = 0;
const entry = <K extends EventKind>(kind: K, walkS: number, body: EventBodies[K]): WalkEvent =>
  ({
    ...{ walkId: 'w', deviceId: 'd', seq: ++seq, version: 1, kind, body },
    time: { inputMs: 1000 * walkS, originMs: 0, wallMs: 1000 * walkS, walkS, rate: 1 },
  }) as unknown as WalkEvent;
const begin = (): WalkEvent => entry('begin', 0, { direction: 'mobile-to-fixed', mode: 'continuous' });
const mark = (walkS: number, travelledM: number): WalkEvent =>
  entry('mark', walkS, { reading: { travelledM, method: 'wheel', pressed: false } });

test('whatever a walker does after the last mark, the truth lies within what is said', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 1, maxLength: 60 }),
      fc.integer({ min: 1, max: 30 }),
      (paces, every) => {
        let m = 100;
        let [log, last] = [[begin(), mark(0, m)], m];
        paces.forEach((pace, s) => {
          m += pace * WALKING_MPS;
          if ((s + 1) % every === 0) [log, last] = [[...log, mark(s + 1, m)], m];
        });
        const now = separationNow(log, path, paces.length);
        expect(now?.m).toBeCloseTo(last, 9);
        // Anywhere between going on and going back: √3 standard uncertainties.
        expect(Math.abs(m - (now?.m ?? 0))).toBeLessThanOrEqual(Math.sqrt(3) * (now?.uM ?? 0) + 1e-9);
      },
    ),
  );
});

test('without a mark nothing is said; a moved fixed end counts; a withdrawn mark does not', () => {
  expect(separationNow([begin()], path, 5)).toBeUndefined();
  expect(separationNow([mark(1, 20)], path, 5)).toBeUndefined();
  const moved = entry('fixedEnd', 2, { reading: { travelledM: 30, method: 'marked line', pressed: false } });
  expect(separationNow([begin(), mark(1, 80), moved], path, 3)?.m).toBeCloseTo(50, 9);
  const slip = mark(4, 300);
  const back = entry('correction', 5, {
    ...{ amends: { deviceId: 'd', seq: slip.seq }, action: 'withdraw', reason: 'a slip' },
  });
  expect(separationNow([begin(), mark(1, 80), slip, back], path, 6)?.m).toBeCloseTo(80, 9);
});
