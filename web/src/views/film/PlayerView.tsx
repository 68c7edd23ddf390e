import { useEffect } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { Player } from './usePlayer.ts';
import { Waveform, type Marker } from './Waveform.tsx';
import { secondsOfReel, type Reel } from './reel.ts';
import * as phrases from './phrases.ts';

const RATES = [0.25, 0.5, 1, 1.5, 2, 4] as const;
/** A loop goes from so long before here to a little after, s. */
const LOOP_S = [2, 1] as const;
const CONTROL = 'input, textarea, select, a[href], button, summary, [contenteditable]';

const clock = (seconds: number): string => {
  const ms = Math.round(1000 * Math.max(0, seconds));
  const [m, s] = [Math.floor(ms / 60_000), Math.floor(ms / 1000) % 60];
  return `${m}:${String(s).padStart(2, '0')}.${String(ms % 1000).padStart(3, '0')}`;
};

/** The recording, its clock, and how one goes about in it: by keys as by buttons. */
export function PlayerView({
  reel,
  player,
  markers,
}: {
  reel: Reel;
  player: Player;
  markers: readonly Marker[];
}) {
  const { video, part, playing, rate, atS, frame, loop } = player;
  useEffect(() => {
    const keys: Readonly<Record<string, () => void>> = {
      ' ': player.toggle,
      ArrowRight: () => player.step(1),
      ArrowLeft: () => player.step(-1),
      PageDown: () => player.seek(atS + 5),
      PageUp: () => player.seek(atS - 5),
    };
    const onKey = (e: KeyboardEvent): void => {
      const act = keys[e.key];
      const on = e.target instanceof Element ? e.target.closest(CONTROL) : null;
      if (!act || e.ctrlKey || e.metaKey || e.altKey || (on && !(on.matches('button') && e.key !== ' ')))
        return;
      e.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <section className="sheet p-2" aria-label={phrases.theRecording}>
      {}
      <video
        ref={video}
        src={reel[part]?.url}
        className="max-h-[36vh] min-h-16 w-full bg-ink"
        preload="auto"
        playsInline
        aria-label={phrases.recording(reel[part]?.file.name ?? '')}
      />
      <Waveform reel={reel} atS={atS} markers={markers} onSeek={player.seek} />
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <button type="button" className="btn btn-main" onClick={player.toggle}>
          {playing ? phrases.pause : phrases.play}
        </button>
        <button type="button" className="btn" onClick={() => player.step(-1)}>
          {phrases.frameBack}
        </button>
        <button type="button" className="btn" onClick={() => player.step(1)}>
          {phrases.frameOn}
        </button>
        <button type="button" className="btn" onClick={() => player.seek(atS - 5)}>
          {phrases.n5SBack}
        </button>
        <button type="button" className="btn" onClick={() => player.seek(atS + 5)}>
          {phrases.n5SOn}
        </button>
        <button
          type="button"
          className="btn"
          aria-pressed={loop !== undefined}
          onClick={() => player.setLoop(loop ? undefined : [Math.max(0, atS - LOOP_S[0]), atS + LOOP_S[1]])}
        >
          {loop ? phrases.loopOff : phrases.loopHere}
        </button>
        <Choice
          inline
          label={phrases.speed}
          value={rate}
          onChange={(e) => player.setRate(Number(e.target.value))}
        >
          {RATES.map((r) => (
            <option key={r} value={r}>
              {r}×
            </option>
          ))}
        </Choice>
        <p className="figure ml-auto" data-clock={atS.toFixed(4)}>
          {phrases.ofText(clock(atS), clock(secondsOfReel(reel)))}
          {frame !== undefined && <span className="text-faint">{phrases.frame(frame)}</span>}
        </p>
      </div>
      <p className="text-[0.87rem] text-faint">
        {phrases.spacePlaysAndPausesTheArrows}
        {reel[part]?.trouble && phrases.ofText2(reel[part].file.name, reel[part].trouble)}
      </p>
    </section>
  );
}
