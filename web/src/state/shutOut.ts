import type { Problem } from '@urvek/contract';
import { useSyncExternalStore } from 'react';

let now: Problem | undefined;
const listeners = new Set<() => void>();

/** What the base said when it did not know this browser; undefined once it answers it again. */
export function setShutOut(problem: Problem | undefined): void {
  if (now?.what === problem?.what) return;
  now = problem;
  for (const listener of listeners) listener();
}

export const useShutOut = (): Problem | undefined =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => now,
  );
