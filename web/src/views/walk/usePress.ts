import { useEffect, useRef, useState, type MouseEvent, type PointerEvent } from 'react';

/** Touches of one key nearer than this are one: a hand trembles. Counters are pressed faster, and on purpose. */
const REPEAT_MS = 250;
export const COUNTER_REPEAT_MS = 100;
/** A key that has another meaning when it is held is held after so long. */
const HOLD_MS = 600;
/** A press that was slid off its key can be restored for so long. */
const RESTORE_MS = 4000;

interface Pressed {
  /** Slid off the key: nothing was logged, and one touch logs it after all, at the time of the first. */
  readonly withdrawn: boolean;
  readonly handlers: {
    onPointerDown(e: PointerEvent<HTMLElement>): void;
    onPointerUp(e: PointerEvent<HTMLElement>): void;
    onPointerCancel(): void;
    onContextMenu(e: MouseEvent<HTMLElement>): void;
    onClick(e: MouseEvent<HTMLElement>): void;
  };
}

const isOn = (e: PointerEvent<HTMLElement>, { left, right, top, bottom }: DOMRect): boolean =>
  e.clientX >= left && e.clientX <= right && e.clientY >= top && e.clientY <= bottom;

/**
 * A press counts at its first touch, if it is released where the key was then: sliding off it, or a swipe that began
 * on it, withdraws it; a page that moves under a finger that stays does not. A keyboard, or a voice, presses at once.
 */
export function usePress(
  act: (inputMs: number) => void,
  repeatMs = REPEAT_MS,
  hold?: (inputMs: number) => void,
): Pressed {
  const touchedMs = useRef<number>(undefined);
  const downMs = useRef(0);
  const downOn = useRef<DOMRect>(undefined);
  const lastMs = useRef(-Infinity);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const holding = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [withdrawnMs, setWithdrawnMs] = useState<number>();
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      clearTimeout(holding.current);
    },
    [],
  );
  const commit = (inputMs: number): void => {
    clearTimeout(timer.current);
    setWithdrawnMs(undefined);
    if (Math.abs(inputMs - lastMs.current) < repeatMs) return;
    lastMs.current = inputMs;
    act(inputMs);
  };
  const withdraw = (): void => {
    clearTimeout(holding.current);
    const touched = touchedMs.current;
    touchedMs.current = undefined;
    if (touched === undefined) return;
    setWithdrawnMs(touched);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setWithdrawnMs(undefined), RESTORE_MS);
  };
  return {
    withdrawn: withdrawnMs !== undefined,
    handlers: {
      onPointerDown: (e) => {
        if (e.button !== 0) return;
        downMs.current = e.timeStamp;
        downOn.current = e.currentTarget.getBoundingClientRect();
        touchedMs.current = withdrawnMs ?? e.timeStamp;
        e.currentTarget.setPointerCapture(e.pointerId);
        const touched = touchedMs.current;
        if (hold)
          holding.current = setTimeout(() => {
            touchedMs.current = undefined;
            hold(touched);
          }, HOLD_MS);
      },
      onPointerUp: (e) => {
        clearTimeout(holding.current);
        const touched = touchedMs.current;
        if (touched === undefined || !downOn.current) return;
        if (!isOn(e, downOn.current)) return withdraw();
        touchedMs.current = undefined;
        // A page that was busy hears the release before its own timer: the fingers' clock decides.
        if (hold && e.timeStamp - downMs.current >= HOLD_MS) hold(touched);
        else commit(touched);
      },
      onPointerCancel: withdraw,
      // What a browser offers on a long press would take the key away from the finger.
      onContextMenu: (e) => {
        if (hold) e.preventDefault();
      },
      // By a pointer it was counted above.
      onClick: (e) => {
        if (e.detail === 0) commit(e.timeStamp);
      },
    },
  };
}
