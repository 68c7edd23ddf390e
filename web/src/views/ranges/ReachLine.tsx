import type { ReachRow } from '@urvek/study';
import type { Shown } from './reachBoardParts.ts';
import { ReachCell } from './ReachCell.tsx';

/** One rig of the board: a cell a path. */
export const ReachLine = ({ row, ...shown }: Shown & { row: ReachRow }) => (
  <tr className="border-t border-rule">
    <th scope="row" className="sticky left-0 z-[5] w-40 bg-sheet px-2 align-middle leading-tight">
      {row.subject}
      {row.reference && <span className="figure ml-1.5 font-normal text-faint">×1</span>}
    </th>
    {row.cells.map((cell) => (
      <ReachCell key={cell.id} cell={cell} {...shown} />
    ))}
  </tr>
);
