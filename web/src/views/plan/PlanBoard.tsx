import { farthestM, type PlanBoard as Board } from '@urvek/study';
import { useRef, type KeyboardEvent } from 'react';
import { Length } from '../../components/Length.tsx';
import { BoardCell } from './BoardCell.tsx';
import * as phrases from './phrases.ts';

/** Rigs by paths: walks made and to make as posts, and what they will come to. */
export function PlanBoard({
  board: { paths, rows },
  selected,
  onSelect,
}: {
  board: Board;
  selected: string | undefined;
  onSelect: (id: string) => void;
}) {
  const grid = useRef<HTMLTableElement>(null);
  const onKey = (e: KeyboardEvent, r: number, c: number): void => {
    const [down, right] =
      { ArrowDown: [1, 0], ArrowUp: [-1, 0], ArrowRight: [0, 1], ArrowLeft: [0, -1] }[e.key] ?? [];
    if (down === undefined || right === undefined) return;
    const to = rows[r + down]?.cells[c + right]?.id;
    if (to === undefined) return;
    e.preventDefault();
    onSelect(to);
    grid.current?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(to)}"]`)?.focus();
  };
  return (
    <div className="sheet relative max-h-[max(12rem,calc(100vh-17rem))] overflow-auto" data-plan-board>
      <table ref={grid} className="w-full border-collapse" aria-label={phrases.walksOfEachRigOnEach}>
        <thead className="sticky top-0 z-10 bg-sheet shadow-[0_2px_0_var(--color-ink)]">
          <tr>
            <td className="sticky left-0 z-10 w-44 min-w-40 bg-sheet" />
            {paths.map((p) => (
              <th key={p.id} scope="col" className="min-w-32 px-2 py-1 leading-tight">
                {p.name}{' '}
                <span className="font-normal whitespace-nowrap text-faint text-[0.87rem]">
                  {phrases.to}
                  <Length m={farthestM(p)} />
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ product, rig, cells }, r) => (
            <tr key={`${product.id}-${rig.id}`} className="border-t border-rule">
              <th scope="row" className="sticky left-0 z-[5] bg-sheet px-2 leading-tight">
                {product.name}
                {product.rigs.length > 1 && (
                  <span className="block text-[0.87rem] font-normal text-faint">{rig.name}</span>
                )}
              </th>
              {cells.map((cell, c) => (
                <BoardCell
                  key={cell.id}
                  cell={cell}
                  on={cell.id === selected}
                  onSelect={() => onSelect(cell.id)}
                  onKey={(e) => onKey(e, r, c)}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
