import { useState } from 'react';

/** So many steps can be undone. */
const STEPS = 50;

/** What was, step by step: remembered before a change, given back by an undo. */
export function useSteps<T>(now: T, back: (was: T) => void): { remember(): void; undo?: () => void } {
  const [before, setBefore] = useState<readonly T[]>([]);
  const last = before.at(-1);
  return {
    remember: () => setBefore((steps) => [...steps, now].slice(-STEPS)),
    undo:
      last &&
      (() => {
        back(last);
        setBefore(before.slice(0, -1));
      }),
  };
}
