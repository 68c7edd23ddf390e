import { recordedAtS, sentAtS, type Detected, type DropoutKind, type ReceivedClock } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Trouble } from '../../components/States.tsx';
import { FindLosses } from '../film/FindLosses.tsx';
import { PickReel } from '../film/PickReel.tsx';
import type { Reel } from '../film/reel.ts';
import { ReceivedClockForm } from './ReceivedClockForm.tsx';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/**
 * A recording of what was received on a walk that was logged where it was walked: put on the walk's clock, what was
 * lost in it is where the walk's marks say that one was.
 */
export function Received({ finding, onLook }: { finding: Finding; onLook: (walkS: number) => void }) {
  const [reel, setReel] = useState<Reel>();
  const [clock, setClock] = useState<ReceivedClock>();
  const [error, setError] = useState<Error>();
  const writing = useWriting(finding);
  const { begin, endS, noticed } = finding.trace;
  if (!reel)
    return (
      <>
        <p className="mb-2">{phrases.whatWasReceivedAtTheOther}</p>
        <PickReel known={[]} onReel={setReel} />
      </>
    );
  const take = (list: readonly Detected<DropoutKind>[]): void => {
    if (!clock) return;
    const walkS = (s: number): number => sentAtS(clock, s);
    writing
      .found(
        list.map((d) => ({
          // What was lost already when the walk began is lost from its beginning on.
          fromS: Math.max(begin.time.walkS, walkS(d.fromS)),
          toS: d.open ? undefined : Math.min(endS, walkS(d.toS)),
          found: `${d.kind}, ${d.figure}`.slice(0, 200),
        })),
      )
      .then(
        () => setError(undefined),
        (cause: unknown) => setError(cause as Error),
      );
  };
  return (
    <div className="grid gap-3">
      <p>
        <strong>{reel.map((p) => p.file.name).join(', ')}</strong>{' '}
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => {
            setReel(undefined);
            setClock(undefined);
          }}
        >
          {phrases.anotherOne}
        </button>
      </p>
      <ReceivedClockForm reel={reel} walkId={finding.walkId} clock={clock} onClock={setClock} />
      {error && <Trouble error={error} />}
      {clock ? (
        <FindLosses
          reel={reel}
          fromS={recordedAtS(clock, begin.time.walkS)}
          toS={recordedAtS(clock, endS)}
          onLook={(s) => onLook(sentAtS(clock, s))}
          onAccept={take}
          known={noticed
            .filter((s) => s.state === 'lost')
            .map((s) => ({ fromS: recordedAtS(clock, s.fromS), toS: recordedAtS(clock, s.toS) }))}
        />
      ) : (
        <p className="text-faint">{phrases.placeItOnTheWalksClock}</p>
      )}
    </div>
  );
}
