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
