import { reachFigures, reachStrip, reachTold } from '@urvek/draw';
import type { ReachCell } from '@urvek/study';
import { Picture } from '../../components/Picture.tsx';
import type { Shown } from './reachBoardParts.ts';

/** A rig on a path on the common scale, in one of six states. */
export function ReachCell({ cell, scale, unit, selected, onSelect, onKey }: Shown & { cell: ReachCell }) {
  const { value, beside, n, ratio, apart } = reachFigures(cell, unit, scale.width);
  const on = cell.id === selected;
  const quiet = cell.state === 'not planned' || cell.state === 'planned' || cell.state === 'refused';
  return (
    <td className="p-0" data-reach={cell.state}>
      <button
        type="button"
        data-cell={cell.id}
        tabIndex={on || selected === undefined ? 0 : -1}
        aria-pressed={on}
        aria-label={reachTold(cell, unit)}
        onClick={() => onSelect(cell.id)}
        onKeyDown={(e) => onKey(e, cell.id)}
        className={
          'block w-full px-2 pt-0.5 pb-0.5 text-left focus-visible:-outline-offset-2 ' +
          `${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`
        }
      >
        <span className="flex items-baseline gap-2 overflow-hidden whitespace-nowrap">
          <span className={`figure ${quiet ? 'text-faint' : 'text-base font-bold'}`}>{value}</span>
          <span className="text-[0.87rem] text-faint">{beside}</span>
          <span className="figure ml-auto text-[0.87rem] text-faint">{n}</span>
          <span className={`figure text-[0.87rem] ${apart ? 'font-bold' : 'text-faint'}`}>{ratio}</span>
        </span>
        <Picture scene={reachStrip(cell, scale, unit)} className="block" aria-hidden />
      </button>
    </td>
  );
}
