import { recordedAtS, sentAtS, type ReceivedClock } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Trouble } from '../../components/States.tsx';
import { FindLosses } from '../film/FindLosses.tsx';
import { ProposedLosses, type Proposing, type TakenLoss } from '../film/ProposedLosses.tsx';
import { PickReel } from '../film/PickReel.tsx';
import type { Reel } from '../film/reel.ts';
import { ReceivedClockForm } from './ReceivedClockForm.tsx';
import type { ReadBeacon } from './useBeaconReading.ts';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/**
 * A recording of what was received on a walk that was logged where it was walked: put on the walk's clock, what was
 * lost in it is where the walk's marks say that one was.
 */
export function Received({ finding, onLook }: { finding: Finding; onLook: (walkS: number) => void }) {
  const [reel, setReel] = useState<Reel>();
  const [placed, setPlaced] = useState<{ clock: ReceivedClock; beacon: ReadBeacon | undefined }>();
  const clock = placed?.clock;
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
  const logged = (writingIt: Promise<void>): void =>
    void writingIt.then(
      () => setError(undefined),
      (cause: unknown) => setError(cause as Error),
    );
  const take = (list: readonly TakenLoss[]): void => {
    if (!clock) return;
    const walkS = (s: number): number => sentAtS(clock, s);
    logged(
      writing.found(
        list.map((d) => ({
          // What was lost already when the walk began is lost from its beginning on.
          fromS: Math.max(begin.time.walkS, walkS(d.fromS)),
          toS: d.open ? undefined : Math.min(endS, walkS(d.toS)),
          found: `${d.kind}, ${d.figure}`.slice(0, 200),
          byHand: d.byHand,
        })),
      ),
    );
  };
  const proposingOn = (on: ReceivedClock): Proposing => ({
    fromS: recordedAtS(on, begin.time.walkS),
    toS: recordedAtS(on, endS),
    onLook: (s) => onLook(sentAtS(on, s)),
    onAccept: take,
    noticed: noticed.map((s) => ({
      ...s,
      fromS: recordedAtS(on, s.fromS),
      toS: recordedAtS(on, s.toS),
    })),
  });
  return (
    <div className="grid gap-3">
      <p>
        <strong>{reel.map((p) => p.file.name).join(', ')}</strong>{' '}
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => {
            setReel(undefined);
            setPlaced(undefined);
          }}
        >
          {phrases.anotherOne}
        </button>
      </p>
      <ReceivedClockForm
        reel={reel}
        walkId={finding.walkId}
        clock={clock}
        onClock={(at, beacon) => setPlaced({ clock: at, beacon })}
      />
      {error && <Trouble error={error} />}
      {clock ? (
        <>
          {placed.beacon && placed.beacon.of === 'picture' && (
            <ProposedLosses
              {...proposingOn(clock)}
              key={clock.laterS}
              found={placed.beacon.losses}
              said={phrases.withoutACodeToDecide}
            >
              <p className="text-[0.87rem] text-faint">{phrases.aBeaconThatWasHiddenIs}</p>
            </ProposedLosses>
          )}
          <FindLosses
            reel={reel}
            {...proposingOn(clock)}
            onGrade={(graded) => {
              const [fromS, toS] = [sentAtS(clock, graded.fromS), Math.min(endS, sentAtS(clock, graded.toS))];
              logged(writing.graded({ ...graded, fromS, toS, found: graded.found.slice(0, 200) }));
            }}
          />
        </>
      ) : (
        <p className="text-faint">{phrases.placeItOnTheWalksClock}</p>
      )}
    </div>
  );
}
