import { censoringOf, type WalkInterval } from '../walk/walkInterval.ts';
import { FormatError, readTable, writeTable, type TableRow } from './table.ts';
import * as phrases from './phrases.ts';

/** A row of the walk-interval format, with the columns that may stand beside it. */
export interface WalkIntervalRow extends WalkInterval {
  readonly criterion?: string;
  readonly direction?: string;
}

const REQUIRED = ['product', 'path', 'walk', 'held_m', 'failed_m'] as const;
export const SELECTORS = ['criterion', 'direction', 'unit'] as const;
/**
 * Uncertainties, in metres, of ln distance for the error common to a product's walks of one method, and in metres
 * for what all walks of a path are off by together;
 * absent is 0 or unknown.
 */
const FIGURES = {
  held_u_m: 'heldUM',
  failed_u_m: 'failedUM',
  scale_u: 'scaleU',
  offset_u_m: 'offsetUM',
} as const;
const FIGURE_COLUMNS = Object.keys(FIGURES) as (keyof typeof FIGURES)[];
const WORDS = ['pair', 'method', 'outing'] as const;
const FLAGS = ['unplaced'] as const;
const OPTIONAL = [...SELECTORS, ...WORDS, ...FIGURE_COLUMNS, ...FLAGS] as const;

/**
 * Reads walk intervals (RFC 4180, header required, columns in any order). Empty `failed_m`: the path ended
 * first, unless `unplaced` says that it failed where nobody knows; `held_m` 0: failed at the first point;
 * both equal: exact.
 * @throws FormatError for whatever is not of that form.
 */
export const readWalkIntervals = (text: string): WalkIntervalRow[] =>
  readTable(text, { required: REQUIRED, optional: OPTIONAL }).map(readRow);

function readRow(row: TableRow): WalkIntervalRow {
  const failed = row.text('failed_m');
  const interval: WalkIntervalRow = {
    product: row.word('product'),
    path: row.word('path'),
    walk: row.word('walk'),
    heldM: metres(row, 'held_m'),
    failedM: failed === '' ? undefined : metres(row, 'failed_m'),
    ...Object.fromEntries(SELECTORS.flatMap((name) => (row.has(name) ? [[name, row.text(name)]] : []))),
    ...Object.fromEntries(WORDS.flatMap((name) => (row.text(name) === '' ? [] : [[name, row.text(name)]]))),
    ...Object.fromEntries(
      FIGURE_COLUMNS.flatMap((name) => {
        const value = row.text(name) === '' ? 0 : metres(row, name);
        return value > 0 ? [[FIGURES[name], value]] : [];
      }),
    ),
    ...(row.text('unplaced') === '' ? {} : { unplaced: yes(row) }),
  };
  checkInterval(interval, row.line);
  return interval;
}

function yes(row: TableRow): boolean {
  const text = row.text('unplaced');
  if (text !== 'yes' && text !== 'no') throw new FormatError(row.line, 'unplaced', phrases.notYesOrNo(text));
  return text === 'yes';
}

function metres(row: TableRow, column: string): number {
  const value = row.number(column);
  if (value < 0) throw new FormatError(row.line, column, `negative: ${row.text(column)}`);
  return value;
}

function checkInterval(row: WalkInterval, line: number): void {
  if (row.heldM === 0 && row.failedM === 0) throw new FormatError(line, 'failed_m', phrases.held0AndFailed0A);
  try {
    censoringOf(row);
  } catch (error) {
    throw new FormatError(line, 'failed_m', (error as RangeError).message);
  }
}

/**
 * Writes walk intervals; readWalkIntervals reads them back to the last digit. Cells that a spreadsheet
 * would run are escaped.
 */
export function writeWalkIntervals(rows: readonly WalkIntervalRow[]): string {
  const words = [...SELECTORS, ...WORDS].filter((name) => rows.some((row) => row[name] !== undefined));
  const figures = FIGURE_COLUMNS.filter((name) => rows.some((row) => row[FIGURES[name]] !== undefined));
  const flags = FLAGS.filter((name) => rows.some((row) => row[name] !== undefined));
  const body = rows.map((row) => [
    row.product,
    row.path,
    row.walk,
    row.heldM,
    row.failedM ?? '',
    ...words.map((name) => row[name] ?? ''),
    ...figures.map((name) => row[FIGURES[name]] ?? ''),
    ...flags.map((name) => (row[name] ? 'yes' : '')),
  ]);
  return writeTable([...REQUIRED, ...words, ...figures, ...flags], body);
}
