import type { Column } from '@urvek/study';

export type Cells = Readonly<Partial<Record<Column, string>>>;

/** A place in the grid: row, and column among those shown. */
export interface Place {
  readonly row: number;
  readonly column: number;
}

/** What the grid holds, and how it came to it. */
export interface GridState {
  readonly rows: readonly Cells[];
  readonly undo: readonly (readonly Cells[])[];
  readonly redo: readonly (readonly Cells[])[];
}

/** So many steps back are kept. */
const MOST_UNDO = 200;

export const gridOf = (rows: readonly Cells[]): GridState => ({ rows, undo: [], redo: [] });

const become = (state: GridState, rows: readonly Cells[]): GridState => ({
  rows: trimmed(rows),
  undo: [...state.undo, state.rows].slice(-MOST_UNDO),
  redo: [],
});

/** Empty rows at the end are none. */
function trimmed(rows: readonly Cells[]): readonly Cells[] {
  const last = rows.findLastIndex((r) => Object.keys(r).length > 0);
  return rows.slice(0, last + 1);
}

function withCell(cells: Cells, column: Column, value: string): Cells {
  const { [column]: _, ...others } = cells;
  return value.trim() === '' ? others : { ...others, [column]: value.trim() };
}

/** Writes a block of texts from a place on, as far as there are columns. */
export function write(
  state: GridState,
  columns: readonly Column[],
  at: Place,
  block: readonly (readonly string[])[],
): GridState {
  const rows = [...state.rows];
  block.forEach((texts, i) => {
    while (rows.length <= at.row + i) rows.push({});
    texts.forEach((text, j) => {
      const column = columns[at.column + j];
      if (column) rows[at.row + i] = withCell(rows[at.row + i] as Cells, column, text);
    });
  });
  return become(state, rows);
}

/** The cells from one place to another, both included. */
export interface Block {
  readonly from: Place;
  readonly to: Place;
}
export const blockOf = (a: Place, b: Place): Block => ({
  from: { row: Math.min(a.row, b.row), column: Math.min(a.column, b.column) },
  to: { row: Math.max(a.row, b.row), column: Math.max(a.column, b.column) },
});
export const isIn = ({ from, to }: Block, { row, column }: Place): boolean =>
  row >= from.row && row <= to.row && column >= from.column && column <= to.column;

export const read = (state: GridState, columns: readonly Column[], { from, to }: Block): string[][] =>
  Array.from({ length: to.row - from.row + 1 }, (_, i) =>
    columns.slice(from.column, to.column + 1).map((c) => state.rows[from.row + i]?.[c] ?? ''),
  );

export const clear = (state: GridState, columns: readonly Column[], block: Block): GridState =>
  write(
    state,
    columns,
    block.from,
    read(state, columns, block).map((texts) => texts.map(() => '')),
  );

/** The top row of a block into all below it; of one row, what stands above it. */
export function fillDown(state: GridState, columns: readonly Column[], { from, to }: Block): GridState {
  const source = from.row === to.row ? from.row - 1 : from.row;
  if (source < 0) return state;
  const [top = []] = read(state, columns, { from: { ...from, row: source }, to: { ...to, row: source } });
  return write(
    state,
    columns,
    { ...from, row: source + 1 },
    Array.from({ length: to.row - source }, () => top),
  );
}

/** A row that is not there any more, or one more, empty. */
export const withoutRows = (state: GridState, { from, to }: Block): GridState =>
  become(
    state,
    state.rows.filter((_, i) => i < from.row || i > to.row),
  );
export const withRowAt = (state: GridState, row: number): GridState => ({
  ...become(state, state.rows),
  rows: [...state.rows.slice(0, row), {}, ...state.rows.slice(row)],
});

export const replaced = (state: GridState, rows: readonly Cells[]): GridState => become(state, rows);

export function undone({ rows, undo, redo }: GridState): GridState {
  const before = undo.at(-1);
  return before ? { rows: before, undo: undo.slice(0, -1), redo: [...redo, rows] } : { rows, undo, redo };
}
export function redone({ rows, undo, redo }: GridState): GridState {
  const after = redo.at(-1);
  return after ? { rows: after, undo: [...undo, rows], redo: redo.slice(0, -1) } : { rows, undo, redo };
}
