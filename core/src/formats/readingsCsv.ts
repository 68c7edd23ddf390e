import { DIRECTIONS, type Direction } from '../grade/direction.ts';
import { QUANTITIES, READING_BOUNDS, type Quantity, type ReadingBound } from '../log/event.ts';
import { FormatError, readTable, type TableRow } from './table.ts';
import * as phrases from './phrases.ts';

/** Columns of `readings.csv`, in their order. */
export const READINGS_COLUMNS = [
  ...([
    'walk_id',
    'product',
    'path',
    'walk',
    'quantity',
    'direction',
    'travelled_m',
    'separation_m',
  ] as const),
  ...(['value', 'unit', 'bound', 'least', 'most', 'band', 'cell', 'server', 'instrument', 'load'] as const),
  ...(['height_m', 'provenance', 'simulated'] as const),
] as const;

/** A reading as the file has it; without a value nothing was received. */
export interface ReadingRow {
  readonly product: string;
  readonly path: string;
  readonly walk: string;
  readonly quantity: Quantity;
  readonly direction: Direction;
  /** Separation, or travelled where the file has no other; undefined where nobody knows. */
  readonly distanceM: number | undefined;
  readonly value: number | undefined;
  readonly bound: ReadingBound | undefined;
  readonly band: string | undefined;
  readonly cell: string | undefined;
}

const oneOf = <T extends string>(row: TableRow, column: string, known: readonly T[]): T => {
  const found = known.find((k) => k === row.text(column));
  if (!found)
    throw new FormatError(
      row.line,
      column,
      phrases.thereAre(JSON.stringify(row.text(column)), known.join(', ')),
    );
  return found;
};

/** Whether a table is `readings.csv`, of this version or one before. */
export const isReadings = (text: string): boolean => /^\uFEFF?[^\n]*\bquantity\b/.test(text);

/** Reads `readings.csv`. @throws FormatError with line and column */
export function readReadings(text: string): ReadingRow[] {
  return readTable(text, {
    required: ['product', 'path', 'walk', 'quantity', 'direction', 'travelled_m', 'value'],
    optional: READINGS_COLUMNS.filter((c) => !['product', 'path', 'walk', 'quantity'].includes(c)),
  }).map((row): ReadingRow => {
    const said = (column: string): string | undefined =>
      row.has(column) && row.text(column) !== '' ? row.text(column) : undefined;
    const separationM = row.has('separation_m') ? row.optionalNumber('separation_m') : undefined;
    return {
      product: row.word('product'),
      path: row.word('path'),
      walk: row.word('walk'),
      quantity: oneOf(row, 'quantity', QUANTITIES),
      direction: oneOf(row, 'direction', DIRECTIONS),
      distanceM: separationM ?? row.optionalNumber('travelled_m'),
      value: row.optionalNumber('value'),
      bound: said('bound') === undefined ? undefined : oneOf(row, 'bound', READING_BOUNDS),
      band: said('band'),
      cell: said('cell'),
    };
  });
}
