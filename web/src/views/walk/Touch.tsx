import type { ComponentProps } from 'react';
import { COUNTER_REPEAT_MS, usePress } from './usePress.ts';
import * as phrases from './phrases.ts';

/** A large key for a thumb: it counts at first touch when it is released on it, and sliding off withdraws it. */
export function Touch({
  onPress,
  onHold,
  counter = false,
  pressed,
  className = '',
  children,
  ...rest
}: Omit<ComponentProps<'button'>, 'onClick' | 'type'> & {
  onPress: (inputMs: number) => void;
  /** Held down instead: it is not a press then. */
  onHold?: (inputMs: number) => void;
  /** Pressed fast, and on purpose. */
  counter?: boolean;
  pressed?: boolean;
}) {
  const { withdrawn, handlers } = usePress(onPress, counter ? COUNTER_REPEAT_MS : undefined, onHold);
  return (
    <button
      type="button"
      className={`pressable relative ${pressed ? 'is-pressed' : ''} ${className} ${withdrawn ? 'is-withdrawn' : ''}`}
      aria-pressed={pressed}
      data-withdrawn={withdrawn || undefined}
      {...rest}
      {...handlers}
    >
      {children}
      {withdrawn && <span className="text-[0.87rem] font-normal">{phrases.withdrawnTouchToLogIt}</span>}
    </button>
  );
}
