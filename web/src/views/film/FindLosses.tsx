import { plural, SENT_SIGNALS, type Detected, type DropoutKind, type SentSignal } from '@urvek/core';
import { useState } from 'react';
import { Choice, Tick } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import type { Reel } from './reel.ts';
import { useDetector } from './useDetector.ts';
import { FoundLoss } from './FoundLoss.tsx';
import * as phrases from './phrases.ts';

const SIGNAL_SAID: Readonly<Record<SentSignal, string>> = {
  noise: 'noise',
  tone: phrases.aToneOf1Khz,
  unknown: phrases.notKnownSilenceIsLookedFor,
};

const NONE: readonly { readonly fromS: number; readonly toS: number }[] = [];

/** Losses in the recording, found by this device and proposed: each is taken into the log, looked at, or refused. */
export function FindLosses({
  reel,
  fromS,
  toS,
  onLook,
  onAccept,
  known = NONE,
}: {
  reel: Reel;
  /** The walk on the recording: what is lost before it begins or after its end is none of it. */
  fromS: number;
  toS: number;
  onLook: (atS: number) => void;
  /** Logged as found by an instrument. @throws never: trouble is shown where the log is */
  onAccept: (found: readonly Detected<DropoutKind>[]) => void;
  /** Lost stretches that the log has already: they are not proposed again. */
  known?: readonly { readonly fromS: number; readonly toS: number }[];
}) {
  const [signal, setSignal] = useState<SentSignal>('unknown');
  const [picture, setPicture] = useState(true);
  const [done, setDone] = useState<ReadonlySet<Detected>>(new Set());
  const { share, found, error, find, cancel } = useDetector(reel);
  const within = found?.dropouts.filter((d) => d.toS > fromS && d.fromS < toS) ?? [];
  const own = within.filter((d) => !known.some((k) => k.fromS < d.toS && k.toS > d.fromS));
  const open = own.filter((d) => !done.has(d));
  const settle = (list: readonly Detected[]): void => setDone(new Set([...done, ...list]));
  const accept = (list: readonly Detected<DropoutKind>[]): void => {
    onAccept(list);
    settle(list);
  };
  return (
    <details className="sheet mt-2 px-3 py-2">
      <summary className="cursor-pointer font-bold">{phrases.findWhatWasLost}</summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Choice
          label={phrases.whatWasSent}
          value={signal}
          onChange={(e) => setSignal(e.target.value as SentSignal)}
        >
          {SENT_SIGNALS.map((s) => (
            <option key={s} value={s}>
              {SIGNAL_SAID[s]}
            </option>
          ))}
        </Choice>
        <Tick
          label={phrases.thePictureToo}
          checked={picture}
          onChange={(e) => setPicture(e.target.checked)}
        />
        {share === undefined ? (
          <button type="button" className="btn" onClick={() => find({ signal, picture })}>
            {phrases.lookThroughTheRecording}
          </button>
        ) : (
          <>
            <progress className="w-40 self-center" value={share} aria-label={phrases.lookedThrough} />
            <button type="button" className="btn" onClick={cancel}>
              {phrases.cancel}
            </button>
          </>
        )}
      </div>
      {error && <Trouble error={error} />}
      {found && (
        <div role="status" className="mt-2" data-losses={own.length}>
          <p>
            {own.length === 0
              ? phrases.nothingWasLostAsFarAs
              : phrases.lostToDecide(own.length, plural(own.length, 'stretch', 'stretches'), open.length)}
            {found.artefacts.length > 0 && phrases.besideThemTheseAreNotLogged(counted(found.artefacts))}
            {within.length < found.dropouts.length &&
              phrases.outsideTheWalkAreLeftOut(found.dropouts.length - within.length)}
            {own.length < within.length && phrases.areInTheLogAlready(within.length - own.length)}
          </p>
          <p className="text-[0.87rem] text-faint">
            {phrases.askedFor(found.asked.join('; '))}
            {signal === 'unknown' && phrases.aPauseIsSilentToo}
          </p>
          {found.notes.map((n) => (
            <p key={n} className="border-l-4 border-degraded pl-2">
              {n}.
            </p>
          ))}
          {open.length > 1 && (
            <p className="my-1 flex gap-2">
              <button type="button" className="btn" onClick={() => accept(open)}>
                {phrases.takeAllIntoTheLog(open.length)}
              </button>
              <button type="button" className="btn btn-quiet" onClick={() => settle(open)}>
                {phrases.refuseAll}
              </button>
            </p>
          )}
          <ul
            className="max-h-72 overflow-y-auto"
            tabIndex={open.length > 4 ? 0 : undefined}
            aria-label={phrases.lostStretches}
          >
            {open.map((d) => (
              <FoundLoss
                key={`${d.kind}${d.fromS}`}
                found={d}
                onLook={() => onLook(d.fromS)}
                onTake={() => accept([d])}
                onRefuse={() => settle([d])}
              />
            ))}
          </ul>
        </div>
      )}
    </details>
  );
}

/** "3 clipping, 1 click". */
function counted(list: readonly Detected[]): string {
  const kinds = [...new Set(list.map((d) => d.kind))];
  return kinds.map((k) => `${list.filter((d) => d.kind === k).length} ${k}`).join(', ');
}
