import { SENT_SIGNALS, type SentSignal } from '@urvek/core';
import { useState } from 'react';
import { Choice, Tick } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import type { Reel } from './reel.ts';
import { ThreadBar } from './ThreadBar.tsx';
import { useDetector } from './useDetector.ts';
import { ProposedGrades, type GradedStretch } from './ProposedGrades.tsx';
import { ProposedLosses, type Proposing } from './ProposedLosses.tsx';
import * as phrases from './phrases.ts';

const SIGNAL_SAID: Readonly<Record<SentSignal, string>> = {
  noise: 'noise',
  tone: phrases.aToneOf1Khz,
  unknown: phrases.notKnownSilenceIsLookedFor,
};

/**
 * Losses in the recording, found by this device and proposed: each is taken into the log, looked at, moved or refused;
 * and what is no loss, with a grade to be confirmed.
 */
export function FindLosses({
  reel,
  onGrade,
  ...proposing
}: Proposing & { reel: Reel; onGrade: (graded: GradedStretch) => void }) {
  const [signal, setSignal] = useState<SentSignal>('unknown');
  const [picture, setPicture] = useState(true);
  const { thread, found, find } = useDetector(reel);
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
        {thread.share === undefined ? (
          <button type="button" className="btn" onClick={() => find({ signal, picture })}>
            {phrases.lookThroughTheRecording}
          </button>
        ) : (
          <ThreadBar {...thread} label={phrases.lookedThrough} />
        )}
      </div>
      {thread.error && <Trouble error={thread.error} />}
      {found && (
        <ProposedLosses {...proposing} key={found.asked.join()} found={found.dropouts}>
          <p className="text-[0.87rem] text-faint">
            {phrases.askedFor(found.asked.join('; '))}
            {signal === 'unknown' && phrases.aPauseIsSilentToo}
          </p>
          {found.notes.map((n) => (
            <p key={n} className="border-l-4 border-degraded pl-2">
              {n}.
            </p>
          ))}
        </ProposedLosses>
      )}
      {found && <ProposedGrades {...proposing} artefacts={found.artefacts} onGrade={onGrade} />}
    </details>
  );
}
