import { planCellScene } from '@urvek/draw';
import type { PlanCell } from '@urvek/study';
import type { KeyboardEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';
import * as phrases from './phrases.ts';

/** A rig on a path: walks as posts, what they will come to by its shape, and the figure that says how far off. */
export const BoardCell = ({
  cell,
  on,
  onSelect,
  onKey,
}: {
  cell: PlanCell;
  on: boolean;
  onSelect: () => void;
  onKey: (e: KeyboardEvent) => void;
}) => {
  const scene = planCellScene(cell);
  return (
    <td className="p-0" data-outlook={cell.outlook}>
      <button
        type="button"
        data-cell={cell.id}
        tabIndex={on ? 0 : -1}
        aria-pressed={on}
        aria-label={phrases.onOfWalksMade(
          cell.product.name,
          cell.path.name,
          cell.made,
          cell.wanted,
          cell.short,
        )}
        onClick={onSelect}
        onKeyDown={onKey}
        title={cell.short}
        className={
          'flex w-full items-center gap-2 px-2 py-1 text-left ' +
          `${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`
        }
      >
        <Picture scene={scene} className="block shrink-0" style={{ width: scene.width }} aria-hidden />
        <span
          className={`whitespace-nowrap tabular-nums ${cell.outlook === 'too few' ? 'text-lost' : 'text-faint'}`}
        >
          {cell.figure}
        </span>
      </button>
    </td>
  );
};
