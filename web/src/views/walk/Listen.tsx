import { SENT_SIGNALS, type SentSignal } from '@urvek/core';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { WalkSession } from '../../field/walkSession.ts';
import { listenLog, type AddEntry } from './listenLog.ts';
import { useListening } from './useListening.ts';

const SIGNAL_WORDS: Readonly<Record<SentSignal, string>> = {
  noise: 'steady noise',
  tone: 'a tone of 1 kHz',
  unknown: 'anything else: silence is logged',
};
const SAID = { through: '✓ comes through', lost: '✕ lost', nothing: '… no signal yet' } as const;
const LOOKS = {
  through: 'border-clean',
  lost: 'border-double border-lost text-lost',
  nothing: 'border-dashed border-rule',
} as const;

const usualText = (signal: SentSignal, usualDb: number | undefined): string =>
  usualDb === undefined
    ? 'Nothing is logged until it is heard: switch the signal on, or turn the input up.'
    : signal === 'unknown'
      ? `Below ${usualDb.toFixed(0)} dB it counts as silent.`
      : `Usually ${usualDb.toFixed(0)} dB. If that is not the signal, switch it on and learn the level anew.`;

/** Dropouts heard by this device, at the receiving end: logged without a thumb. */
export function Listen({ session, add }: { session: WalkSession; add: AddEntry }) {
  const [signal, setSignal] = useState<SentSignal>('noise');
  const { state, start, stop } = useListening(listenLog(session, add));
  const { on, lost, levelDb, usualDb, meddling, trouble } = state;
  const hears = lost ? 'lost' : usualDb === undefined ? 'nothing' : 'through';
  return (
    <section aria-label="Listen" className="sheet mt-2 p-2" data-listening={on}>
      {on ? (
        <>
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <p
              role="status"
              data-heard={hears}
              className={`flex-1 border-4 px-3 py-1 text-lg font-bold whitespace-nowrap ${LOOKS[hears]}`}
            >
              {SAID[hears]}
            </p>
            <p className="figure text-lg whitespace-nowrap">
              {levelDb === undefined ? '–' : `${levelDb.toFixed(0)} dB`}
            </p>
            <p className="basis-full text-[0.87rem] text-faint">{usualText(signal, usualDb)}</p>
            <button type="button" className="btn" onClick={() => start(signal)}>
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
          <button type="button" className="btn min-h-11" onClick={() => start(signal)}>
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
