import { LEAST_PLAYOUT_TRIES, playoutDelay, type PlayoutTry } from '@urvek/core';
import { useState } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { learnedDelay } from '../../field/operator.ts';
import * as phrases from './phrases.ts';

/** Measures how long a rig plays on after its sender is off, at the fixed end, by two presses a try. */
export function Playout({ onMeasured }: { onMeasured: (delayS: number) => void }) {
  const [open, setOpen] = useState(false);
  const [tries, setTries] = useState<readonly PlayoutTry[]>([]);
  const [offMs, setOffMs] = useState<number>();
  const operator = useFieldLog(learnedDelay, 'operator-delay');
  if (!open)
    return (
      <button
        type="button"
        className="btn-quiet self-end pb-1 text-left text-[0.87rem]"
        onClick={() => setOpen(true)}
      >
        {phrases.measureThePlayoutDelay}
      </button>
    );
  const found = playoutDelay(tries, operator);
  return (
    <section
      className="col-span-6 grid gap-2 border-2 border-ink p-3"
      aria-label={phrases.measureThePlayoutDelay2}
    >
      <p className="text-[0.87rem] text-faint">
        {phrases.atTheFixedEndWithThe(
          LEAST_PLAYOUT_TRIES,
          operator ? phrases.theReactionThatTheTrainerLearned : phrases.theUsualReactionOf06,
        )}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          className="pressable"
          disabled={offMs !== undefined}
          onClick={(e) => setOffMs(e.timeStamp)}
        >
          {phrases.theSenderIsOff}
        </button>
        <button
          type="button"
          className="pressable"
          disabled={offMs === undefined}
          onClick={(e) => {
            if (offMs !== undefined) setTries([...tries, { offS: offMs / 1000, heardS: e.timeStamp / 1000 }]);
            setOffMs(undefined);
          }}
        >
          {phrases.itIsGone}
        </button>
      </div>
      <p role="status">
        {phrases.countedTries(tries.length)}
        {found && (
          <>
            :{' '}
            <strong className="figure" data-playout={found.delayS}>
              {found.delayS.toFixed(2)} ± {found.uncertaintyS.toFixed(2)} s
            </strong>
          </>
        )}
      </p>
      <div className="flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={!found}
          onClick={() => {
            if (found) onMeasured(Math.round(found.delayS * 100) / 100);
            setOpen(false);
            setTries([]);
          }}
        >
          {phrases.takeIt}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            setOpen(false);
            setTries([]);
            setOffMs(undefined);
          }}
        >
          {phrases.cancel}
        </button>
      </div>
    </section>
  );
}
