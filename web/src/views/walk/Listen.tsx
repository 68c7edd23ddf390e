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
/** Until then the usual level is learnt, s. */
const LEARN_S = 0.5;

/** Dropouts heard by this device, at the receiving end: logged without a thumb. */
export function Listen({ session, add }: { session: WalkSession; add: AddEntry }) {
  const [signal, setSignal] = useState<SentSignal>('noise');
  const { state, start, stop } = useListening(listenLog(session, add));
  const { on, lost, levelDb, heardS, meddling, trouble } = state;
  return (
    <section aria-label="Listen" className="sheet mt-2 p-2" data-listening={on}>
      {on ? (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <p
              role="status"
              data-heard={lost ? 'lost' : 'through'}
              className={`min-w-40 border-4 px-3 py-2 text-xl font-bold ${lost ? 'border-double border-lost text-lost' : 'border-clean'}`}
            >
              {lost ? '✕ lost' : heardS < LEARN_S ? 'listening …' : '✓ comes through'}
            </p>
            <p className="figure text-lg">{levelDb === undefined ? '–' : `${levelDb.toFixed(0)} dB`}</p>
            <button type="button" className="btn min-h-11" onClick={() => start(signal)}>
              Learn the level anew
            </button>
            <button type="button" className="btn min-h-11" onClick={stop}>
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
