import { GRADES, type Kind } from '@urvek/core';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import * as phrases from './phrases.ts';

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
    <div className="mt-2 grid grid-cols-5 gap-2" role="group" aria-label={phrases.log} data-log>
      <Press k="d" actions={actions} className={`col-span-5 text-lg ${lost ? 'bg-lost! text-white' : ''}`}>
        {lost ? phrases.dropoutEnds : phrases.dropoutBegins}
      </Press>
      {GRADES.map((g) => (
        <Press key={g} k={String(g)} actions={actions} pressed={grade === g}>
          <span className="figure text-xl">{g}</span>
          <span className="text-[0.87rem] leading-tight font-normal">{kind.words[g]}</span>
        </Press>
      ))}
      <Press k="s" actions={actions} className="col-span-3">
        {phrases.sharedMoment(shared + 1)}
      </Press>
      <Press k="n" actions={actions} className="col-span-1">
        {phrases.note}
      </Press>
      <Press k="u" actions={actions} className="col-span-1" disabled={!canUndo}>
        {phrases.undo}
      </Press>
    </div>
  );
};
