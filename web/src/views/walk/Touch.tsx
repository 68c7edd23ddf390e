import type { ComponentProps } from 'react';
import { COUNTER_REPEAT_MS, usePress } from './usePress.ts';

/** A large key for a thumb: it counts at first touch when it is released on it, and sliding off withdraws it. */
export function Touch({
  onPress,
  counter = false,
  pressed,
  className = '',
  children,
  ...rest
}: Omit<ComponentProps<'button'>, 'onClick' | 'type'> & {
  onPress: (inputMs: number) => void;
  /** Pressed fast, and on purpose. */
  counter?: boolean;
  pressed?: boolean;
}) {
  const { withdrawn, handlers } = usePress(onPress, counter ? COUNTER_REPEAT_MS : undefined);
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
      {withdrawn && <span className="text-[0.78rem] font-normal">withdrawn: touch to log it</span>}
    </button>
  );
}
