import { expect, test } from '@jest/globals';
import { LEVELS, lossesOf, shuffledLevels, TIMES_EACH } from './clip.ts';

test('a clip loses as much as its level says, in losses that do not touch each other’s time', () => {
  for (const level of LEVELS)
    for (let run = 0; run < 50; run++) {
      const losses = lossesOf(level);
      const lostS = losses.reduce((sum, l) => sum + l.toS - l.fromS, 0);
      expect(lostS).toBeCloseTo(3 * level, 5);
      losses.forEach(({ fromS, toS }, i) => {
        expect(fromS).toBeGreaterThanOrEqual((losses[i - 1]?.toS ?? 0) - 1e-9);
        expect(toS).toBeLessThanOrEqual(3 + 1e-9);
        if (level < 1) expect(toS - fromS).toBeLessThanOrEqual(0.25 + 1e-9);
      });
    }
});

test('every level comes as often as every other', () => {
  const levels = shuffledLevels();
  for (const level of LEVELS) expect(levels.filter((l) => l === level)).toHaveLength(TIMES_EACH);
});
