import { expect, test } from '@jest/globals';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import { heardElsewhere } from './elsewhere.ts';

const numbers = new Map<string, number>();
const entry = <K extends EventKind>(
  deviceId: string,
  kind: K,
  walkS: number,
  body: EventBodies[K],
): WalkEvent => {
  const seq = (numbers.get(deviceId) ?? 0) + 1;
  numbers.set(deviceId, seq);
  return {
    ...{ walkId: 'w', deviceId, seq, version: 1, kind, body },
    time: { inputMs: 0, originMs: 0, wallMs: 1000 * walkS, walkS, rate: 1 },
  } as unknown as WalkEvent;
};

test('each device’s last word stands, whatever was withdrawn', () => {
  const lost = entry('a', 'dropoutBegin', 3, {});
  const log = [
    entry('a', 'grade', 1, { grade: 4 }),
    lost,
    entry('b', 'dropoutBegin', 4, { found: 'silence' }),
  ];
  expect(heardElsewhere(log)).toEqual([
    { deviceId: 'a', lost: true, grade: undefined, sinceMs: 3000 },
    { deviceId: 'b', lost: true, grade: undefined, sinceMs: 4000 },
  ]);
  const back = entry('b', 'dropoutEnd', 5, {});
  const slip = entry('a', 'correction', 6, {
    ...{ amends: { deviceId: 'a', seq: lost.seq }, action: 'withdraw', reason: 'a slip' },
  });
  expect(heardElsewhere([...log, back, slip])).toEqual([
    { deviceId: 'a', lost: false, grade: 4, sinceMs: 1000 },
    { deviceId: 'b', lost: false, grade: undefined, sinceMs: 5000 },
  ]);
  expect(heardElsewhere([])).toEqual([]);
});
