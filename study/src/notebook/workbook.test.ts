import { expect, test } from '@jest/globals';
import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { COLUMNS, readNotebook, writeNotebook, type NotebookRow } from './columns.ts';
import { checkFolded, csvOfWorkbook, workbookOf } from './workbook.ts';

// Sheets as files: round trips, and files that are meant to hurt.

const cell = fc
  .oneof(
    fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }),
    fc.constantFrom(
      '=1+1',
      '+49',
      '-3',
      '@x',
      '"',
      ';',
      '0.10',
      '007',
      '1e5',
      '1,476 ft',
      'about 150',
      'a\nb',
      '🙂',
    ),
    fc.integer({ min: -1000, max: 1e6 }).map(String),
  )
  // What no XML can hold, and what a reader of tables takes off, is no cell of a sheet.

  .map((t) =>
    t
      .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFD-\uFFFF]|\r/g, '')
      .trim()
      .replace(/^'+/, ''),
  )
  .filter((t) => t !== '' && !/\p{Surrogate}/u.test(t));
const rows = fc.array(
  fc
    .dictionary(fc.constantFrom(...COLUMNS), cell, { minKeys: 1, maxKeys: 6, noNullPrototype: true })
    .filter((cells) => 'at' in cells),
  { minLength: 1, maxLength: 8 },
);
const cellsOf = (found: readonly NotebookRow[]) => found.map((r) => r.cells);

test('rows through XLSX, and through CSV, come back as they were', async () => {
  await fc.assert(
    fc.asyncProperty(rows, async (given) => {
      const sheet = await workbookOf(given.map((cells) => ({ cells })));
      const back = readNotebook(await csvOfWorkbook(sheet)).rows;
      expect(cellsOf(back)).toEqual(given);
      expect(cellsOf(readNotebook(writeNotebook(back)).rows)).toEqual(given);
    }),
    { seed: 15, numRuns: 40 },
  );
});

async function sheetOf(fill: (sheet: ExcelJS.Worksheet) => void): Promise<Uint8Array> {
  const workbook = new ExcelJS.Workbook();
  fill(workbook.addWorksheet('notes'));
  return new Uint8Array(await workbook.xlsx.writeBuffer());
}

test('days, times, formulas with their results, rich text and links read as a person reads them', async () => {
  const file = await sheetOf((sheet) => {
    sheet.addRow(['date', 'time', 'at', 'words', 'remark']);
    sheet.addRow([
      new Date(Date.UTC(2026, 4, 12)),
      new Date(Date.UTC(1899, 11, 30, 14, 5)),
      { formula: 'A1*2', result: 150 },
      { richText: [{ text: 'loud ' }, { text: 'and clear' }] },
      { text: 'the gate', hyperlink: 'https://example.org' },
    ]);
  });
  expect(cellsOf(readNotebook(await csvOfWorkbook(file)).rows)).toEqual([
    { date: '2026-05-12', time: '14:05', at: '150', words: 'loud and clear', remark: 'the gate' },
  ]);
});

/** A sheet with one part of it exchanged. */
async function withSheet(xml: (plain: string) => string): Promise<Uint8Array> {
  const parts = unzipSync(await sheetOf((sheet) => sheet.addRow(['at', 'words'])));
  const name = 'xl/worksheets/sheet1.xml';
  return zipSync({ ...parts, [name]: strToU8(xml(new TextDecoder().decode(parts[name]))) });
}

test('a file that is meant to hurt is refused before a library sees it, in words', async () => {
  const far = await withSheet((x) =>
    x.replace('</sheetData>', '<row r="1048576"><c r="XFD1048576"><v>1</v></c></row></sheetData>'),
  );
  await expect(csvOfWorkbook(far)).rejects.toThrow('a cell stands at XFD1048576: too far off');
  const bomb = await withSheet((x) => x.replace('</sheetData>', `${' '.repeat(40_000_000)}</sheetData>`));
  expect(bomb.length).toBeLessThan(100_000);
  expect(() => checkFolded(bomb)).toThrow('the file unfolds to more than 16 MB');
  const many = await withSheet((x) =>
    x.replace('</sheetData>', `<row>${'<c/>'.repeat(400_001)}</row></sheetData>`),
  );
  expect(() => checkFolded(many)).toThrow('more than 400000 cells');
  const whole = await withSheet((x) => x);
  expect(() => checkFolded(whole)).not.toThrow();
  await expect(csvOfWorkbook(whole.slice(0, whole.length >> 1))).rejects.toThrow(/torn|cannot be read/);
  await expect(csvOfWorkbook(strToU8('at,words\n1,ok\n'))).rejects.toThrow('this is no XLSX file');
  await expect(
    csvOfWorkbook(
      await sheetOf((s) => {
        s.addRow(['at', 'words']);
        s.addRow([{ error: '#REF!' }, 'ok']);
      }),
    ),
  ).rejects.toThrow('line 2, column A: the sheet shows #REF! there');
  await expect(csvOfWorkbook(await sheetOf((s) => s.addRow(['at', { formula: 'NOW()' }])))).rejects.toThrow(
    'a formula without its result',
  );
  await expect(csvOfWorkbook(await sheetOf(() => undefined))).rejects.toThrow(
    'no sheet of the file holds anything',
  );
});
