import { useCallback, useState } from 'react';
import { isLetter, KEY_ACTIONS, type KeyLetters } from './keyLetters.ts';

/** How one wants to log; it stays so on this device, but for the speed of simulated gear. */
export interface Options {
  readonly rate: number;
  readonly sun: boolean;
  readonly sound: boolean;
  readonly speak: boolean;
  readonly guided: boolean;
  readonly locating: boolean;
  /** A dropout lasts as long as its key is held. */
  readonly hold: boolean;
  /** Single letters log. */
  readonly keys: boolean;
  readonly leftHand: boolean;
  /** Which key does what, where somebody changed it. */
  readonly letters: KeyLetters;
}

const USUAL: Options = {
  rate: 1,
  sun: false,
  sound: true,
  speak: false,
  guided: false,
  locating: false,
  hold: false,
  keys: true,
  leftHand: false,
  letters: {},
};

const KEY = 'urvek-walk-options';

function kept(): Options {
  try {
    const known = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Record<keyof Options, unknown>>;
    const flags = Object.entries(known).filter(([name, v]) => name in USUAL && typeof v === 'boolean');
    return { ...USUAL, ...Object.fromEntries(flags), letters: keptLetters(known.letters) };
  } catch {
    return USUAL;
  }
}

/** What is kept may be anything: only keys of actions, and signs for them. */
function keptLetters(known: unknown): KeyLetters {
  const entries = Object.entries((known ?? {}) as object);
  return Object.fromEntries(
    entries.filter(([key, letter]) => key in KEY_ACTIONS && typeof letter === 'string' && isLetter(letter)),
  ) as KeyLetters;
}

export function useOptions(): [Options, (change: Partial<Options>) => void] {
  const [options, setOptions] = useState(kept);
  const change = useCallback(
    (by: Partial<Options>) =>
      setOptions((now) => {
        const next = { ...now, ...by };
        try {
          // A location is asked for anew on every walk.
          localStorage.setItem(KEY, JSON.stringify({ ...next, rate: undefined, locating: false }));
        } catch {
          // A device that keeps nothing keeps no choice.
        }
        return next;
      }),
    [],
  );
  return [options, change];
}
