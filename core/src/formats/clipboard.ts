import { parse } from 'csv-parse/browser/esm/sync';
import { stringify } from 'csv-stringify/browser/esm/sync';

/** A block of cells as spreadsheets put it on the clipboard: tabs and lines, with quotes around what holds them. */
export const toClipboard = (block: readonly (readonly string[])[]): string =>
  stringify(
    block.map((row) => [...row]),
    { delimiter: '\t', eof: false },
  );

/** What spreadsheets put there; a quote that stands for itself is one. */
export const fromClipboard = (text: string): string[][] =>
  parse(text.replace(/\r\n?/g, '\n').replace(/\n$/, ''), {
    delimiter: '\t',
    relax_quotes: true,
    relax_column_count: true,
    skip_empty_lines: false,
  }) as unknown as string[][];
