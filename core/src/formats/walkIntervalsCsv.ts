import { parse, type CsvError } from 'csv-parse/browser/esm/sync';
import { stringify } from 'csv-stringify/browser/esm/sync';
import { censoringOf, type WalkInterval } from '../range/walkInterval.ts';

/** A row of the walk-interval format, with the columns that may stand beside it. */
export interface WalkIntervalRow extends WalkInterval {
  readonly criterion?: string;
  readonly direction?: string;
  readonly unit?: string;
}

const REQUIRED = ['product', 'path', 'walk', 'held_m', 'failed_m'] as const;
export const SELECTORS = ['criterion', 'direction', 'unit'] as const;
const KNOWN: readonly string[] = [...REQUIRED, ...SELECTORS];

/** What is wrong with a file, and where: line from 1, column by name. */
export class FormatError extends Error {
  constructor(readonly line: number, readonly column: string | undefined, what: string) {
    super(`line ${line}${column === undefined ? '' : `, column ${column}`}: ${what}`);
    this.name = 'FormatError';
  }
}

/**
 * Reads walk intervals (RFC 4180, header required, columns in any order). Empty `failed_m`: the path ended first;
 * `held_m` 0: failed at the first point; both equal: exact.
 * @throws FormatError for whatever is not of that form.
 */
export function readWalkIntervals(text: string): WalkIntervalRow[] {
  const records = parseRecords(text);
  const header = records[0];
  if (!header) throw new FormatError(1, undefined, 'the file is empty; a header is required');
  checkHeader(header.cells, header.line);
  return records.slice(1).map((record) => readRow(record, header.cells));
}

interface CsvRecord { readonly cells: string[]; readonly line: number }

function parseRecords(text: string): CsvRecord[] {
  try {
    const parsed = parse(text, { bom: true, info: true, relax_column_count: true, skip_empty_lines: true }) as unknown as { record: string[]; info: { lines: number } }[];
    // `lines` counts to the end of a record: one with line breaks inside quotes is named by its last line.
    return parsed.map(({ record, info }) => ({ cells: record, line: info.lines }));
  } catch (error) {
    const { message, lines } = error as CsvError & { lines?: number };
    throw new FormatError(lines ?? 1, undefined, message);
  }
}

function checkHeader(names: readonly string[], line: number): void {
  for (const name of names) {
    if (!KNOWN.includes(name)) throw new FormatError(line, JSON.stringify(name), `unknown column; known are ${KNOWN.join(', ')}`);
    if (names.indexOf(name) !== names.lastIndexOf(name)) throw new FormatError(line, name, 'the column stands twice');
  }
  for (const name of REQUIRED) if (!names.includes(name)) throw new FormatError(line, name, 'the column is missing');
}

function readRow({ cells, line }: CsvRecord, names: readonly string[]): WalkIntervalRow {
  if (cells.length !== names.length) throw new FormatError(line, undefined, `${cells.length} fields where the header has ${names.length}`);
  const cell = (name: string): string => cells[names.indexOf(name)] ?? '';
  const word = (name: string): string => {
    const value = cell(name).trim();
    if (value === '') throw new FormatError(line, name, 'empty');
    return value;
  };
  const row: WalkIntervalRow = {
    product: word('product'), path: word('path'), walk: word('walk'),
    heldM: metres(cell('held_m'), line, 'held_m'),
    failedM: cell('failed_m').trim() === '' ? undefined : metres(cell('failed_m'), line, 'failed_m'),
    ...Object.fromEntries(SELECTORS.filter((name) => names.includes(name)).map((name) => [name, cell(name).trim()])),
  };
  checkInterval(row, line);
  return row;
}

function metres(text: string, line: number, column: string): number {
  if (!/^\s*[+-]?(\d+(\.\d*)?|\.\d+)([eE][+-]?\d+)?\s*$/.test(text)) throw new FormatError(line, column, `${JSON.stringify(text)} is not a number of metres`);
  const value = Number(text);
  if (!Number.isFinite(value)) throw new FormatError(line, column, `${JSON.stringify(text)} is not a finite number`);
  if (value < 0) throw new FormatError(line, column, `negative: ${text.trim()}`);
  return value;
}

function checkInterval(row: WalkInterval, line: number): void {
  if (row.heldM === 0 && row.failedM === 0) throw new FormatError(line, 'failed_m', 'held 0 and failed 0: a failure at the zero point is the rig’s, not the range’s');
  try {
    censoringOf(row);
  } catch (error) {
    throw new FormatError(line, 'failed_m', (error as RangeError).message);
  }
}

/** Writes walk intervals; readWalkIntervals reads them back to the last digit. Cells that a spreadsheet would run are escaped. */
export function writeWalkIntervals(rows: readonly WalkIntervalRow[]): string {
  const selectors = SELECTORS.filter((name) => rows.some((row) => row[name] !== undefined));
  const columns = [...REQUIRED, ...selectors];
  const body = rows.map((row) => [row.product, row.path, row.walk, row.heldM, row.failedM ?? '', ...selectors.map((name) => row[name] ?? '')]);
  return stringify([columns, ...body], { record_delimiter: '\r\n', escape_formulas: true });
}
