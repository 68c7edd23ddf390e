import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { freshWords, scoreReadBack } from '../../walk/readBack.ts';
import { seeded } from '../../random/seeded.ts';
import { GRADES } from '../grade.ts';
import { KINDS } from './index.ts';
import { gradeOfWords } from './words.ts';

describe('what people say', () => {
  test.each([
    ['went blocky by the gate', 4],
    ['crackling', 4],
    ['loud and clear!', 5],
    ['nothing at all', 1],
    ['breaking up badly', 2],
    ['choppy', 3],
    ['barely readable', undefined],
    ['not clean', undefined],
    ['windy', undefined],
    ['clean, then lost', undefined],
    ['noticks', undefined],
  ])('“%s” is grade %s, to confirm', (text, grade) => {
    expect(gradeOfWords(text)).toBe(grade);
  });

  test('every kind’s own words stand for their grades', () => {
    for (const kind of KINDS)
      for (const grade of GRADES)
        expect([kind.id, grade, gradeOfWords(kind.words[grade], kind.id)]).toEqual([kind.id, grade, grade]);
  });
});

describe('read-back', () => {
  test.each([
    ['amber 7 kettle', 'amber 7 kettle', 3],
    ['amber 7 kettle', 'amber kettle', 2],
    ['amber 7 kettle', 'amber 9 kettle yes', 2],
    ['amber', '', 0],
    ['a b c d', 'b c d a', 3],
  ])('“%s” heard as “%s”: %d right', (sent, heard, right) => {
    expect(scoreReadBack(sent, heard)).toEqual({ right, of: sent.split(' ').length });
  });

  test('fresh words differ, are all right when read back, and never more right than sent', () => {
    expect(freshWords(6, seeded('a'))).not.toBe(freshWords(6, seeded('b')));
    fc.assert(
      fc.property(fc.string(), fc.integer({ min: 1, max: 9 }), (heard, n) => {
        const sent = freshWords(n, seeded('p', n));
        expect(scoreReadBack(sent, sent)).toEqual({ right: n, of: n });
        expect(scoreReadBack(sent, heard).right).toBeLessThanOrEqual(n);
      }),
    );
    expect(() => freshWords(0, seeded('x'))).toThrow('invalid count: 0');
  });
});
