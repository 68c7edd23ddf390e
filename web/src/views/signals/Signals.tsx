import { PACKET_EVERY_S } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import { Trouble } from '../../components/States.tsx';
import { playSignal, type SoundSignal } from '../../field/testSignals.ts';
import { BeaconPicture } from './BeaconPicture.tsx';
import { RunningClock } from './RunningClock.tsx';
import { useBeaconClock } from './useBeaconClock.ts';
import * as phrases from './phrases.ts';

const SOUNDS: Readonly<Record<SoundSignal, readonly [string, string]>> = {
  noise: [phrases.noise, phrases.steadyAtAboutTheLevelOf],
  tone: [phrases.tone1Khz, phrases.forLinksThatTakeNoiseFor],
  clicks: [phrases.clicks, phrases.oneASecondEachTenthHigher],
  beacon: [phrases.beaconInSound, phrases.aCodeEverySNoiseBetween(PACKET_EVERY_S)],
};
const PICTURES = {
  clock: [phrases.runningClock, phrases.theTimeInTenthsAndThe],
  code: [phrases.beaconInPicture, phrases.aCodeThatChangesFiveTimes2],
} as const;
type PictureSignal = keyof typeof PICTURES;

/** What this device plays or shows into the link under test. */
export function Signals() {
  const [asked] = useSearchParams();
  const joinedId = asked.get('walk') ?? undefined;
  const clock = useBeaconClock(joinedId);
  const latest = useRef(clock);
  useEffect(() => {
    latest.current = clock;
  });
  const [playing, setPlaying] = useState<SoundSignal>();
  const [shown, setShown] = useState<PictureSignal>();
  const [sent, setSent] = useState(0);
  const [error, setError] = useState<Error>();
  const stop = useRef<() => void>(undefined);
  const hush = (): void => {
    stop.current?.();
    stop.current = undefined;
    setPlaying(undefined);
  };
  useEffect(() => () => stop.current?.(), []);
  const play = (signal: SoundSignal): void => {
    hush();
    setSent(0);
    setError(undefined);
    void playSignal(
      signal,
      () => latest.current,
      () => setSent((n) => n + 1),
    ).then(
      (end) => {
        stop.current = end;
        setPlaying(signal);
      },
      (cause: unknown) => setError(new Error(phrases.thisBrowserPlaysNoSoundTry, { cause })),
    );
  };
  return (
    <Stage title={phrases.testSignals} lead={phrases.whatGoesIntoTheLinkSo}>
      <div className="grid gap-4 lg:grid-cols-2">
        <section className="sheet p-4" aria-label={phrases.sound}>
          <h2>{phrases.sound}</h2>
          <p className="mt-1 border-l-4 border-degraded pl-3">{phrases.turnTheVolumeDownFirstTake}</p>
          <ul className="mt-2 grid gap-2">
            {(Object.keys(SOUNDS) as SoundSignal[]).map((signal) => (
              <li key={signal} className="grid grid-cols-[11rem_1fr] items-start gap-3">
                <button
                  type="button"
                  className={`btn justify-center ${playing === signal ? 'btn-main' : ''}`}
                  aria-pressed={playing === signal}
                  onClick={() => (playing === signal ? hush() : play(signal))}
                >
                  {playing === signal ? phrases.stop : SOUNDS[signal][0]}
                </button>
                <p className="text-[0.87rem]">{SOUNDS[signal][1]}</p>
              </li>
            ))}
          </ul>
          {error && <Trouble error={error} />}
          <p className="mt-2" role="status" data-sent={sent}>
            {playing === undefined
              ? phrases.nothingPlays
              : playing === 'beacon'
                ? phrases.beaconSent(sent)
                : phrases.plays(SOUNDS[playing][0])}
          </p>
        </section>
        <section className="sheet p-4" aria-label={phrases.picture}>
          <h2>{phrases.picture}</h2>
          <ul className="mt-2 grid gap-2">
            {(Object.keys(PICTURES) as PictureSignal[]).map((signal) => (
              <li key={signal} className="grid grid-cols-[11rem_1fr] items-start gap-3">
                <button type="button" className="btn justify-center" onClick={() => setShown(signal)}>
                  {PICTURES[signal][0]}
                </button>
                <p className="text-[0.87rem]">{PICTURES[signal][1]}</p>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <p className="mt-3 text-base">
        {phrases.itsTagIs(
          joinedId !== undefined
            ? clock.ofJoined
              ? phrases.theBeaconBelongsToTheJoinedWalk
              : phrases.theClockOfTheJoinedWalk
            : clock.ofWalk
              ? phrases.theBeaconBelongsToTheWalk(clock.placed ? phrases.andThePictureSaysHowFar : '')
              : phrases.noWalkWithRealGearIs,
        )}
        <span className="figure">{clock.tag}</span>
        {phrases.recordingsAreReadBy}
        <code>./bin/urvek beacon FILE</code>
        {phrases.withText}
        <code>--walk</code>
        {phrases.andTheWalkThatWasSaved}
      </p>
      {shown === 'code' && <BeaconPicture clock={clock} onClose={() => setShown(undefined)} />}
      {shown === 'clock' && <RunningClock clock={clock} onClose={() => setShown(undefined)} />}
    </Stage>
  );
}
