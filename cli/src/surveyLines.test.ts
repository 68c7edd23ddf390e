import { expect, test } from '@jest/globals';
import { readSurvey } from '@urvek/core';
import { surveyCsv } from './surveyLines.ts';

test('the simulated survey is one that Urvek reads, at both ends before and after', () => {
  const rows = readSurvey(surveyCsv('a'));
  expect(rows).toHaveLength(4 * 43);
  for (const when of ['before', 'after'] as const)
    for (const end of ['fixed', 'mobile'] as const) {
      const own = rows.filter((r) => r.when === when && r.end === end);
      const loudest = own.reduce((a, b) => (b.levelDbm > a.levelDbm ? b : a));
      expect(loudest.what).toBe('access point, channel 1');
    }
  expect(surveyCsv('a')).toBe(surveyCsv('a'));
  expect(surveyCsv('b')).not.toBe(surveyCsv('a'));
});
