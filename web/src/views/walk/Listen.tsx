import { SENT_SIGNALS, tagOf, type SentSignal } from '@urvek/core';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import { listen } from '../../field/listen.ts';
import type { WalkSession } from '../../field/walkSession.ts';
import { BeaconState, type LateOf } from './BeaconState.tsx';
import { receivedLog, type AddEntry } from './receivedLog.ts';
import { ReceivedState } from './ReceivedState.tsx';
import { useReceiving } from './useReceiving.ts';
import * as phrases from './phrases.ts';

const SIGNAL_WORDS: Readonly<Record<SentSignal, string>> = {
  noise: phrases.steadyNoise,
  tone: phrases.aToneOf1Khz,
  unknown: phrases.anythingElseSilenceIsLogged,
};
const usualText = (signal: SentSignal, usualDb: number | undefined): string =>
  usualDb === undefined
    ? phrases.nothingIsLoggedUntilItIs
    : signal === 'unknown'
      ? phrases.belowDbItCountsAsSilent(usualDb.toFixed(0))
      : phrases.usuallyDbIfThatIsNot(usualDb.toFixed(0));

/** Dropouts heard by this device, at the receiving end: logged without a thumb. */
export function Listen({ session, add, lateOf }: { session: WalkSession; add: AddEntry; lateOf?: LateOf }) {
  const [signal, setSignal] = useState<SentSignal>('noise');
  const { state, start, stop } = useReceiving(receivedLog(session, add, 'listening'));
  const { on, lost, level, usual, faults, lastFault, beacon, meddling, readsBeacon, trouble } = state;
  const begin = (): void => start((heard) => listen(signal, tagOf(session.walkId), heard));
  return (
    <section aria-label={phrases.listen} className="sheet mt-2 p-2" data-listening={on}>
      {on ? (
        <>
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <ReceivedState lost={lost} usual={usual} />
            <p className="figure text-lg whitespace-nowrap">
              {level === undefined ? '–' : phrases.db(level.toFixed(0))}
            </p>
            <p className="basis-full text-[0.87rem] text-faint">{usualText(signal, usual)}</p>
            {beacon && <BeaconState beacon={beacon} of="sound" lateOf={lateOf} />}
            {!readsBeacon && (
              <p className="basis-full text-[0.87rem] text-faint">
                {phrases.thisBrowserReadsNoBeaconInSound}
              </p>
            )}
            <button type="button" className="btn" onClick={begin}>
              {phrases.learnTheLevelAnew}
            </button>
            <button type="button" className="btn" onClick={stop}>
              {phrases.stopListening}
            </button>
          </div>
          {faults.size > 0 && (
            <p role="status" className="mt-1 border-l-4 border-degraded pl-2 text-[0.87rem]" data-faults>
              {phrases.heardBesidesLosses(
                [...faults].map(([kind, n]) => `${kind} ${n}`).join(', '),
                lastFault ?? '',
              )}
            </p>
          )}
          {meddling.length > 0 && (
            <p className="mt-1 border-l-4 border-degraded pl-2">
              {phrases.thisBrowserDoesNotTurnOff(meddling.join(', '))}
            </p>
          )}
        </>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            className="w-64"
            label={phrases.whatIsSent}
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
            {phrases.listenByMicrophoneOrLine}
          </button>
          <p className="basis-full text-[0.87rem] text-faint">{phrases.atTheStartPointWithThe}</p>
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
