import { expect, test } from '@jest/globals';
import { WORD_SHAPES } from '@urvek/draw';
import { anchorOfWord, WORDS } from './words.ts';

test('a word stands once, has a meaning, and every picture is of a word', () => {
  const words = WORDS.flatMap((w) => w.words);
  expect(new Set(words.map((w) => anchorOfWord(w.word))).size).toBe(words.length);
  expect(words.filter((w) => w.means.trim() === '')).toEqual([]);
  expect(new Set(words.flatMap((w) => w.picture ?? []))).toEqual(new Set(Object.keys(WORD_SHAPES)));
});
