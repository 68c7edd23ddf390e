import { expect, test } from '@jest/globals';
import { countOf, plural } from './plural.ts';

test('a word agrees with its number, and large numbers are grouped', () => {
  expect([0, 1, 2, 1.5].map((n) => countOf(n, 'walk'))).toEqual([
    '0 walks',
    '1 walk',
    '2 walks',
    '1.5 walks',
  ]);
  expect(countOf(12_000, 'entry', 'entries')).toBe('12,000 entries');
  expect(countOf(4691, 'entry', 'entries')).toBe('4691 entries');
  expect([1, 2].map((n) => plural(n, 'is', 'are'))).toEqual(['is', 'are']);
});
