import { fromClipboard, toClipboard } from '@urvek/core';
import type { Column } from '@urvek/study';
import { useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import * as grid from './gridState.ts';
import type { Block, GridState, Place } from './gridState.ts';

const PAGE = 12;

/** Where one is in the grid, what is selected and written, and what the keys and the clipboard do there. */
export function useGridCursor({
  state,
  onChange,
  shown,
  rowCount,
  onGo,
  onDone,
  onPasteWhole,
}: {
  state: GridState;
  onChange: (next: GridState) => void;
  shown: readonly Column[];
  rowCount: number;
  onGo: (row: number) => void;
  /** What was written stands: the keys are the grid's again. */
  onDone: () => void;
  onPasteWhole: (text: string) => boolean;
}) {
  const [cursor, setCursor] = useState<Place>({ row: 0, column: 0 });
  const [anchor, setAnchor] = useState<Place>({ row: 0, column: 0 });
  const [editing, setEditing] = useState<string>();
  const block: Block = grid.blockOf(cursor, anchor);
  const textHere = state.rows[cursor.row]?.[shown[cursor.column] as Column] ?? '';
  const go = (row: number, column: number, extend = false): void => {
    const next = {
      row: Math.max(0, Math.min(rowCount - 1, row)),
      column: Math.max(0, Math.min(shown.length - 1, column)),
    };
    setCursor(next);
    if (!extend) setAnchor(next);
    onGo(next.row);
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
  const copy = (cut: boolean) => (e: ClipboardEvent) => {
    if (editing !== undefined) return;
    e.preventDefault();
    e.clipboardData.setData('text/plain', toClipboard(grid.read(state, shown, block)));
    if (cut) onChange(grid.clear(state, shown, block));
  };
  return {
    cursor,
    block,
    editing,
    go,
    edit: setEditing,
    /** What was written, and how far to go on. */
    commit: (text: string, down: number, right: number): void => {
      setEditing(undefined);
      if (text !== textHere) onChange(grid.write(state, shown, cursor, [[text]]));
      onDone();
      go(cursor.row + down, cursor.column + right);
    },
    handlers: {
      onKeyDown: (e: KeyboardEvent): void => {
        if (editing !== undefined) return;
        const move = moves[e.key];
        const command =
          e.ctrlKey || e.metaKey
            ? commands[e.shiftKey && e.key.toLowerCase() === 'z' ? 'y' : e.key.toLowerCase()]
            : undefined;
        if (move) go(cursor.row + move[0], cursor.column + move[1], e.shiftKey);
        else if (command) command();
        else if (e.key === 'Delete' || e.key === 'Backspace') onChange(grid.clear(state, shown, block));
        else if (e.key === 'Enter' || e.key === 'F2') setEditing(textHere);
        else if (e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey) setEditing(e.key);
        else return;
        e.preventDefault();
      },
      onPaste: (e: ClipboardEvent): void => {
        if (editing !== undefined) return;
        const text = e.clipboardData.getData('text/plain');
        e.preventDefault();
        if (!onPasteWhole(text)) onChange(grid.write(state, shown, block.from, fromClipboard(text)));
      },
      onCopy: copy(false),
      onCut: copy(true),
    },
  };
}
