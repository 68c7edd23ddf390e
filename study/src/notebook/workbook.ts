import { FormatError, writeTable } from '@urvek/core';
import ExcelJS, { type CellValue } from 'exceljs';
import { Unzip, UnzipInflate } from 'fflate';
import { columnsUsed, type NotebookRow } from './columns.ts';
import * as phrases from './phrases.ts';

// A notebook as a spreadsheet file (XLSX: Office Open XML, ISO/IEC 29500, a folded set of XML parts).

/** What a file may unfold to, bytes: twenty thousand rows of ten cells take about half of it. */
const MOST_UNFOLDED = 16_000_000;
const MOST_CELLS = 400_000;
const MOST_ROW = 20_001;
/** Columns up to BZ: a notebook has some thirty. */
const MOST_COLUMN = 78;
const TORN = phrases.theXlsxFileIsTornIt;
/** So many bytes are unfolded at once. */
const PIECE = 65_536;
/** An address that is cut in two by the end of a piece is this long at most. */
const OVERLAP = 64;

/** "BC" is 55. */
const columnNumber = (letters: string): number =>
  [...letters].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0);

/**
 * Unfolds a file piece by piece and counts, before any library sees it: one cell at the last address, or a few bytes
 * that unfold to gigabytes, hang or kill a reader. @throws FormatError
 */
export function checkFolded(bytes: Uint8Array): void {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b)
    throw new FormatError(1, undefined, phrases.thisIsNoXlsxFileSave);
  let [unfolded, cells] = [0, 0];
  let refused: FormatError | undefined;
  // The library catches what is thrown in its callbacks: it is kept, and thrown at the end of the piece.
  const refuse = (line: number, column: string | undefined, what: string): never => {
    throw (refused ??= new FormatError(line, column, what));
  };
  const unzip = new Unzip((file) => {
    let tail = '';
    const text = new TextDecoder();
    const isSheet = /^xl\/worksheets\/[^/]+\.xml$/.test(file.name);
    file.ondata = (error, piece) => {
      if (error) refuse(1, undefined, TORN);
      unfolded += piece.length;
      if (unfolded > MOST_UNFOLDED)
        refuse(1, undefined, phrases.theFileUnfoldsToMoreThan(MOST_UNFOLDED / 1e6));
      if (!isSheet) return;
      const part = tail + text.decode(piece, { stream: true });
      const known = tail.length;
      for (const { index, 0: tag, 1: letters, 2: row } of part.matchAll(
        /<c(?=[\s>/])(?:\s[^>]*?\br="([A-Z]+)(\d+)")?/g,
      )) {
        if (index + tag.length <= known) continue;
        cells++;
        if (letters === undefined) continue;
        if (columnNumber(letters) > MOST_COLUMN || Number(row) > MOST_ROW)
          refuse(Math.min(Number(row), MOST_ROW), letters, phrases.aCellStandsAtTooFar(letters, row));
      }
      if (cells > MOST_CELLS) refuse(1, undefined, phrases.moreThanCells(MOST_CELLS));
      // What may be the beginning of a cell is looked at again with what follows it.
      const open = part.lastIndexOf('<');
      tail = open >= part.length - OVERLAP && !part.includes('>', open) ? part.slice(open) : '';
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += PIECE)
      unzip.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
  } catch {
    throw refused ?? new FormatError(1, undefined, TORN);
  }
  if (refused) throw refused;
}

const two = (n: number): string => String(n).padStart(2, '0');
/** Days and times of a sheet have no zone: the library gives them as if they were UTC, a day before 1900 for a time. */
function dateText(date: Date): string {
  const rounded = new Date(Math.round(date.getTime() / 1000) * 1000);
  const seconds = rounded.getUTCSeconds();
  const time = `${two(rounded.getUTCHours())}:${two(rounded.getUTCMinutes())}${seconds ? `:${two(seconds)}` : ''}`;
  if (rounded.getUTCFullYear() < 1900) return time;
  const day = rounded.toISOString().slice(0, 10);
  return time === '00:00' ? day : `${day} ${time}`;
}

/** A cell as a person reads it; of a formula its result. @throws FormatError for a cell that shows an error */
function textOf(value: CellValue, row: number, column: string): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return dateText(value);
  if (typeof value !== 'object') return String(value);
  if ('error' in value) throw new FormatError(row, column, phrases.theSheetShowsThere(value.error));
  if ('richText' in value) return value.richText.map((r) => r.text).join('');
  if ('hyperlink' in value) return String(value.text);
  if (value.result === undefined) throw new FormatError(row, column, phrases.aFormulaWithoutItsResult);
  return textOf(value.result as CellValue, row, column);
}

/**
 * The first sheet that holds something, as CSV with commas. @throws FormatError for what is no such file, holds too
 * much, or shows an error
 */
export async function csvOfWorkbook(bytes: Uint8Array): Promise<string> {
  checkFolded(bytes);
  const workbook = new ExcelJS.Workbook();
  try {
    await workbook.xlsx.load(bytes.slice().buffer);
  } catch {
    throw new FormatError(1, undefined, phrases.theXlsxFileCannotBeRead);
  }
  const sheet = workbook.worksheets.find((s) => s.actualRowCount > 0);
  if (!sheet) throw new FormatError(1, undefined, phrases.noSheetOfTheFileHolds);
  if (sheet.rowCount > MOST_ROW || sheet.columnCount > MOST_COLUMN)
    throw new FormatError(1, undefined, phrases.aSheetOfRowsAndColumns(sheet.rowCount, sheet.columnCount));
  const rows = Array.from({ length: sheet.rowCount }, (_, i) => {
    const row = sheet.getRow(i + 1);
    return Array.from({ length: sheet.columnCount }, (__, j) =>
      textOf(row.getCell(j + 1).value, i + 1, row.getCell(j + 1).address.replace(/\d+$/, '')),
    );
  });
  const [header = [], ...others] = rows;
  return writeTable(header, others);
}

/** What a spreadsheet would show the same as a figure; all else stays text, so that nothing is reckoned with. */
const cellOf = (text: string): string | number =>
  /^-?\d+(\.\d+)?$/.test(text) && String(Number(text)) === text ? Number(text) : text;

/** Rows as an XLSX file, with the columns that are used. */
export async function workbookOf(rows: readonly Pick<NotebookRow, 'cells'>[]): Promise<Uint8Array> {
  const workbook = new ExcelJS.Workbook();
  const sheet = workbook.addWorksheet('notebook', { views: [{ state: 'frozen', ySplit: 1 }] });
  const header = columnsUsed(rows);
  sheet.addRow([...header]);
  for (const { cells } of rows)
    sheet.addRow(header.map((c) => (cells[c] === undefined ? null : cellOf(cells[c]))));
  return new Uint8Array(await workbook.xlsx.writeBuffer());
}
