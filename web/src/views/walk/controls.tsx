import type { Reading, Tick } from '@urvek/core';
import type { ReactNode } from 'react';
import type { Actions } from './controlsParts.tsx';
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
  children,
}: {
  k: string;
  actions: Actions;
  disabled?: boolean;
  pressed?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Touch
      className={className}
      pressed={pressed}
      aria-keyshortcuts={k}
      disabled={disabled}
      onPress={(inputMs) => actions[k]?.(inputMs)}
    >
      {children}
      <span className="key absolute top-1 right-1 hidden md:block" aria-hidden>
        {k.toUpperCase()}
      </span>
    </Touch>
  );
}
