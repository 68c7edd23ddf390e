import { kindOf } from '@urvek/core';
import { reachAxis, scaleOfBoard } from '@urvek/draw';
import { farthestM, type ReachBoard as Board } from '@urvek/study';
import { Fragment, useRef, type KeyboardEvent } from 'react';
import { Length } from '../../components/Length.tsx';
import { Picture } from '../../components/Picture.tsx';
import { useWidth } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';
import { ReachLine } from './ReachLine.tsx';
import * as phrases from './phrases.ts';

/** Columns share what there is, and scroll under a fixed head where it is too little, px. */
const [LEAST_COLUMN_PX, MOST_COLUMN_PX, HEAD_PX, PADDING_PX] = [180, 480, 160, 8];

/**
 * Who reaches how far, where: every rig on every path on one scale. One cell is selected; arrow keys go from cell to
 * cell.
 */
export function ReachBoard({
  board,
  selected,
  onSelect,
}: {
  board: Board;
  selected: string | undefined;
  onSelect: (id: string) => void;
}) {
  const [unit] = useUnit();
  const [place, width] = useWidth(320);
  const share = Math.floor((width - HEAD_PX - 2) / Math.max(1, board.paths.length));
  const columnPx = Math.min(MOST_COLUMN_PX, Math.max(LEAST_COLUMN_PX, share));
  const scale = scaleOfBoard(board, columnPx - 2 * PADDING_PX, unit);
  const grid = useRef<HTMLTableElement>(null);
  const onKey = (e: KeyboardEvent, id: string): void => {
    const to = neighbour(board, id, e.key);
    if (to === undefined) return;
    e.preventDefault();
    onSelect(to);
    grid.current?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(to)}"]`)?.focus();
  };
  return (
    <div
      ref={place}
      className="sheet relative max-h-[max(12rem,calc(100vh-13.5rem))] overflow-auto print:max-h-none"
      data-reach-board
    >
      <table
        ref={grid}
        className="table-fixed border-collapse"
        style={{ width: HEAD_PX + columnPx * board.paths.length }}
        aria-label={phrases.whoReachesHowFarWhere}
      >
        <thead className="sticky top-0 z-10 bg-sheet shadow-[0_2px_0_var(--color-ink)]">
          <tr>
            <td className="sticky left-0 z-10 bg-sheet" style={{ width: HEAD_PX }} />
            {board.paths.map((path) => (
              <th key={path.id} scope="col" className="px-2 pt-1.5 align-bottom" style={{ width: columnPx }}>
                <span className="font-head">{path.name}</span>{' '}
                <span className="text-[0.87rem] font-normal text-faint">
                  {phrases.to3}
                  <Length m={farthestM(path)} />
                </span>
                <Picture scene={reachAxis(scale)} className="block" aria-hidden />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {board.rows.map((row, i) => (
            <Fragment key={row.subjectId}>
              {board.rows[i - 1]?.kindId !== row.kindId && (
                <tr>
                  <th
                    scope="rowgroup"
                    colSpan={1 + board.paths.length}
                    className="sticky left-0 border-t border-ink bg-paper px-2 py-0 text-[0.87rem] font-normal"
                  >
                    {kindOf(row.kindId).name}, {row.criterion}
                  </th>
                </tr>
              )}
              <ReachLine row={row} {...{ scale, unit, selected, onSelect, onKey }} />
            </Fragment>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The cell that an arrow key leads to. */
function neighbour({ paths, rows }: Board, id: string, key: string): string | undefined {
  const row = rows.findIndex((r) => r.cells.some((c) => c.id === id));
  const column = rows[row]?.cells.findIndex((c) => c.id === id) ?? -1;
  const [down, right] =
    { ArrowDown: [1, 0], ArrowUp: [-1, 0], ArrowRight: [0, 1], ArrowLeft: [0, -1] }[key] ?? [];
  if (down === undefined || right === undefined || row < 0) return undefined;
  const to = Math.min(paths.length - 1, Math.max(0, column + right));
  return rows[Math.min(rows.length - 1, Math.max(0, row + down))]?.cells[to]?.id;
}
