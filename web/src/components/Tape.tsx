import { tapeScene, type TapeOptions } from '@urvek/draw';
import { useEffect, useRef, useState } from 'react';
import { useUnit } from '../state/unit.ts';
import { Picture } from './Picture.tsx';

/** The tape at the width of its place, in the reader's unit. */
export function Tape({ onPoint, ...options }: Omit<TapeOptions, 'width' | 'unit' | 'labelWidth'> & { onPoint?: (groupId: string) => void }) {
  const [unit] = useUnit();
  const place = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1160);
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => setWidth(Math.max(320, Math.round(entry?.contentRect.width ?? 1160))));
    if (place.current) observer.observe(place.current);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={place}>
      <Picture scene={tapeScene({ ...options, unit, width, labelWidth: width < 600 ? 74 : 150 })} onPoint={onPoint} />
    </div>
  );
}
