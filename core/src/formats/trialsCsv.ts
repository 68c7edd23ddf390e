import type { TrialRow } from '../estimate/hits/firth.ts';
import type { ThroughputRow } from '../estimate/figures/figureCurve.ts';
import { FormatError, readTable, type TableRow } from './table.ts';
import * as phrases from './phrases.ts';

/** A row of hits and misses, with the product where the file names one. */
export interface ProductTrialRow extends TrialRow {
  readonly product: string | undefined;
  /** Which walk the presses were of; without it there is no interval. */
  readonly walk: string | undefined;
}

function above(row: TableRow, column: string, least: number, strictly = false): number {
  const value = row.number(column);
  if (strictly ? !(value > least) : !(value >= least))
    throw new FormatError(row.line, column, `${value} is ${strictly ? 'not above' : 'below'} ${least}`);
  return value;
}

function whole(row: TableRow, column: string, least: number): number {
  const value = above(row, column, least);
  if (!Number.isInteger(value)) throw new FormatError(row.line, column, phrases.isNotAWholeNumber(value));
  return value;
}

/** Reads `distance_m,trials,successes` and, where there are several, `product` and `walk`. @throws FormatError */
export function readTrials(text: string): ProductTrialRow[] {
  return readTable(text, {
    required: ['distance_m', 'trials', 'successes'],
    optional: ['product', 'walk'],
  }).map((row) => {
    const [distanceM, trials, successes] = [
      above(row, 'distance_m', 0, true),
      whole(row, 'trials', 1),
      whole(row, 'successes', 0),
    ];
    if (successes > trials) throw new FormatError(row.line, 'successes', `${successes} of ${trials} trials`);
    return {
      distanceM,
      trials,
      successes,
      product: row.has('product') ? row.word('product') : undefined,
      walk: row.has('walk') ? row.word('walk') : undefined,
    };
  });
}

/** Reads `distance_m,throughput_mbps`. @throws FormatError */
export const readThroughput = (text: string): ThroughputRow[] =>
  readTable(text, { required: ['distance_m', 'throughput_mbps'] }).map((row) => ({
    distanceM: above(row, 'distance_m', 0),
    mbps: above(row, 'throughput_mbps', 0),
  }));
