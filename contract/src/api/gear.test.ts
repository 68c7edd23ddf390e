import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { QUANTITIES } from '@urvek/core';
import { readGearCsv, readGearLine } from './gear.ts';

test('a line in CSV says what the same line in JSON says', () => {
  const figure = fc.double({ min: 0, max: 500, noNaN: true }).map((x) => Math.round(100 * x) / 100);
  fc.assert(
    fc.property(figure, fc.constantFrom(...QUANTITIES), (x, quantity) => {
      expect(readGearCsv(`wheel,${x}`)).toEqual({ say: 'wheel', m: x });
      expect(readGearCsv(` ${x}\r`)).toEqual({ say: 'wheel', m: x });
      const reading = { say: 'reading', quantity, value: x };
      expect(readGearCsv(`${quantity};${x}`)).toEqual(readGearLine(JSON.stringify(reading)));
      expect(readGearCsv(`reading,${quantity},${x},fixed-to-mobile`)).toEqual({
        ...reading,
        direction: 'fixed-to-mobile',
      });
    }),
  );
  expect(readGearCsv('lost')).toEqual({ say: 'lost' });
  expect(readGearCsv('lost, no carrier, again')).toEqual({ say: 'lost', why: 'no carrier, again' });
  expect(readGearCsv('tried,3,1')).toEqual({ say: 'tried', tries: 3, failed: 1 });
  expect(readGearCsv('note,a van, white')).toEqual({ say: 'note', text: 'a van, white' });
});

test('what is no line of gear is refused in words', () => {
  for (const bad of ['', 'ready', 'wheel', 'wheel,far', 'wheel,-3', 'tried,3,4', 'level,x', 'note,'])
    expect(() => readGearCsv(bad)).toThrow();
  expect(() => readGearCsv('hello world')).toThrow('a line begins with wheel, reading');
});
