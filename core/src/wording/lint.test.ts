import { expect, test } from '@jest/globals';
import { questionWords } from './lint.ts';

const few = { walks: 6, allHeld: true, claimsUpTo: false };
const asked = (text: string, carried = few): string[] => questionWords(text, carried).map((q) => q.word);

test.each<[string, string[]]>([
  ['It never fails, at 100 % of points.', ['never', '100 %']],
  ['It always reaches up to 120 m.', ['always', 'up to']],
  ['It reaches about 120 m, and nothing about the weather.', ['about']],
  ['This proves that it is the best.', ['proves', 'best']],
  ['The range is 120 m, twice the coverage.', ['range', 'twice the coverage']],
  ['Half of its walks hold to 123 m or farther, within 96 to 157 m (95 %, 6 walks).', []],
])('%s', (text, words) => {
  expect(asked(text)).toEqual(words);
});

test('the data can carry a word: 29 walks that all held, a claim that says “up to”', () => {
  expect(asked('It never failed.', { walks: 29, allHeld: true, claimsUpTo: false })).toEqual([]);
  expect(asked('It never failed.', { walks: 40, allHeld: false, claimsUpTo: false })).toEqual(['never']);
  expect(asked('The box says up to 100 m.', { ...few, claimsUpTo: true })).toEqual([]);
});

test.each<[string, string[]]>([
  ['It reaches at least twice as far.', ['at least twice']],
  ['It holds about twice as far as the other.', ['about twice']],
  ['It has double coverage.', ['double coverage']],
  ['It is much greater than the other, which barely holds.', ['much greater', 'barely']],
  ['It is 3 dBm better.', ['dBm better']],
  ['We went back up to the 90.', []],
])('%s', (text, words) => {
  expect(asked(text)).toEqual(words);
});

test('what lies beyond all that was logged is not known', () => {
  const near = { ...few, farthestM: 50 };
  expect(asked('It is dodgy beyond 50.', near)).toEqual(['dodgy beyond 50']);
  expect(asked('It is dodgy beyond 40 m.', near)).toEqual([]);
  expect(asked('It is dodgy beyond 200 ft.', near)).toEqual(['dodgy beyond 200 ft']);
});

test('a figure must stand in the results', () => {
  const made = { ...few, made: ['Half of its walks hold to 123 m, within 95.6 m to 1,570 m.'] };
  expect(asked('It holds to 123 m, within 95.6 m to 1570 m, in 6 walks.', made)).toEqual([]);
  expect(asked('It holds to 140 m.', made)).toEqual(['140']);
  expect(asked('It holds to 140 m.')).toEqual([]);
});
