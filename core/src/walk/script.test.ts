import { expect, test } from '@jest/globals';
import type { EventBodies, EventKind, WalkEvent } from '../log/event.ts';
import { scriptStep } from './script.ts';

const log: WalkEvent[] = [];
const say = <K extends EventKind>(kind: K, body: EventBodies[K]): string => {
  const walkS = 10 * (log.length + 1);
  log.push({
    walkId: 'w',
    deviceId: 'd',
    seq: log.length + 1,
    version: 1,
    kind,
    body,
    time: { walkS, rate: 1, inputMs: walkS * 1000, originMs: 0, wallMs: walkS * 1000 },
  } as WalkEvent);
  return scriptStep(log);
};
const mark = (travelledM: number): string =>
  say('mark', { reading: { travelledM, method: 'wheel', pressed: true } });

test('a guided walk asks for one thing after the other, by what its log holds', () => {
  expect(
    say('begin', {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'wheel', pressed: false },
      playoutDelayS: 0,
    }),
  ).toBe('state the set-up');
  expect(say('note', { text: 'clip on the chest, channel 6' })).toBe('baseline');
  expect(say('grade', { grade: 5 })).toBe('go');
  expect(mark(40)).toBe('go');
  expect(say('dropoutBegin', {})).toBe('fault');
  expect(mark(60)).toBe('move and retry');
  expect(say('tried', { tries: 3, failed: 3 })).toBe('turn');
  expect(say('turn', {})).toBe('regain');
  expect(say('dropoutEnd', {})).toBe('regain');
  expect(mark(0.5)).toBe('baseline again');
  expect(say('grade', { grade: 5 })).toBe('end');
});

test('a loss that comes back by itself is walked on from; a walk without one turns to its end', () => {
  log.length = 0;
  say('begin', {
    baselineGrade: 5,
    direction: 'mobile-to-fixed',
    reading: { travelledM: 0, method: 'wheel', pressed: false },
    playoutDelayS: 0,
  });
  expect(mark(30)).toBe('go');
  expect(say('dropoutBegin', {})).toBe('fault');
  expect(say('dropoutEnd', {})).toBe('go');
  expect(say('turn', {})).toBe('regain');
});
