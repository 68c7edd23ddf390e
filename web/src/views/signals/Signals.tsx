import { useEffect, useRef, useState } from 'react';
import { Stage } from '../../components/Stage.tsx';
import { Trouble } from '../../components/States.tsx';
import { PACKET_EVERY_S, playSignal, type SoundSignal } from '../../field/testSignals.ts';
import { BeaconPicture } from './BeaconPicture.tsx';
import { RunningClock } from './RunningClock.tsx';
import { useBeaconClock } from './useBeaconClock.ts';

const SOUNDS: Readonly<Record<SoundSignal, readonly [string, string]>> = {
  noise: [
    'Noise',
    'Steady, at about the level of speech: any gap is heard, and found to a few milliseconds.',
  ],
  tone: ['Tone, 1 kHz', 'For links that take noise for silence and cut it.'],
  clicks: ['Clicks', 'One a second, each tenth higher: for delay by ear and for counting what is lost.'],
  beacon: [
    'Beacon in sound',
    `A code every ${PACKET_EVERY_S} s, noise between: a recording at the other end says by itself when it was.`,
  ],
};
const PICTURES = {
  clock: ['Running clock', 'The time in tenths, and the number of the picture in figures and as bars.'],
  code: [
    'Beacon in picture',
    'A code that changes five times a second. Film it at two fifths of the picture’s height or more, or lead it into the transmitter.',
  ],
} as const;
type PictureSignal = keyof typeof PICTURES;

/** What this device plays or shows into the link under test. */
export function Signals() {
  const clock = useBeaconClock();
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
    void playSignal(signal, clock, () => setSent((n) => n + 1)).then(
      (end) => {
        stop.current = end;
        setPlaying(signal);
      },
      (cause: unknown) => setError(new Error('This browser plays no sound. Try another one.', { cause })),
    );
  };
  return (
    <Stage title="Test signals" lead="What goes into the link, so that what is lost can be found.">
      <div className="grid gap-4 lg:grid-cols-2">
        <section className="sheet p-4" aria-label="Sound">
          <h2>Sound</h2>
          <p className="mt-1 border-l-4 border-degraded pl-3">
            Turn the volume down first, take off headphones, and turn it up until it is as loud as a voice.
          </p>
          <ul className="mt-2 grid gap-2">
            {(Object.keys(SOUNDS) as SoundSignal[]).map((signal) => (
              <li key={signal} className="grid grid-cols-[11rem_1fr] items-start gap-3">
                <button
                  type="button"
                  className={`btn justify-center ${playing === signal ? 'btn-main' : ''}`}
                  aria-pressed={playing === signal}
                  onClick={() => (playing === signal ? hush() : play(signal))}
                >
                  {playing === signal ? '■ Stop' : SOUNDS[signal][0]}
                </button>
                <p className="text-[0.87rem]">{SOUNDS[signal][1]}</p>
              </li>
            ))}
          </ul>
          {error && <Trouble error={error} />}
          <p className="mt-2" role="status" data-sent={sent}>
            {playing === undefined
              ? 'Nothing plays.'
              : playing === 'beacon'
                ? `Beacon: ${sent} sent.`
                : `${SOUNDS[playing][0]} plays.`}
          </p>
        </section>
        <section className="sheet p-4" aria-label="Picture">
          <h2>Picture</h2>
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
        {clock.ofWalk
          ? `The beacon belongs to the walk under way on this device: its log says where each code was sent${clock.placed ? ', and the picture says how far that was' : ''}.`
          : 'No walk with real gear is under way on this device: the beacon tells the time since this page was opened.'}{' '}
        Its tag is <span className="figure">{clock.tag}</span>. Recordings are read by{' '}
        <code>./bin/urvek beacon FILE</code>, with <code>--walk</code> and the walk that was saved as a file.
      </p>
      {shown === 'code' && <BeaconPicture clock={clock} onClose={() => setShown(undefined)} />}
      {shown === 'clock' && <RunningClock clock={clock} onClose={() => setShown(undefined)} />}
    </Stage>
  );
}
