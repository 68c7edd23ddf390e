import { countOf, LEAST_PLAYOUT_TRIES, playoutDelay, type PlayoutTry } from '@urvek/core';
import { useState } from 'react';
import { useFieldLog } from '../../api/queries.ts';
import { learnedDelay } from '../../field/operator.ts';

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
        Measure the playout delay …
      </button>
    );
  const found = playoutDelay(tries, operator);
  return (
    <section className="col-span-6 grid gap-2 border-2 border-ink p-3" aria-label="Measure the playout delay">
      <p className="text-[0.87rem] text-faint">
        At the fixed end, with the sound or picture in front of you: press the first button as you switch the
        sender off, the second when it is gone. {LEAST_PLAYOUT_TRIES} tries or more.{' '}
        {operator
          ? 'The reaction that the trainer learned is taken off.'
          : 'The usual reaction of 0.6 s is taken off; the trainer learns yours.'}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          className="pressable"
          disabled={offMs !== undefined}
          onClick={(e) => setOffMs(e.timeStamp)}
        >
          The sender is off
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
          It is gone
        </button>
      </div>
      <p role="status">
        {countOf(tries.length, 'try', 'tries')}
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
          Take it
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
          Cancel
        </button>
      </div>
    </section>
  );
}
