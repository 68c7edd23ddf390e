import { planCellScene } from '@urvek/draw';
import type { PlanCell } from '@urvek/study';
import type { KeyboardEvent } from 'react';
import { Picture } from '../../components/Picture.tsx';

const SCENE_PX = 190;

/** A rig on a path: walks as posts, and what they will come to. */
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
}) => (
  <td className="p-0" data-outlook={cell.outlook}>
    <button
      type="button"
      data-cell={cell.id}
      tabIndex={on ? 0 : -1}
      aria-pressed={on}
      aria-label={`${cell.product.name} on ${cell.path.name}: ${cell.made} of ${cell.wanted} walks made; ${cell.short}`}
      onClick={onSelect}
      onKeyDown={onKey}
      className={`block w-full px-2 py-0.5 text-left ${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`}
    >
      <Picture
        scene={planCellScene(cell, SCENE_PX)}
        className="block"
        style={{ width: SCENE_PX }}
        aria-hidden
      />
      <span
        className={`block text-[0.87rem] leading-tight ${cell.outlook === 'too few' ? 'text-lost' : 'text-faint'}`}
      >
        {cell.short}
      </span>
    </button>
  </td>
);
