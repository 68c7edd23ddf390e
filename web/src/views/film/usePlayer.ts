import { useCallback, useEffect, useRef, useState } from 'react';
import { frameAt } from './frames.ts';
import { partAt, secondsOfReel, stillS, type Reel } from './reel.ts';

/** How far sound alone, or a film whose frames are not known, is stepped, s. */
const STEP_S = 0.01;

export interface Player {
  readonly video: (element: HTMLVideoElement | null) => void;
  readonly part: number;
  readonly playing: boolean;
  readonly rate: number;
  /** Second of the recording, for what is shown beside it. */
  readonly atS: number;
  /** Of the frame that stands, counted from 1; absent in play, and where frames are not known. */
  readonly frame: number | undefined;
  readonly toggle: () => void;
  readonly pause: () => void;
  readonly seek: (atS: number) => void;
  /** Goes there, and brings the picture into view where the page was scrolled past it. */
  readonly look: (atS: number) => void;
  readonly step: (by: 1 | -1) => void;
  readonly setRate: (rate: number) => void;
  /** The recording's second at an input, and how long the frame stands where it does. */
  readonly moment: (inputMs?: number) => {
    readonly atS: number;
    readonly frameS: number | undefined;
    readonly rate: number;
  };
  /** From here to there it plays again and again; absent: it does not. */
  readonly loop: readonly [number, number] | undefined;
  readonly setLoop: (loop: readonly [number, number] | undefined) => void;
}

/** Plays a recording on its own clock: in play it runs on, paused it stands at one frame. */
export function usePlayer(reel: Reel, fromS = 0): Player {
  // Told when it is drawn: a log may come later than the player.
  const video = useRef<HTMLVideoElement>(null);
  const [there, setThere] = useState(false);
  const drawn = useCallback((element: HTMLVideoElement | null): void => {
    video.current = element;
    setThere(element !== null);
  }, []);
  const [part, setPart] = useState(() => partAt(reel, fromS));
  const [playing, setPlaying] = useState(false);
  const [rate, setRateState] = useState(1);
  const [atS, setAtS] = useState(fromS);
  const [loop, setLoop] = useState<readonly [number, number]>();
  /** Where it is to be once there is something to play: at first, and after another part was fetched. */
  const wanted = useRef<number>(fromS - (reel[part]?.beginsS ?? 0));
  const here = reel[part];

  const standing = useCallback(
    (seconds: number) => (here ? frameAt(here.frames, seconds) : undefined),
    [here],
  );
  const now = useCallback((): number => (here?.beginsS ?? 0) + (video.current?.currentTime ?? 0), [here]);

  const seek = useCallback(
    (to: number): void => {
      const bounded = Math.max(0, Math.min(secondsOfReel(reel) - 1e-3, to));
      const next = partAt(reel, bounded);
      const { beginsS = 0, frames } = reel[next] ?? {};
      const frame = frames && frameAt(frames, bounded - beginsS);
      // The middle of a frame: its edges belong to two.
      const inPart =
        frame && video.current?.paused !== false ? frame.fromS + frame.lengthS / 2 : bounded - beginsS;
      setAtS(beginsS + inPart);
      wanted.current = inPart;
      if (next !== part) setPart(next);
      else if (video.current && video.current.readyState > 0) video.current.currentTime = inPart;
    },
    [reel, part],
  );

  const going = useRef({ playing, rate });
  useEffect(() => {
    going.current = { playing, rate };
  });
  useEffect(() => {
    const media = video.current;
    if (!media || !here) return;
    const loaded = (): void => {
      media.playbackRate = going.current.rate;
      media.currentTime = wanted.current;
      if (going.current.playing) void media.play();
    };
    const ended = (): void => {
      if (part + 1 < reel.length) {
        wanted.current = 0;
        setPart(part + 1);
      } else setPlaying(false);
    };
    const told = (): void => {
      wanted.current = media.currentTime;
      setAtS(here.beginsS + media.currentTime);
    };
    media.addEventListener('loadedmetadata', loaded);
    media.addEventListener('ended', ended);
    media.addEventListener('seeked', told);
    // It may be there already.
    if (media.readyState > 0) loaded();
    return () => {
      media.removeEventListener('loadedmetadata', loaded);
      media.removeEventListener('ended', ended);
      media.removeEventListener('seeked', told);
    };
  }, [there, here, part, reel.length]);

  // In play the place is told often enough for what follows it, and the loop turns back.
  useEffect(() => {
    if (!playing) return;
    let asked = 0;
    const tick = (): void => {
      const at = now();
      setAtS(at);
      if (loop && (at >= loop[1] || at < loop[0] - 1)) seek(loop[0]);
      asked = requestAnimationFrame(tick);
    };
    asked = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(asked);
  }, [playing, now, loop, seek]);

  const pause = useCallback((): void => {
    video.current?.pause();
    setPlaying(false);
    seek(now());
  }, [now, seek]);

  const frame = playing ? undefined : standing(atS - (here?.beginsS ?? 0));
  return {
    ...{ video: drawn, part, playing, rate, atS, loop, setLoop, seek, pause },
    look: (to) => {
      seek(to);
      video.current?.scrollIntoView({ block: 'nearest' });
    },
    frame: frame && frame.index + 1,
    toggle: () => {
      if (playing) return pause();
      setPlaying(true);
      void video.current?.play();
    },
    step: (by) => {
      if (playing) return pause();
      const stands = standing(now() - (here?.beginsS ?? 0));
      const to = stands && here?.frames.atS[stands.index + by];
      if (stands && to === undefined) {
        // Beyond the first or last frame of a part lies the next part.
        seek((here?.beginsS ?? 0) + (by > 0 ? (here?.seconds ?? 0) + 1e-3 : -1e-3));
        return;
      }
      seek(to === undefined ? now() + by * STEP_S : (here?.beginsS ?? 0) + to + 1e-6);
    },
    setRate: (next) => {
      setRateState(next);
      if (video.current) video.current.playbackRate = next;
    },
    moment: (inputMs = performance.now()) => {
      const media = video.current;
      if (!media || media.paused) {
        const stands = standing(now() - (here?.beginsS ?? 0));
        return {
          atS: stands ? (here?.beginsS ?? 0) + stands.fromS + stands.lengthS / 2 : now(),
          frameS: stillS(stands?.lengthS),
          rate: 1,
        };
      }
      const lateS = Math.max(0, performance.now() - inputMs) / 1000;
      return {
        atS: Math.max(0, now() - lateS * media.playbackRate),
        frameS: undefined,
        rate: media.playbackRate,
      };
    },
  };
}
