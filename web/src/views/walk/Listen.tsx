import { SENT_SIGNALS, type SentSignal } from '@urvek/core';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import { listen } from '../../field/listen.ts';
import type { WalkSession } from '../../field/walkSession.ts';
import { receivedLog, type AddEntry } from './receivedLog.ts';
import { ReceivedState } from './ReceivedState.tsx';
import { useReceiving } from './useReceiving.ts';

const SIGNAL_WORDS: Readonly<Record<SentSignal, string>> = {
  noise: 'steady noise',
  tone: 'a tone of 1 kHz',
  unknown: 'anything else: silence is logged',
};
const usualText = (signal: SentSignal, usualDb: number | undefined): string =>
  usualDb === undefined
    ? 'Nothing is logged until it is heard: switch the signal on, or turn the input up.'
    : signal === 'unknown'
      ? `Below ${usualDb.toFixed(0)} dB it counts as silent.`
      : `Usually ${usualDb.toFixed(0)} dB. If that is not the signal, switch it on and learn the level anew.`;

/** Dropouts heard by this device, at the receiving end: logged without a thumb. */
export function Listen({ session, add }: { session: WalkSession; add: AddEntry }) {
  const [signal, setSignal] = useState<SentSignal>('noise');
  const { state, start, stop } = useReceiving(receivedLog(session, add, 'listening'));
  const { on, lost, level, usual, meddling, trouble } = state;
  const begin = (): void => start((heard) => listen(signal, heard));
  return (
    <section aria-label="Listen" className="sheet mt-2 p-2" data-listening={on}>
      {on ? (
        <>
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <ReceivedState lost={lost} usual={usual} />
            <p className="figure text-lg whitespace-nowrap">
              {level === undefined ? '–' : `${level.toFixed(0)} dB`}
            </p>
            <p className="basis-full text-[0.87rem] text-faint">{usualText(signal, usual)}</p>
            <button type="button" className="btn" onClick={begin}>
              Learn the level anew
            </button>
            <button type="button" className="btn" onClick={stop}>
              Stop listening
            </button>
          </div>
          {meddling.length > 0 && (
            <p className="mt-1 border-l-4 border-degraded pl-2">
              This browser does not turn off {meddling.join(', ')}: short dropouts may be hidden, and quiet
              sound taken for one. Use a line input, or another browser.
            </p>
          )}
        </>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            className="w-64"
            label="What is sent"
            value={signal}
            onChange={(e) => setSignal(e.target.value as SentSignal)}
          >
            {SENT_SIGNALS.map((s) => (
              <option key={s} value={s}>
                {SIGNAL_WORDS[s]}
              </option>
            ))}
          </Choice>
          <button type="button" className="btn min-h-11" onClick={begin}>
            Listen by microphone or line
          </button>
          <p className="basis-full text-[0.87rem] text-faint">
            At the start point, with the signal on: what is heard first is the usual level. Dropouts of 50 ms
            and more (silence: half a second) are logged as found, with the time at which they began.
          </p>
        </div>
      )}
      {trouble && (
        <p role="alert" className="mt-1 border-l-4 border-lost pl-2">
          {trouble}
        </p>
      )}
    </section>
  );
}
