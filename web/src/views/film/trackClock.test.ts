import { expect, test } from '@jest/globals';
import { clockMs, clockText } from './trackClock.ts';

test('a time of day is of the day of the track, or of the next where midnight lies between', () => {
  const late = new Date(2026, 4, 12, 23, 50, 10).getTime();
  expect(clockMs('23:50:10', late)).toBe(late);
  expect(clockMs('23:49:05,5', late)).toBe(late - 64_500);
  expect(clockMs('0:10:10', late)).toBe(late + 20 * 60_000);
  expect(clockText(late)).toBe('23:50:10');
  for (const wrong of ['', '10:05', '24:00:00', '10:61:00', '10:05:61', 'ten'])
    expect(clockMs(wrong, late)).toBeUndefined();
});
