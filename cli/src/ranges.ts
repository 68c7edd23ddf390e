import { type Interchange } from '@urvek/contract';
import {
  questionsOf,
  readWalkIntervals,
  SELECTORS,
  SIDES,
  summariseRanges,
  type WalkIntervalRow,
  WANTED_CRITERIA,
} from '@urvek/core';
import { findWalks, intervalRows } from '@urvek/study';
import { BadInput } from './badInput.ts';
import { comparisonOf } from './comparison.ts';
import { rangesJson } from './rangesJson.ts';
import { rangesTable } from './rangesTable.ts';
import { readInput } from './readInput.ts';
import { rowsOf } from './readRows.ts';

export type Selection = { readonly [K in (typeof SELECTORS)[number]]?: string };

/** The `ranges` command: reads a file of walk intervals, and gives what it prints. @throws BadInput */
export async function ranges(
  file: string,
  { json, exponent, ...selection }: Selection & { json?: true; exponent?: string },
): Promise<string> {
  const gamma = exponent === undefined ? undefined : Number(exponent);
  if (gamma !== undefined && !(gamma > 0 && Number.isFinite(gamma)))
    throw new BadInput(`--exponent ${exponent}: not a number above 0`);
  const rows = select(await intervalsOf(file, selection), selection, file);
  const summary = summariseRanges(rows.map((row) => (row.unit === '' ? { ...row, unit: undefined } : row)));
  const questions = questionsOf(rows);
  return json
    ? `${JSON.stringify({ ...rangesJson(summary, rows, gamma), questions }, null, 1)}\n`
    : `${questions.map((q) => `Question: ${q}\n`).join('')}${rangesTable(summary)}`;
}

async function intervalsOf(file: string, { criterion, direction }: Selection): Promise<WalkIntervalRow[]> {
  const text = await readInput(file);
  return /^\s*\{/.test(text)
    ? rowsOfComparison(comparisonOf(text, file), criterion, direction, file)
    : rowsOf(file, text, readWalkIntervals);
}

/** Takes every unit, nested in its product. */
const ALL = '*';

/** Walks of a whole comparison by one criterion: the one asked for, or its plan's. */
function rowsOfComparison(
  { setup, walks }: Interchange,
  wanted: string | undefined,
  direction: string | undefined,
  file: string,
): WalkIntervalRow[] {
  const criterion = WANTED_CRITERIA.find((c) => c === (wanted ?? setup.plan.criterion));
  if (!criterion)
    throw new BadInput(`--criterion ${wanted}: not a criterion; there are ${WANTED_CRITERIA.join(', ')}`);
  const side = direction === undefined ? undefined : SIDES.find((s) => s === direction);
  if (direction !== undefined && !side)
    throw new BadInput(`--direction ${direction}: not a direction; there are ${SIDES.join(', ')}`);
  const rows = intervalRows(findWalks(setup, walks), criterion, side);
  if (rows.length === 0)
    throw new BadInput(`${file}: no finished walk has an outcome for ${JSON.stringify(criterion)}`);
  const criteria = [...new Set(rows.map((r) => r.criterion))];
  if (wanted === undefined && criteria.length > 1)
    throw new BadInput(
      `${file}: its kinds of product are judged by several criteria (${criteria.join(', ')}); choose ` +
        'one with --criterion',
    );
  return rows;
}

/** Rows that share one criterion, direction and unit: several values in a column need a choice. */
function select(rows: readonly WalkIntervalRow[], selection: Selection, file: string): WalkIntervalRow[] {
  return SELECTORS.reduce<WalkIntervalRow[]>(
    (left, name) => {
      const values = [...new Set(left.map((row) => row[name] ?? ''))];
      const wanted = selection[name];
      if (name === 'unit' && wanted === ALL) return left;
      if (wanted === undefined) {
        if (values.length > 1)
          throw new BadInput(
            `${file}, column ${name}: several values (${values.map((v) => JSON.stringify(v)).join(', ')}); ` +
              `choose one with --${name}`,
          );
        return left;
      }
      if (!values.includes(wanted))
        throw new BadInput(
          `${file}, column ${name}: no row has ${JSON.stringify(wanted)}; there is ` +
            `${values.map((v) => JSON.stringify(v)).join(', ') || 'no row'}`,
        );
      return left.filter((row) => (row[name] ?? '') === wanted);
    },
    [...rows],
  );
}
