import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../random/seeded.ts';
import { InputClock } from './inputClock.ts';

describe('when sound that comes in was there', () => {
  test(
    'pieces that a busy page takes up to half a second late leave the time of sound within 15 ms, at ' +
      '200 ppm of drift',
    () => {
      fc.assert(
        fc.property(fc.string(), fc.double({ min: -200, max: 200, noNaN: true }), (seed, driftPpm) => {
          const random = seeded(seed);
          const clock = new InputClock(48_000, 10);
          const piece = 1024;
          let lastMs = 0;
          for (let k = 1; k <= 3000; k++) {
            const soundMs = (1000 * k * piece) / 48_000;
            const cameMs = 5000 + soundMs * (1 + 1e-6 * driftPpm) + 10;
            // One of ten is handed on at once; they never overtake each other.
            const lateMs = random.uniform() < 0.1 ? 0 : 500 * random.uniform() ** 4;
            lastMs = Math.max(lastMs, cameMs + lateMs);
            clock.came(piece, lastMs);
            if (k > 500) expect(Math.abs(clock.pageMs(soundMs / 1000) + 10 - cameMs)).toBeLessThan(15);
          }
        }),
        { numRuns: 20, seed: 1 },
      );
    },
  );
  test('there is no time before there is sound, and no rate of nothing', () => {
    expect(() => new InputClock(48_000).pageMs(1)).toThrow('1 s');
    expect(() => new InputClock(0)).toThrow('0 Hz');
  });
});
