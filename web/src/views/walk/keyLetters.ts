import { createContext } from 'react';
import * as phrases from './phrases.ts';

/** What single keys do while one walks, by the key that it is at first. */
export const KEY_ACTIONS = {
  d: phrases.dropoutBeginsOrEnds,
  '1': 'grade 1',
  '2': 'grade 2',
  '3': 'grade 3',
  '4': 'grade 4',
  '5': 'grade 5',
  m: phrases.markTheNextPost,
  w: phrases.markADistance3,
  s: phrases.standHereOrGoOn,
  t: phrases.turnRound2,
  n: 'note',
  f: phrases.theFixedEndMoved2,
  l: phrases.doorTurn,
  x: phrases.tried3Failed2,
  v: 'reading',
  r: phrases.reconnected,
  j: phrases.lostForGoodEnd,
  u: 'undo',
  e: 'end',
} as const;
type Key = keyof typeof KEY_ACTIONS;

/** Keys that somebody gave to an action in place of its first one. */
export type KeyLetters = Readonly<Partial<Record<string, string>>>;

/** The key of an action. */
export const letterOf = (letters: KeyLetters, key: string): string => letters[key] ?? key;

/** The action of a key; undefined where it has none. */
export function actionOf(letters: KeyLetters, pressed: string): string | undefined {
  return (Object.keys(KEY_ACTIONS) as Key[]).find((k) => letterOf(letters, k) === pressed);
}

/** Gives a key to an action; whichever had it gets the other's. */
export function withLetter(letters: KeyLetters, key: string, letter: string): KeyLetters {
  const other = actionOf(letters, letter);
  return {
    ...letters,
    [key]: letter,
    ...(other === undefined || other === key ? {} : { [other]: letterOf(letters, key) }),
  };
}

/** One sign that can be typed, and that is no key of the browser's. */
export const isLetter = (text: string): boolean => /^[\p{L}\p{N}\p{P}\p{S}]$/u.test(text);

/** Absent where keys are as they stand. */
export const Letters = createContext<KeyLetters | undefined>(undefined);
