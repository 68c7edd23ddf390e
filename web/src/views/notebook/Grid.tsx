import { createColumnHelper, columnVisibilityFeature, tableFeatures, useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { fromClipboard, toClipboard } from '@urvek/core';
import { COLUMNS, type Column } from '@urvek/study';
import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import * as grid from './gridState.ts';
import type { Cells, GridState, Place } from './gridState.ts';

/** What stands under a cell: it is wrong, or can be read two ways. */
export interface Mark {
  readonly what: string;
  readonly asked: boolean;
}

const features = tableFeatures({ columnVisibilityFeature });
const helper = createColumnHelper<typeof features, Cells>();
const columns = helper.columns(
  COLUMNS.map((c) =>
    helper.accessor((cells: Cells) => cells[c] ?? '', { id: c, header: c.replaceAll('_', ' ') }),
  ),
);

const ROW_PX = 34;
const WIDE: Partial<Record<Column, string>> = {
  words: '14rem',
  remark: '14rem',
  product: '9rem',
  path: '9rem',
  at: '8rem',
  point: '9rem',
};
const WIDTH = '6.5rem';
/** Rows below the last one, to write on. */
const SPARE = 3;
const PAGE = 12;

/** A grid that is written in like a spreadsheet: by keyboard, by paste, with undo. */
export function Grid({
  state,
  onChange,
  shown,
  markOf,
  onPasteWhole,
}: {
  state: GridState;
  onChange: (next: GridState) => void;
  shown: readonly Column[];
  markOf: (row: number, column: Column) => Mark | undefined;
  /** Text that is a table with a header; true: it was taken so. */
  onPasteWhole: (text: string) => boolean;
}) {
  const [cursor, setCursor] = useState<Place>({ row: 0, column: 0 });
  const [anchor, setAnchor] = useState<Place>({ row: 0, column: 0 });
  const [editing, setEditing] = useState<string>();
  const place = useRef<HTMLDivElement>(null);
  const data = useMemo(
    () => [...state.rows, ...Array.from({ length: SPARE }, (): Cells => ({}))] as Cells[],
    [state.rows],
  );
  const table = useTable({
    features,
    columns,
    data,
    state: { columnVisibility: Object.fromEntries(COLUMNS.map((c) => [c, shown.includes(c)])) },
  });
  const rows = table.getRowModel().rows;
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => place.current,
    estimateSize: () => ROW_PX,
    overscan: 10,
  });
  const block = grid.blockOf(cursor, anchor);
  const template = `3rem ${shown.map((c) => WIDE[c] ?? WIDTH).join(' ')}`;
  const go = (row: number, column: number, extend = false): void => {
    const next = {
      row: Math.max(0, Math.min(data.length - 1, row)),
      column: Math.max(0, Math.min(shown.length - 1, column)),
    };
    setCursor(next);
    if (!extend) setAnchor(next);
    virtual.scrollToIndex(next.row);
  };
  useEffect(() => {
    document.getElementById(cellId(cursor))?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [cursor]);
  const commit = (text: string, down: number, right: number): void => {
    setEditing(undefined);
    if (text !== (state.rows[cursor.row]?.[shown[cursor.column] as Column] ?? ''))
      onChange(grid.write(state, shown, cursor, [[text]]));
    place.current?.focus();
    go(cursor.row + down, cursor.column + right);
  };
  const commands: Readonly<Record<string, () => void>> = {
    z: () => onChange(grid.undone(state)),
    y: () => onChange(grid.redone(state)),
    d: () => onChange(grid.fillDown(state, shown, block)),
  };
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    PageUp: [-PAGE, 0],
    PageDown: [PAGE, 0],
    Home: [0, -shown.length],
    End: [0, shown.length],
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    if (editing !== undefined) return;
    const move = moves[e.key];
    const command =
      e.ctrlKey || e.metaKey
        ? commands[e.shiftKey && e.key.toLowerCase() === 'z' ? 'y' : e.key.toLowerCase()]
        : undefined;
    if (move) go(cursor.row + move[0], cursor.column + move[1], e.shiftKey);
    else if (command) command();
    else if (e.key === 'Delete' || e.key === 'Backspace') onChange(grid.clear(state, shown, block));
    else if (e.key === 'Enter' || e.key === 'F2')
      setEditing(state.rows[cursor.row]?.[shown[cursor.column] as Column] ?? '');
    else if (e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey) setEditing(e.key);
    else return;
    e.preventDefault();
  };
  const onPaste = (e: ClipboardEvent): void => {
    if (editing !== undefined) return;
    const text = e.clipboardData.getData('text/plain');
    e.preventDefault();
    if (!onPasteWhole(text)) onChange(grid.write(state, shown, block.from, fromClipboard(text)));
  };
  const onCopy = (cut: boolean) => (e: ClipboardEvent) => {
    if (editing !== undefined) return;
    e.preventDefault();
    e.clipboardData.setData('text/plain', toClipboard(grid.read(state, shown, block)));
    if (cut) onChange(grid.clear(state, shown, block));
  };
  const rowsChanged = (next: GridState) => (): void => {
    onChange(next);
    place.current?.focus();
  };
  return (
    <>
      <div
        ref={place}
        role="grid"
        tabIndex={0}
        aria-label="Notebook: arrow keys move, Enter or a letter writes, Control and D fills down, Control and Z undoes"
        aria-rowcount={rows.length + 1}
        aria-colcount={shown.length + 1}
        aria-activedescendant={cellId(cursor)}
        className="sheet max-h-[48vh] min-h-64 overflow-auto focus-visible:outline-3 focus-visible:outline-accent"
        onKeyDown={onKeyDown}
        onPaste={onPaste}
        onCopy={onCopy(false)}
        onCut={onCopy(true)}
      >
        <div
          role="row"
          aria-rowindex={1}
          className="sticky top-0 z-10 grid w-max bg-paper font-bold"
          style={{ gridTemplateColumns: template }}
        >
          <span role="columnheader" className="border-r border-b border-rule px-1 text-[0.87rem]">
            <span className="sr-only">row</span>
          </span>
          {table.getVisibleLeafColumns().map((c) => (
            <span
              key={c.id}
              role="columnheader"
              className="border-r border-b border-rule px-1.5 py-1 text-[0.87rem]"
            >
              {String(c.columnDef.header)}
            </span>
          ))}
        </div>
        <div className="relative w-max" style={{ height: virtual.getTotalSize() }} role="presentation">
          {virtual.getVirtualItems().map(({ index, start }) => (
            <div
              key={index}
              role="row"
              aria-rowindex={index + 2}
              className="absolute left-0 grid w-max"
              style={{ top: start, height: ROW_PX, gridTemplateColumns: template }}
            >
              <span
                role="rowheader"
                className="figure border-r border-b border-rule bg-paper px-1 py-1 text-right text-[0.87rem] text-faint"
              >
                {index + 1}
              </span>
              {rows[index]?.getVisibleCells().map((cell, column) => {
                const here = { row: index, column };
                const mark = markOf(index, cell.column.id as Column);
                const current = cursor.row === index && cursor.column === column;
                return (
                  <div
                    key={cell.id}
                    id={cellId(here)}
                    role="gridcell"
                    tabIndex={-1}
                    aria-selected={grid.isIn(block, here)}
                    aria-invalid={mark !== undefined}
                    title={mark?.what}
                    className={`relative overflow-hidden border-r border-b border-rule py-1 pl-1.5 whitespace-nowrap ${mark ? 'pr-5' : 'pr-1.5'} ${grid.isIn(block, here) ? 'bg-[#dbe7ee]' : 'bg-white'} ${current ? 'outline-2 -outline-offset-2 outline-ink' : ''}`}
                    onMouseDown={(e) => {
                      if (current && editing !== undefined) return;
                      e.preventDefault();
                      place.current?.focus();
                      go(index, column, e.shiftKey);
                      setEditing(undefined);
                    }}
                    onDoubleClick={() => setEditing(String(cell.getValue()))}
                  >
                    {current && editing !== undefined ? (
                      <Editor
                        label={String(cell.column.columnDef.header)}
                        text={editing}
                        onCommit={commit}
                        onCancel={() => {
                          setEditing(undefined);
                          place.current?.focus();
                        }}
                      />
                    ) : (
                      String(cell.getValue())
                    )}
                    {mark && (
                      <span
                        aria-hidden
                        className="absolute inset-y-0 right-0 w-4 bg-inherit text-center font-bold text-lost"
                      >
                        {mark.asked ? '?' : '!'}
                      </span>
                    )}
                  </div>
                );
              })}
            </div>
          ))}
        </div>
      </div>
      <p className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-quiet"
          onClick={rowsChanged(grid.withRowAt(state, block.from.row))}
        >
          Row before
        </button>
        <button type="button" className="btn btn-quiet" onClick={rowsChanged(grid.withoutRows(state, block))}>
          Remove{' '}
          {block.to.row > block.from.row
            ? `rows ${block.from.row + 1} to ${block.to.row + 1}`
            : `row ${block.from.row + 1}`}
        </button>
      </p>
    </>
  );
}

const cellId = ({ row, column }: Place): string => `cell-${row}-${column}`;

function Editor({
  label,
  text,
  onCommit,
  onCancel,
}: {
  label: string;
  text: string;
  onCommit: (text: string, down: number, right: number) => void;
  onCancel: () => void;
}) {
  const [value, setValue] = useState(text);
  const done = useRef(false);
  const commit = (down: number, right: number): void => {
    if (done.current) return;
    done.current = true;
    onCommit(value, down, right);
  };
  return (
    <input
      // What is written goes where one has begun to write.
      ref={(input) => input?.focus()}
      aria-label={label}
      className="absolute inset-0 w-full bg-white px-1.5 outline-3 -outline-offset-3 outline-accent"
      value={value}
      onChange={(e) => setValue(e.target.value)}
      onBlur={() => commit(0, 0)}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Enter') commit(e.shiftKey ? -1 : 1, 0);
        else if (e.key === 'Tab') {
          e.preventDefault();
          commit(0, e.shiftKey ? -1 : 1);
        } else if (e.key === 'Escape') {
          done.current = true;
          onCancel();
        }
      }}
    />
  );
}
