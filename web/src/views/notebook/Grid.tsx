import { useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { COLUMNS, type Column } from '@urvek/study';
import { useEffect, useMemo, useRef } from 'react';
import { columns, features, templateOf } from './gridColumns.ts';
import { cellId, GridCell, type Mark } from './GridCell.tsx';
import * as grid from './gridState.ts';
import type { Cells, GridState } from './gridState.ts';
import { GridHead } from './GridHead.tsx';
import { RowBar } from './RowBar.tsx';
import { useGridCursor } from './useGridCursor.ts';
import * as phrases from './phrases.ts';

const ROW_PX = 34;
/** Rows below the last one, to write on. */
const SPARE = 3;

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
  const focus = (): void => place.current?.focus();
  const { cursor, block, editing, go, edit, commit, handlers } = useGridCursor({
    ...{ state, onChange, shown, onPasteWhole },
    rowCount: data.length,
    onGo: (row) => virtual.scrollToIndex(row),
    onDone: focus,
  });
  const template = templateOf(shown);
  useEffect(() => {
    document.getElementById(cellId(cursor))?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [cursor]);
  const rowsChanged = (next: GridState) => (): void => {
    onChange(next);
    focus();
  };
  return (
    <>
      <div
        ref={place}
        role="grid"
        tabIndex={0}
        aria-label={phrases.notebookArrowKeysMoveEnterOr}
        aria-rowcount={rows.length + 1}
        aria-colcount={shown.length + 1}
        aria-activedescendant={cellId(cursor)}
        className="sheet max-h-[48vh] min-h-64 overflow-auto focus-visible:outline-3 focus-visible:outline-accent"
        {...handlers}
      >
        <GridHead
          template={template}
          titles={table.getVisibleLeafColumns().map((c) => String(c.columnDef.header))}
        />
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
                const current = cursor.row === index && cursor.column === column;
                const text = String(cell.getValue());
                return (
                  <GridCell
                    key={cell.id}
                    here={here}
                    title={String(cell.column.columnDef.header)}
                    text={text}
                    mark={markOf(index, cell.column.id as Column)}
                    selected={grid.isIn(block, here)}
                    current={current}
                    editing={current ? editing : undefined}
                    onPick={(e) => {
                      focus();
                      go(index, column, e.shiftKey);
                      edit(undefined);
                    }}
                    onEdit={() => edit(text)}
                    onCommit={commit}
                    onCancel={() => {
                      edit(undefined);
                      focus();
                    }}
                  />
                );
              })}
            </div>
          ))}
        </div>
      </div>
      <RowBar
        from={block.from.row}
        to={block.to.row}
        onBefore={rowsChanged(grid.withRowAt(state, block.from.row))}
        onRemove={rowsChanged(grid.withoutRows(state, block))}
      />
    </>
  );
}
