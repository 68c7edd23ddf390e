import { reachTold } from '@urvek/draw';
import type { ReachCell } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';

/** What the board says of the cell that is selected, in words. */
export function RangesTold({
  cell,
  kindName,
  children,
}: {
  cell: ReachCell;
  kindName: string;
  children: React.ReactNode;
}) {
  const [unit] = useUnit();
  return (
    <section aria-label={`${cell.subject} on ${cell.path.name}`} className="mt-2">
      <p role="status" className="mb-2 text-base" data-told>
        <strong>
          {cell.subject} on {cell.path.name}
        </strong>
        {reachTold(cell, unit).slice(`${cell.subject} on ${cell.path.name}`.length)}.
        <span className="sr-only"> {kindName}.</span>
      </p>
      {children}
    </section>
  );
}
