import { parse, type CsvError } from 'csv-parse/browser/esm/sync';
import { stringify } from 'csv-stringify/browser/esm/sync';
import * as phrases from './phrases.ts';

/** What is wrong with a file, and where: line from 1, column by name. */
export class FormatError extends Error {
  constructor(
    readonly line: number,
    readonly column: string | undefined,
    what: string,
  ) {
    super(`line ${line}${column === undefined ? '' : `, column ${column}`}: ${what}`);
    this.name = 'FormatError';
  }
}

/** One record of a table, with readers that say line and column of what is wrong. */
export interface TableRow {
  readonly line: number;
  has(column: string): boolean;
  /** Trimmed; empty where the column is missing. */
  text(column: string): string;
  /** @throws FormatError when empty. */
  word(column: string): string;
  /** @throws FormatError unless a finite number. */
  number(column: string): number;
  /** Undefined when empty. */
  optionalNumber(column: string): number | undefined;
}

export interface TableColumns {
  readonly required: readonly string[];
  readonly optional?: readonly string[];
}

/**
 * Reads a table (RFC 4180, header required, columns in any order).
 * @throws FormatError for whatever is not of that form.
 */
export function readTable(text: string, { required, optional = [] }: TableColumns): TableRow[] {
  const [header, ...records] = parseRecords(text);
  if (!header) throw new FormatError(1, undefined, phrases.theFileIsEmptyAHeader);
  const known = [...required, ...optional];
  checkHeader(header, required, known);
  return records.map((record) => rowOf(record, header.cells));
}

/** More than any table of walks; what is longer is not read at all. */
const MOST_LINES = 500_000;

interface CsvRecord {
  readonly cells: string[];
  readonly line: number;
}

export function parseRecords(text: string, delimiter = ','): CsvRecord[] {
  let lines = 0;
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1))
    if (++lines > MOST_LINES) throw new FormatError(lines, undefined, phrases.moreThanLines(MOST_LINES));
  try {
    const parsed = parse(text, {
      delimiter,
      bom: true,
      info: true,
      relax_column_count: true,
      skip_empty_lines: true,
    }) as unknown as { record: string[]; info: { lines: number } }[];
    // `lines` counts to the end of a record: one with line breaks inside quotes is named by its last line.
    return parsed.map(({ record, info }) => ({ cells: record, line: info.lines }));
  } catch (error) {
    const { message, lines } = error as CsvError & { lines?: number };
    throw new FormatError(lines ?? 1, undefined, message);
  }
}

function checkHeader(
  { cells: names, line }: CsvRecord,
  required: readonly string[],
  known: readonly string[],
): void {
  for (const name of names) {
    if (!known.includes(name))
      throw new FormatError(line, JSON.stringify(name), phrases.unknownColumnKnownAre(known.join(', ')));
    if (names.indexOf(name) !== names.lastIndexOf(name))
      throw new FormatError(line, name, phrases.theColumnStandsTwice);
  }
  for (const name of required)
    if (!names.includes(name)) throw new FormatError(line, name, phrases.theColumnIsMissing);
}

const NUMBER = /^[+-]?(\d+(\.\d*)?|\.\d+)([eE][+-]?\d+)?$/;

function rowOf({ cells, line }: CsvRecord, names: readonly string[]): TableRow {
  if (cells.length !== names.length)
    throw new FormatError(line, undefined, phrases.fieldsWhereTheHeaderHas(cells.length, names.length));
  const text = (column: string): string => (cells[names.indexOf(column)] ?? '').trim();
  const number = (column: string): number => {
    const value = NUMBER.test(text(column)) ? Number(text(column)) : Number.NaN;
    if (!Number.isFinite(value))
      throw new FormatError(line, column, phrases.isNotAFiniteNumber(JSON.stringify(text(column))));
    return value;
  };
  return {
    line,
    text,
    number,
    has: (column) => names.includes(column),
    word: (column) => {
      if (text(column) === '') throw new FormatError(line, column, 'empty');
      return text(column);
    },
    optionalNumber: (column) => (text(column) === '' ? undefined : number(column)),
  };
}

/** Writes a table (RFC 4180). Cells that a spreadsheet would run as formulas are escaped. */
export const writeTable = (
  header: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string =>
  stringify([[...header], ...rows.map((r) => [...r])], { record_delimiter: '\r\n', escape_formulas: true });
