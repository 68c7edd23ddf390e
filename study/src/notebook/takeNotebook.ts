import { looksMisread, personKey, type DistanceMethod, type LengthUnit, type Saying } from '@urvek/core';
import type { Setup, StoredWalk } from '@urvek/contract';
import type { Column, Notebook, NotebookRow } from './columns.ts';
import { Kit } from './kit.ts';
import { readRow, RowTrouble, unitOfRow, type RowProblem } from './readRow.ts';
import { isWatched, walkOf, type Drawn } from './toWalk.ts';
import * as phrases from './phrases.ts';

export interface NotebookOptions {
  /** For figures without a unit, where the table does not say it; absent: that is asked. */
  readonly unit?: LengthUnit;
  /** For rows that do not say it; absent: as the path's distances were come by. */
  readonly method?: DistanceMethod;
  /** Kind of products that are new; absent: nothing is known of them. */
  readonly kindId?: string;
  readonly sayings?: readonly Saying[];
  readonly newId: () => string;
  /** Only orders walks without a day. */
  readonly nowMs: number;
}

export interface TakenNotebook {
  /** With the products, rigs and paths that are new, everything else of them unknown. */
  readonly setup: Setup;
  readonly walks: readonly StoredWalk[];
  readonly problems: readonly RowProblem[];
  /** What was taken to be so, and can be seen in the rows. */
  readonly notices: readonly { readonly line: number; readonly what: string }[];
  readonly made: readonly string[];
  readonly rows: number;
}

/** An empty cell of these is as in the row above: one writes them once. */
const AS_ABOVE: readonly Column[] = ['walk', 'date', 'product', 'rig', 'unit', 'path'];

/** Rows with what they take from the row above written out; empty ones are none. */
export function asAbove(rows: readonly NotebookRow[]): NotebookRow[] {
  let above: NotebookRow['cells'] = {};
  return rows.flatMap(({ line, cells }) => {
    if (Object.keys(cells).length === 0) return [];
    above = { ...Object.fromEntries(AS_ABOVE.flatMap((c) => (above[c] ? [[c, above[c]]] : []))), ...cells };
    return [{ line, cells: above }];
  });
}

type Growing = Omit<Drawn, 'rows' | 'gradedBy'> & {
  gradedBy: string | undefined;
  rows: Drawn['rows'][number][];
};

/**
 * Walks out of a notebook: a row an observation, rows of one walk in the order of walking. Rows in which something is
 * wrong, or can be read two ways, are named and left out; whether the rest is taken is the caller's choice.
 */
export function takeNotebook(
  given: Setup,
  comparisonId: string,
  notebook: Notebook,
  options: NotebookOptions,
): TakenNotebook {
  const problems: RowProblem[] = [];
  const kit = new Kit(given, options);
  const walks = new Map<string, Growing>();
  for (const { line, cells } of asAbove(notebook.rows)) {
    try {
      const placed = kit.of(cells);
      const { product, path, rigId } = placed;
      const date = dayOf(cells.date);
      const atS = secondsOf(cells.time);
      const unit = unitOfRow(notebook.units.get(line)) ?? options.unit;
      const method = options.method ?? path.distanceMethod;
      const read = readRow({ line, cells }, { product, path, unit, method, sayings: options.sayings ?? [] });
      kit.reached(path, read);
      const key = [product.id, rigId, path.id, cells.walk ?? '', date ?? ''].join('/');
      const drawn = walks.get(key) ?? { ...placed, date, gradedBy: undefined, rows: [] };
      drawn.gradedBy = graderOf(cells.graded_by, drawn.gradedBy);
      drawn.rows.push({ read, atS });
      walks.set(key, drawn);
    } catch (error) {
      if (!(error instanceof RowTrouble)) throw error;
      problems.push({ line, column: error.column, what: error.message, asked: error.asked });
    }
  }
  for (const { rows } of walks.values()) problems.push(...misread(rows), ...unplacedBack(rows));
  const wrong = new Set(problems.map((p) => p.line));
  const sound = [...walks.values()]
    .map((w) => ({ ...w, rows: w.rows.filter((r) => !wrong.has(r.read.line)) }))
    .filter((w) => w.rows.length > 0);
  const made = sound.map((w, i) => walkOf(w, i, comparisonId, options));
  return {
    ...kit.made(sound),
    problems: problems.sort((a, b) => a.line - b.line),
    notices: made.flatMap(({ backFrom }) =>
      backFrom ? [{ line: backFrom.line, what: phrases.nearerThanTheRowBeforeTaken }] : [],
    ),
    rows: sound.reduce((sum, w) => sum + w.rows.length, 0),
    walks: made.map((m) => m.walk),
  };
}

/** Signs of a name. */
const LONGEST_PERSON = 60;

/** Who graded a walk, by a row and by those before it. @throws RowTrouble where they name two people */
function graderOf(text: string | undefined, before: string | undefined): string | undefined {
  if (text === undefined) return before;
  if (text.length > LONGEST_PERSON)
    throw new RowTrouble('graded_by', phrases.aNameOfSignsIsToo(text.length, LONGEST_PERSON));
  if (before !== undefined && personKey(text) !== personKey(before))
    throw new RowTrouble('graded_by', phrases.gradedTheRowsBefore(before), true);
  return before ?? text;
}

/** A day that there is. @throws RowTrouble for anything else */
function dayOf(text: string | undefined): string | undefined {
  if (text === undefined) return undefined;
  const [, , month] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(text) ?? [];
  if (month === undefined || new Date(`${text}T12:00:00Z`).getUTCMonth() + 1 !== Number(month))
    throw new RowTrouble('date', phrases.isNotADayWriteIt(text), true);
  return text;
}

/** "14:05", "14:05:30": seconds of the day. */
function secondsOf(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  const [, h, m, s] = /^(\d{1,2}):(\d\d)(?::(\d\d(?:\.\d+)?))?$/.exec(text.trim()) ?? [];
  if (h === undefined || Number(h) > 23 || Number(m) > 59 || Number(s ?? 0) >= 60)
    throw new RowTrouble('time', phrases.isNoTimeOfDayWrite(text));
  return 3600 * Number(h) + 60 * Number(m) + Number(s ?? 0);
}

/** A distance far off the one before is another unit, perhaps: the first after one that is not. */
function misread(rows: Drawn['rows']): RowProblem[] {
  let before: number | undefined;
  return rows.flatMap(({ read: { line, reading } }): RowProblem[] => {
    if (!reading) return [];
    const atM = reading.travelledM;
    if (before !== undefined && looksMisread(atM, [before]))
      return [{ line, column: 'at', what: phrases.mAfterMAnotherUnit(atM, before), asked: true }];
    if (atM > 0) before = atM;
    return [];
  });
}

/** Back, where no place is known of what was lost: how good it was is all that can be kept. */
function unplacedBack(rows: Drawn['rows']): RowProblem[] {
  if (isWatched(rows.map((r) => r.read))) return [];
  return rows.flatMap(({ read }): RowProblem[] =>
    read.event === 'back' && read.grade === undefined
      ? [{ line: read.line, column: 'grade', what: phrases.itWasBackHowGoodWas, asked: true }]
      : [],
  );
}
