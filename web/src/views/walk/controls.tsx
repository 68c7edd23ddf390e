import type { Reading, Tick } from '@urvek/core';
import type { ReactNode } from 'react';
import type { Actions } from './controlsParts.tsx';

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
    <button
      type="button"
      className={`pressable relative ${pressed ? 'bg-ink text-sheet' : ''} ${className}`}
      aria-pressed={pressed}
      aria-keyshortcuts={k}
      disabled={disabled}
      onClick={(e) => actions[k]?.(e.timeStamp)}
    >
      {children}
      <span className="key absolute top-1 right-1 hidden md:block" aria-hidden>
        {k.toUpperCase()}
      </span>
    </button>
  );
}
