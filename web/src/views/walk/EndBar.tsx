import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import * as phrases from './phrases.ts';

/** Always in reach of the thumb. */
export const EndBar = ({ actions, canUndo }: { actions: Actions; canUndo: boolean }) => (
  <div
    className="sticky bottom-0 z-[5] grid grid-cols-5 gap-2 bg-paper py-1"
    role="group"
    aria-label={phrases.undoAndEnd}
    data-log
  >
    <Press k="u" actions={actions} className="col-span-2" disabled={!canUndo}>
      {phrases.undo}
    </Press>
    <Press k="e" actions={actions} className="col-span-3">
      {phrases.end}
    </Press>
  </div>
);
