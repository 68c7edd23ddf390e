import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';

/** Always in reach of the thumb. */
export const EndBar = ({ actions, canUndo }: { actions: Actions; canUndo: boolean }) => (
  <div
    className="sticky bottom-0 z-[5] grid grid-cols-5 gap-2 bg-paper py-1"
    role="group"
    aria-label="Undo and end"
    data-log
  >
    <Press k="u" actions={actions} className="col-span-2" disabled={!canUndo}>
      Undo
    </Press>
    <Press k="e" actions={actions} className="col-span-3">
      End …
    </Press>
  </div>
);
