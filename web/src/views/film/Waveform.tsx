import { useEffect, useRef, useState } from 'react';
import type WaveSurfer from 'wavesurfer.js';
import { peaksOf } from './frames.ts';
import { secondsOfReel, type Reel } from './reel.ts';
import * as phrases from './phrases.ts';

/** One value of the waveform stands for so many seconds. */
const PEAK_S = 0.02;

export interface Marker {
  readonly atS: number;
  readonly what: string;
}

/** The sound of the recording, and what is logged on it; a press on it goes there. */
export function Waveform({
  reel,
  atS,
  markers,
  onSeek,
}: {
  reel: Reel;
  atS: number;
  markers: readonly Marker[];
  onSeek: (atS: number) => void;
}) {
  const place = useRef<HTMLDivElement>(null);
  const surfer = useRef<WaveSurfer>(undefined);
  const [state, setState] = useState<'reading' | 'there' | 'silent'>('reading');
  const [share, setShare] = useState(0);
  const seek = useRef(onSeek);
  useEffect(() => {
    seek.current = onSeek;
  });
  useEffect(() => {
    let gone = false;
    const seconds = secondsOfReel(reel);
    void (async () => {
      const peaks = new Float32Array(Math.max(1, Math.ceil(seconds / PEAK_S)));
      for (const part of reel) {
        const own = await peaksOf(
          part.file,
          PEAK_S,
          () => gone,
          (s) => setShare((part.beginsS + s * part.seconds) / seconds),
        ).catch(() => new Float32Array());
        peaks.set(
          own.subarray(0, peaks.length - Math.floor(part.beginsS / PEAK_S)),
          Math.floor(part.beginsS / PEAK_S),
        );
      }
      if (gone || !place.current) return;
      if (peaks.every((p) => p === 0)) return setState('silent');
      const { default: Surfer } = await import('wavesurfer.js');
      if (gone || !place.current) return;
      surfer.current = Surfer.create({
        container: place.current,
        height: 56,
        waveColor: '#565d58',
        progressColor: '#00588c',
        cursorColor: '#1c211f',
        cursorWidth: 2,
        normalize: true,
        peaks: [peaks],
        duration: seconds,
      });
      surfer.current.on('interaction', (to) => seek.current(to));
      setState('there');
      return;
    })();
    return () => {
      gone = true;
      surfer.current?.destroy();
      surfer.current = undefined;
    };
  }, [reel]);
  useEffect(() => surfer.current?.setTime(atS), [atS, state]);
  const seconds = secondsOfReel(reel);
  return (
    <div className="relative mt-1 border border-rule bg-white">
      <div ref={place} aria-hidden className="min-h-14" />
      {state !== 'there' && (
        <p role="status" className="absolute inset-x-0 top-4 text-center text-[0.87rem] text-faint">
          {state === 'silent'
            ? phrases.noSoundThatCanBeRead
            : phrases.readingTheSoundPercent(Math.round(100 * share))}
        </p>
      )}
      <div className="pointer-events-none absolute inset-0" aria-hidden>
        {markers.map(({ atS: at, what }, i) => (
          <span
            key={i}
            title={what}
            className="absolute inset-y-0 w-0.5 bg-lost"
            style={{ left: `${(100 * at) / Math.max(1e-3, seconds)}%` }}
          />
        ))}
      </div>
    </div>
  );
}
