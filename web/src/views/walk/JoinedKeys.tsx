import { GRADES, type Kind } from '@urvek/core';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';

/** The keys of the device at the other end. */
export const JoinedKeys = ({
  kind,
  actions,
  grade,
  shared,
  canUndo,
}: {
  kind: Kind;
  actions: Actions;
  grade: number;
  /** Shared moments so far. */
  shared: number;
  canUndo: boolean;
}) => {
  const lost = grade === 1;
  return (
    <div className="mt-2 grid grid-cols-5 gap-2" role="group" aria-label="Log" data-log>
      <Press k="d" actions={actions} className={`col-span-5 text-lg ${lost ? 'bg-lost! text-white' : ''}`}>
        {lost ? 'Dropout ends' : 'Dropout begins'}
      </Press>
      {GRADES.map((g) => (
        <Press key={g} k={String(g)} actions={actions} pressed={grade === g}>
          <span className="figure text-xl">{g}</span>
          <span className="text-[0.87rem] leading-tight font-normal">{kind.words[g]}</span>
        </Press>
      ))}
      <Press k="s" actions={actions} className="col-span-3">
        Shared moment {shared + 1}
      </Press>
      <Press k="n" actions={actions} className="col-span-1">
        Note
      </Press>
      <Press k="u" actions={actions} className="col-span-1" disabled={!canUndo}>
        Undo
      </Press>
    </div>
  );
};
