import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readProse } from './readProse.ts';

const context = { products: ['Clip A', 'Clip B'], paths: ['The lane'], kindId: 'microphone', sayings: [] };
const rows = (text: string, kindId = 'microphone') =>
  readProse(text, { ...context, kindId }).map(({ cells: { words: _, remark: __, ...cells } }) => cells);

test('each place of a sentence is a row with its own words', () => {
  const text =
    'Clip A on The lane, first walk. Crystal clear at 50 m, a slight crackle at about 100 m and ' +
    'completely gone at 150 yards. Turned round there.';
  const found = readProse(text, context);
  expect(found.map((r) => r.text)).toEqual([
    'Crystal clear at 50 m',
    'a slight crackle at about 100 m',
    'completely gone at 150 yards',
    'Turned round there',
  ]);
  expect(found.map((r) => r.cells)).toEqual([
    { product: 'Clip A', path: 'The lane', walk: '1', at: '50 m', words: 'Crystal clear at 50 m' },
    { at: 'about 100 m', words: 'a slight crackle at about 100 m' },
    { at: '150 yards', words: 'completely gone at 150 yards' },
    { event: 'turn', remark: 'Turned round there' },
  ]);
});

test('places, readings, counts and who hears, as people tell them', () => {
  expect(rows('At the gate I got 42 Mbps down and 7.5 Mbps up, -78 dBm, ping 23 ms.', 'router')).toEqual([
    { point: 'gate', down_mbps: '42', up_mbps: '7.5', level_dbm: '-78', rtt_ms: '23' },
  ]);
  expect(rows('By the third lamp post 7 of 10 worked.', 'remote')).toEqual([
    { point: 'third lamp post', hits: '7', tries: '10' },
  ]);
  expect(rows('They could hear me at 0.4 km, loud and clear.', 'two-way-radio')).toEqual([
    { direction: 'to-fixed', at: '0.4 km' },
  ]);
  expect(rows('It came back at 120. Clip B: dropped out between 150 and 200 feet at 14:05')).toEqual([
    { at: '120', event: 'back' },
    { product: 'Clip B', at: 'between 150 and 200 feet', time: '14:05' },
  ]);
  expect(rows('Second run: re-paired it. Gave up.')).toEqual([
    { walk: '2', event: 're-paired' },
    { event: 'end' },
  ]);
  // A quality without a place is somewhere, and that is all.
  expect(rows('Total silence somewhere on the way')).toEqual([{ at: '?' }]);
});

test('what says nothing that can be logged makes no row', () => {
  expect(
    rows('Nice sunny day. We had 5 GHz gear from 2019 and three sandwiches. The box costs 120 dollars.'),
  ).toEqual([]);
  expect(rows('')).toEqual([]);
});

test('no row without its words: every row is a piece of the text, in order, without overlap, and holds it', () => {
  const word = fc.constantFrom(
    ...[
      'at 50 m',
      'clean',
      'crackle',
      'and',
      'but',
      ',',
      '.',
      'then',
      'the gate',
      'at the gate',
      'lost',
      'gone',
    ],
    ...[
      '12 of 20',
      'turned back',
      '1,476 ft',
      'x',
      '14:05',
      '-',
      '\n',
      'Clip A',
      'between 3 and 5 yards',
      '🙂',
    ],
  );
  fc.assert(
    fc.property(fc.array(word, { maxLength: 30 }), (words) => {
      const text = words.join(' ');
      const found = readProse(text, context);
      found.forEach((row, i) => {
        expect(row.text).toBe(text.slice(row.from, row.to));
        expect([row.cells.words, row.cells.remark]).toContain(row.text);
        expect(row.from).toBeGreaterThanOrEqual(found[i - 1]?.to ?? 0);
        for (const column of ['at', 'point'] as const)
          if (row.cells[column] !== undefined && row.cells[column] !== '?')
            expect(row.text.replace(/\s+/g, ' ')).toContain(row.cells[column]);
      });
    }),
    { seed: 15, numRuns: 500 },
  );
});
