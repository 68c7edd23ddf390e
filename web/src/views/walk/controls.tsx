import type { Reading, Tick } from '@urvek/core';
import type { ReactNode } from 'react';
import type { Actions } from './controlsParts.tsx';
import { KeySign, useKey } from './KeySign.tsx';
import { Touch } from './Touch.tsx';

export const wheelReading = (tick: Tick): Reading => ({
  travelledM: Math.max(0, tick.wheelM),
  method: 'wheel',
  pressed: false,
});

export function Press({
  k,
  actions,
  disabled,
  pressed,
  className = '',
  onHold,
  children,
}: {
  k: string;
  actions: Actions;
  disabled?: boolean;
  pressed?: boolean;
  className?: string;
  /** Held down instead of pressed. */
  onHold?: (inputMs: number) => void;
  children: ReactNode;
}) {
  const keyOf = useKey(k);
  return (
    <Touch
      className={className}
      pressed={pressed}
      {...keyOf}
      onHold={onHold}
      disabled={disabled}
      onPress={(inputMs) => actions[k]?.(inputMs)}
    >
      {children}
      <KeySign k={k} />
    </Touch>
  );
}
