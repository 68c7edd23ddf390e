import { expect, test } from '@jest/globals';
import { readLevels, readSurvey } from './surveyCsv.ts';

test('a survey is read, columns in any order', () => {
  expect(readSurvey('level_dbm,end,when,frequency_mhz\n-70,fixed,before,2437\n')).toEqual([
    { when: 'before', end: 'fixed', frequencyMHz: 2437, levelDbm: -70, what: '' },
  ]);
  expect(() => readSurvey('when,end,frequency_mhz,level_dbm\nsoon,fixed,2437,-70\n')).toThrow(
    'line 2, column when: "soon" is none of before, after',
  );
});

test('levels are read, and an empty one was lost', () => {
  expect(readLevels('distance_m,level_dbm\n10,-50\n80,\n')).toEqual([
    { distanceM: 10, levelDbm: -50 },
    { distanceM: 80, lost: true },
  ]);
  expect(() => readLevels('distance_m,level_dbm\n0,-50\n')).toThrow(
    'line 2, column distance_m: 0 is not above 0',
  );
});
