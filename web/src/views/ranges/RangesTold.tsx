import { reachTold } from '@urvek/draw';
import type { ReachCell } from '@urvek/study';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

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
    <section aria-label={phrases.on(cell.subject, cell.path.name)} className="mt-2">
      <p role="status" className="mb-2 text-base" data-told>
        <strong>{phrases.on(cell.subject, cell.path.name)}</strong>
        {reachTold(cell, unit).slice(phrases.on(cell.subject, cell.path.name).length)}.
        <span className="sr-only"> {kindName}.</span>
      </p>
      {children}
    </section>
  );
}
