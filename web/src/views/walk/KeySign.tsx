import { useContext } from 'react';
import { letterOf, Letters } from './keyLetters.ts';

const useLetter = (k: string): string => letterOf(useContext(Letters) ?? {}, k);

/** What a button says of the key that presses it. */
export const useKey = (k: string): { 'aria-keyshortcuts': string; 'data-key': string } => ({
  'aria-keyshortcuts': useLetter(k),
  'data-key': k,
});

/** The key on its button, for those who see it. */
export const KeySign = ({ k }: { k: string }) => (
  <span className="key absolute top-1 right-1 hidden md:block" aria-hidden>
    {useLetter(k).toUpperCase()}
  </span>
);
