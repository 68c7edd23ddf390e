import { expect, test } from '@jest/globals';
import { seeded } from '../random/seeded.ts';
import { LEAST_PLAYOUT_TRIES, playoutDelay } from './playout.ts';

test('a known playout delay is found within its stated uncertainty, whatever it is', () => {
  const random = seeded('playout');
  const operator = { reactionS: 0.5, spreadS: 0.12 };
  const inside =
    Array.from({ length: 400 }, (_, i) => {
      const trueS = (i % 50) / 10;
      const tries = Array.from({ length: 5 }, (_x, k) => ({
        offS: 10 * k + 0.05 * random.normal(),
        heardS: 10 * k + trueS + Math.max(0.15, operator.reactionS + operator.spreadS * random.normal()),
      }));
      const found = playoutDelay(
        tries.map((t) => ({ ...t, heardS: Math.max(t.offS, t.heardS) })),
        operator,
      );
      return found !== undefined && Math.abs(found.delayS - trueS) <= 2 * found.uncertaintyS;
    }).filter(Boolean).length / 400;
  expect(inside).toBeGreaterThan(0.93);
});

test('few tries say nothing, a press before the switching is refused, and no delay is negative', () => {
  const tries = (n: number, afterS: number) =>
    Array.from({ length: n }, (_, i) => ({ offS: i, heardS: i + afterS }));
  expect(playoutDelay(tries(LEAST_PLAYOUT_TRIES - 1, 2))).toBeUndefined();
  expect(playoutDelay(tries(3, 0.3))?.delayS).toBe(0);
  expect(() => playoutDelay([{ offS: 2, heardS: 1 }])).toThrow('invalid try: heard 1 s, off 2 s');
});
