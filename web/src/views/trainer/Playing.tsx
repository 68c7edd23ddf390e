import { useEffect, useRef } from 'react';
import type { Lesson } from './lesson.ts';
import * as phrases from './phrases.ts';

export function Playing({ lesson, onPress }: { lesson: Lesson; onPress: (inputMs: number) => void }) {
  const mark = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let frame = 0;
    // The picture drops out with the sound: it stands still and fades.
    const draw = (): void => {
      const now = performance.now();
      if (mark.current) {
        const out = lesson.isOut(now);
        mark.current.style.opacity = out ? '0.15' : '1';
        if (!out) mark.current.style.left = `${(50 + 46 * Math.sin(now / 700)).toFixed(1)}%`;
      }
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [lesson]);
  return (
    <div className="grid gap-4" data-onsets={JSON.stringify(lesson.onsetsMs)}>
      <div
        className="sheet relative h-28 overflow-hidden"
        role="img"
        aria-label={phrases.aMarkThatMovesWhileThe}
      >
        <div ref={mark} className="absolute top-8 size-12 -translate-x-1/2 bg-ink" />
      </div>
      <button
        type="button"
        className="pressable min-h-40 text-xl"
        onPointerDown={(e) => onPress(e.timeStamp)}
      >
        {phrases.itDroppedOut}
        <span className="key">{phrases.dOrSpace}</span>
      </button>
      <p className="text-faint">{phrases.pressAsItGoesItsComing}</p>
    </div>
  );
}
