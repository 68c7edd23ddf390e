import { FormatError, readWalkIntervals, SELECTORS, summariseRanges, type WalkIntervalRow } from '@urvek/core';
import { BadInput } from './badInput.ts';
import { readInput } from './readInput.ts';
import { rangesJson } from './rangesJson.ts';
import { rangesTable } from './rangesTable.ts';

export type Selection = { readonly [K in (typeof SELECTORS)[number]]?: string };

/** The `ranges` command: reads a file of walk intervals, and gives what it prints. @throws BadInput */
export async function ranges(file: string, { json, ...selection }: Selection & { json?: true }): Promise<string> {
  const summary = summariseRanges(select(await readRows(file), selection, file));
  return json ? `${JSON.stringify(rangesJson(summary), null, 1)}\n` : rangesTable(summary);
}

async function readRows(file: string): Promise<WalkIntervalRow[]> {
  const text = await readInput(file);
  try {
    return readWalkIntervals(text);
  } catch (error) {
    if (error instanceof FormatError) throw new BadInput(`${file}, ${error.message}`);
    throw error;
  }
}

/** Rows that share one criterion, direction and unit: several values in a column need a choice. */
function select(rows: readonly WalkIntervalRow[], selection: Selection, file: string): WalkIntervalRow[] {
  return SELECTORS.reduce<WalkIntervalRow[]>((left, name) => {
    const values = [...new Set(left.map((row) => row[name] ?? ''))];
    const wanted = selection[name];
    if (wanted === undefined) {
      if (values.length > 1) throw new BadInput(`${file}, column ${name}: several values (${values.map((v) => JSON.stringify(v)).join(', ')}); choose one with --${name}`);
      return left;
    }
    if (!values.includes(wanted)) throw new BadInput(`${file}, column ${name}: no row has ${JSON.stringify(wanted)}; there is ${values.map((v) => JSON.stringify(v)).join(', ') || 'no row'}`);
    return left.filter((row) => (row[name] ?? '') === wanted);
  }, [...rows]);
}
