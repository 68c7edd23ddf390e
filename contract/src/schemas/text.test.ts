import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { badTextAt, checkTexts, cutText } from './text.ts';

test('half of a pair and NUL are found wherever they stand, and all other text passes', () => {
  expect(badTextAt({ a: ['good', { note: 'half \ud83d' }] })).toBe('a.1.note');
  expect(badTextAt({ a: { b: 'nul \u0000' } })).toBe('a.b');
  expect(badTextAt({ 'bad \udc00': 1 })).toBe('');
  expect(badTextAt(['walk 🚶 to the gate', 'äöü', '\u202e'])).toBeUndefined();
  expect(() => checkTexts({ title: '\u0000' })).toThrow('title holds a sign that is no text');
  fc.assert(
    fc.property(fc.jsonValue({ stringUnit: 'grapheme' }), (value) => {
      const bad = /\\u0000|\\ud[89ab]|\\ud[c-f]/i.test(JSON.stringify(value));
      expect(badTextAt(value) !== undefined).toBe(bad);
      const check = expect(() => checkTexts(value));
      if (bad) check.toThrow('holds a sign that is no text');
      else check.not.toThrow();
    }),
  );
});

test('what is nested deeper than anything of ours is refused, and does not fill the stack', () => {
  let deep: unknown = 'x';
  for (let i = 0; i < 10_000; i++) deep = [deep];
  expect(badTextAt(deep)).toBeDefined();
  expect(() => checkTexts(deep)).toThrow('nested too deep');
});

test('a text is cut between signs, never through one', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.integer({ min: 0, max: 20 }), (text, most) => {
      const cut = cutText(text, most);
      expect(text.startsWith(cut)).toBe(true);
      if (!/\p{Surrogate}/u.test(text)) expect(cut).not.toMatch(/\p{Surrogate}/u);
    }),
  );
  expect(cutText(`${'x'.repeat(9)}🚶`, 10)).toBe(`${'x'.repeat(9)}🚶`);
  expect(cutText(`${'x'.repeat(10)}🚶`, 10)).toBe('x'.repeat(10));
});
