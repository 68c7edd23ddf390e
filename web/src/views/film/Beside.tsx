import type { EventOf } from '@urvek/core';
import { Film } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { digestOf } from './frames.ts';
import type { Player } from './usePlayer.ts';
import * as phrases from './phrases.ts';

/** In play it is set right when it has drifted so far, s. */
const DRIFT_S = 0.1;

/**
 * A second recording of the same walk, the received picture say, joined by a moment that both show: it then follows.
 */
export function Beside({
  player,
  known,
  onJoin,
}: {
  player: Player;
  /** Those that were joined before, the last one last. */
  known: readonly EventOf<'recording'>[];
  /** At this moment of the walk stands that second of the file. */
  onJoin: (file: File, besideFromS: number) => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [file, setFile] = useState<{ readonly name: string; readonly url: string; readonly file: File }>();
  /** Its second at the other's zero; absent until a moment joins them. */
  const [offsetS, setOffsetS] = useState<number>();
  const last = known.at(-1);
  const open = async (chosen: File): Promise<void> => {
    setFile({ name: chosen.name, url: URL.createObjectURL(chosen), file: chosen });
    const digest = await digestOf(chosen);
    const same = known.findLast((k) => k.body.digest === digest && k.body.bytes === chosen.size);
    if (same) setOffsetS((same.body.besideFromS ?? 0) - same.time.walkS);
  };
  const { atS, playing, rate } = player;
  const url = file?.url;
  useEffect(() => () => (url === undefined ? undefined : URL.revokeObjectURL(url)), [url]);
  useEffect(() => {
    const media = video.current;
    if (!media || offsetS === undefined) return;
    const due = Math.max(0, atS + offsetS);
    media.playbackRate = rate;
    if (playing && media.paused && due < media.duration) void media.play().catch(() => undefined);
    if (!playing && !media.paused) media.pause();
    if (!playing || Math.abs(media.currentTime - due) > DRIFT_S) media.currentTime = due;
  }, [atS, playing, rate, offsetS]);
  return (
    <details className="sheet mt-2 p-2">
      <summary className="cursor-pointer font-bold">{phrases.aSecondRecordingAtOnce}</summary>
      {!file ? (
        <>
          {last && (
            <p className="mt-2">
              {phrases.itWasJoinedTo}
              <strong>{last.body.name}</strong>
              {phrases.chooseItAgainAndItIs}
            </p>
          )}
          <label className="btn mt-2 cursor-pointer focus-within:outline-3 focus-within:outline-accent">
            <Film aria-hidden size={16} />
            {phrases.chooseTheSecondOne}
            <input
              type="file"
              accept="video/*,audio/*,.mkv,.mov,.m4a"
              aria-label={phrases.aSecondFilmOrSoundFile}
              className="sr-only"
              onChange={(e) => {
                const [chosen] = e.target.files ?? [];
                e.target.value = '';
                if (chosen) void open(chosen);
              }}
            />
          </label>
        </>
      ) : (
        <>
          <video
            ref={video}
            src={file.url}
            className="mt-2 max-h-[30vh] w-full bg-ink"
            preload="auto"
            playsInline
            // Until both are joined it is gone about in by itself; its sound would sound twice.
            controls={offsetS === undefined}
            muted
            aria-label={phrases.secondRecording(file.name)}
          />
          <p className="mt-1 flex flex-wrap items-center gap-2">
            <button
              type="button"
              className="btn"
              onClick={() => {
                const besideFromS = video.current?.currentTime ?? 0;
                setOffsetS(offsetS === undefined ? besideFromS - atS : undefined);
                if (offsetS === undefined) onJoin(file.file, besideFromS);
              }}
            >
              {offsetS === undefined ? phrases.bothShowTheSameMomentNow : phrases.notJoinedFindTheMomentAgain}
            </button>
            <span className="text-faint">
              {offsetS === undefined
                ? phrases.goToAClapOrA
                : phrases.joinedItBeginsSTheOther(
                    Math.abs(offsetS).toFixed(2),
                    offsetS > 0 ? 'before' : 'after',
                  )}
            </span>
          </p>
        </>
      )}
    </details>
  );
}
