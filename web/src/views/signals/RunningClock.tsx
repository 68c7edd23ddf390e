import { useEffect, useRef } from 'react';
import type { BeaconClock } from '../../field/testSignals.ts';
import { FullScreen } from './FullScreen.tsx';
import * as phrases from './phrases.ts';

/** Bits of the picture's number that are shown: it comes round after 17 minutes at 60 a second. */
const BITS = 16;

/** The walk's clock in tenths, the number of the picture in figures and as bars, one changing at a time (Gray code). */
export function RunningClock({ clock: { walkS }, onClose }: { clock: BeaconClock; onClose: () => void }) {
  const time = useRef<HTMLParagraphElement>(null);
  const number = useRef<HTMLParagraphElement>(null);
  const bars = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let frame = 0;
    let count = 0;
    const draw = (): void => {
      frame = requestAnimationFrame(draw);
      count = (count + 1) % 2 ** BITS;
      const s = walkS(performance.now());
      if (time.current)
        time.current.textContent = `${Math.floor(s / 60)}:${(s % 60).toFixed(1).padStart(4, '0')}`;
      if (number.current) number.current.textContent = String(count);
      const code = count ^ (count >> 1);
      for (const [i, bar] of [...(bars.current?.children ?? [])].entries())
        (bar as HTMLElement).style.background = (code >> (BITS - 1 - i)) & 1 ? '#000' : '#fff';
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [walkS]);
  return (
    <FullScreen title={phrases.aRunningClock} onClose={onClose}>
      <div className="grid h-full content-center justify-items-center gap-4">
        <p ref={time} className="figure text-[20vmin] leading-none" data-clock />
        <p ref={number} className="figure text-[8vmin] leading-none" />
        <div ref={bars} aria-hidden className="flex h-[20vmin] w-[90vmin] border-4 border-black">
          {Array.from({ length: BITS }, (_, i) => (
            <div key={i} className="flex-1" />
          ))}
        </div>
      </div>
    </FullScreen>
  );
}
