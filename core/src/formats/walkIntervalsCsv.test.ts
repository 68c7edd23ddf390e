import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readWalkIntervals, writeWalkIntervals, type WalkIntervalRow } from './walkIntervalsCsv.ts';

const head = 'product,path,walk,held_m,failed_m\n';

describe('reading', () => {
  test('columns in any order, quotes, byte order mark, CRLF, empty lines', () => {
    const rows = readWalkIntervals(
      '\ufefffailed_m,held_m,walk,path,product\r\n"120.5",100,1,"wagon ""shed"", north",A\r\n\r\n,90,2,open,A\r\n',
    );
    expect(rows).toEqual([
      { product: 'A', path: 'wagon "shed", north', walk: '1', heldM: 100, failedM: 120.5 },
      { product: 'A', path: 'open', walk: '2', heldM: 90, failedM: undefined },
    ]);
  });

  test.each([
    ['', 'line 1'],
    ['product,path,walk,held_m\nA,x,1,5\n', 'line 1, column failed_m: the column is missing'],
    ['product,path,walk,held_m,failed_m,colour\n', 'line 1, column "colour": unknown column'],
    ['product,path,walk,held_m,failed_m,walk\n', 'line 1, column walk: the column stands twice'],
    [`${head}A,x,1,50,40\n`, 'line 2, column failed_m: invalid interval'],
    [`${head}A,x,1,50,60\nA,x,2,-5,60\n`, 'line 3, column held_m: negative: -5'],
    [`${head}A,x,1,fifty,60\n`, 'line 2, column held_m: "fifty" is not a finite number'],
    [`${head}A,x,1,,60\n`, 'line 2, column held_m: "" is not a finite number'],
    [`${head}A,x,1,1e999,\n`, 'line 2, column held_m: "1e999" is not a finite number'],
    [`${head}A,x,1,0x10,60\n`, 'line 2, column held_m'],
    [`${head}A,x,1,0,\n`, 'line 2, column failed_m: invalid interval: held 0 m and no failure says nothing'],
    [`${head}A,x,1,0,0\n`, 'line 2, column failed_m: held 0 and failed 0'],
    [`${head},x,1,5,6\n`, 'line 2, column product: empty'],
    [`${head}A,x,1,5\n`, 'line 2: 4 fields where the header has 5'],
    [`${head}A,"x,1,5,6\n`, 'line'],
  ])('%j is refused with its place', (text, message) => {
    expect(() => readWalkIntervals(text)).toThrow(message);
  });
});

test('what is written reads back to the last digit, whatever the names', () => {
  const name = fc
    .string({ minLength: 1, maxLength: 12 })
    .filter(
      (s) =>
        s.trim() === s && s !== '' && !/^[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20'"]/.test(s) && !s.includes('\0'),
    );
  const row = fc
    .record({
      product: name,
      path: name,
      walk: name,
      heldM: fc.double({ min: 0.001, max: 1e5, noNaN: true }),
      width: fc.option(fc.double({ min: 0, max: 1e4, noNaN: true }), { nil: undefined }),
    })
    .map(({ width, ...r }): WalkIntervalRow => ({
      ...r,
      failedM: width === undefined ? undefined : r.heldM + width,
    }));
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (rows) => {
      expect(readWalkIntervals(writeWalkIntervals(rows))).toEqual(rows);
    }),
  );
});

test('a cell that a spreadsheet would run is escaped', () => {
  expect(writeWalkIntervals([{ product: '=1+1', path: 'x', walk: '1', heldM: 1, failedM: 2 }])).toContain(
    "'=1+1",
  );
});
