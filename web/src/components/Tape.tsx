import { scaleOf, tapeScene, tellTape, type TapeOptions } from '@urvek/draw';
import {
  useId,
  useLayoutEffect,
  useRef,
  useState,
  type MouseEvent,
  type PointerEvent,
  type RefObject,
} from 'react';
import { useUnit } from '../state/unit.ts';
import { Picture } from './Picture.tsx';

/** Width of an element as it is laid out. */
export function useWidth(least: number): [RefObject<HTMLDivElement | null>, number] {
  const place = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1160);
  // Before it is painted: what lies below does not move then.
  useLayoutEffect(() => {
    const element = place.current;
    if (!element) return undefined;
    const measure = (): void => setWidth(Math.max(least, element.clientWidth));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [least]);
  return [place, width];
}

/**
 * The tape at the width of its place, in the reader's unit. `onHover`: metres under the pointer, absent
 * when it leaves.
 */
export function Tape({
  onPoint,
  stops,
  onHover,
  onPress,
  ...options
}: Omit<TapeOptions, 'width' | 'unit' | 'labelWidth'> & {
  onPoint?: (groupId: string) => void;
  stops?: (groupId: string) => boolean;
  onHover?: (atM: number | undefined) => void;
  /** Pressed at so many metres. */
  onPress?: (atM: number) => void;
}) {
  const told = useId();
  const [unit] = useUnit();
  const [place, width] = useWidth(320);
  const whole = { ...options, unit, width, labelWidth: width < 600 ? 88 : 150 };
  const under = ({ clientX, currentTarget }: MouseEvent<SVGSVGElement>): number => {
    const { left, width: shown } = currentTarget.getBoundingClientRect();
    return scaleOf(whole).metresAt(((clientX - left) / shown) * width);
  };
  const hover = {
    ...(onHover && {
      onPointerMove: (e: PointerEvent<SVGSVGElement>) => onHover(under(e)),
      onPointerLeave: () => onHover(undefined),
    }),
    ...(onPress && { onClick: (e: MouseEvent<SVGSVGElement>) => onPress(under(e)) }),
  };
  return (
    <div ref={place}>
      <Picture scene={tapeScene(whole)} onPoint={onPoint} stops={stops} aria-describedby={told} {...hover} />
      <div id={told} className="sr-only">
        {tellTape(whole).map((sentence, i) => (
          <p key={i}>{sentence}.</p>
        ))}
      </div>
    </div>
  );
}
