import type { MouseEvent } from 'react';
import { CellEditor } from './CellEditor.tsx';
import type { Place } from './gridState.ts';

/** What stands under a cell: it is wrong, or can be read two ways. */
export interface Mark {
  readonly what: string;
  readonly asked: boolean;
}

export const cellId = ({ row, column }: Place): string => `cell-${row}-${column}`;

/** One cell of the grid: selected, current, marked, or written in. */
export function GridCell({
  here,
  title,
  text,
  mark,
  selected,
  current,
  editing,
  onPick,
  onEdit,
  onCommit,
  onCancel,
}: {
  here: Place;
  title: string;
  text: string;
  mark: Mark | undefined;
  selected: boolean;
  current: boolean;
  /** What is being written here; absent: nothing. */
  editing: string | undefined;
  onPick: (e: MouseEvent) => void;
  onEdit: () => void;
  onCommit: (text: string, down: number, right: number) => void;
  onCancel: () => void;
}) {
  return (
    <div
      id={cellId(here)}
      role="gridcell"
      tabIndex={-1}
      aria-selected={selected}
      aria-invalid={mark !== undefined}
      title={mark?.what}
      className={
        'relative overflow-hidden border-r border-b border-rule py-1 pl-1.5 whitespace-nowrap ' +
        `${mark ? 'pr-5' : 'pr-1.5'} ${selected ? 'bg-[#dbe7ee]' : 'bg-white'} ` +
        `${current ? 'outline-2 -outline-offset-2 outline-ink' : ''}`
      }
      onMouseDown={(e) => {
        if (editing !== undefined) return;
        e.preventDefault();
        onPick(e);
      }}
      onDoubleClick={onEdit}
    >
      {editing === undefined ? (
        text
      ) : (
        <CellEditor label={title} text={editing} onCommit={onCommit} onCancel={onCancel} />
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
}
