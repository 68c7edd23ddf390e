import { LENGTH_UNITS, type LengthUnit } from '@urvek/core';
import { useSyncExternalStore } from 'react';

const KEY = 'urvek.unit';
const listeners = new Set<() => void>();

const read = (): LengthUnit => {
  const stored = localStorage.getItem(KEY);
  return LENGTH_UNITS.find((u) => u === stored) ?? 'm';
};

/** The unit of length that the reader prefers; figures are stored in metres whatever it is. */
export function useUnit(): [LengthUnit, (unit: LengthUnit) => void] {
  const unit = useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);
  return [
    unit,
    (next) => {
      localStorage.setItem(KEY, next);
      listeners.forEach((listener) => listener());
    },
  ];
}
