import { censoringOf, type WalkInterval } from '../walk/walkInterval.ts';
import { FormatError, readTable, writeTable, type TableRow } from './table.ts';

/** A row of the walk-interval format, with the columns that may stand beside it. */
export interface WalkIntervalRow extends WalkInterval {
  readonly criterion?: string;
  readonly direction?: string;
}

const REQUIRED = ['product', 'path', 'walk', 'held_m', 'failed_m'] as const;
export const SELECTORS = ['criterion', 'direction', 'unit'] as const;
const OPTIONAL = [...SELECTORS, 'pair'] as const;

/**
 * Reads walk intervals (RFC 4180, header required, columns in any order). Empty `failed_m`: the path ended
 * first; `held_m` 0: failed at the first point; both equal: exact.
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
    ...(row.text('pair') === '' ? {} : { pair: row.text('pair') }),
  };
  checkInterval(interval, row.line);
  return interval;
}

function metres(row: TableRow, column: string): number {
  const value = row.number(column);
  if (value < 0) throw new FormatError(row.line, column, `negative: ${row.text(column)}`);
  return value;
}

function checkInterval(row: WalkInterval, line: number): void {
  if (row.heldM === 0 && row.failedM === 0)
    throw new FormatError(
      line,
      'failed_m',
      'held 0 and failed 0: a failure at the zero point is the rig’s, not the range’s',
    );
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
  const selectors = OPTIONAL.filter((name) => rows.some((row) => row[name] !== undefined));
  const columns = [...REQUIRED, ...selectors];
  const body = rows.map((row) => [
    row.product,
    row.path,
    row.walk,
    row.heldM,
    row.failedM ?? '',
    ...selectors.map((name) => row[name] ?? ''),
  ]);
  return writeTable(columns, body);
}
