import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { anchorOfWord } from '../views/words/words.ts';

/** A word where it is first met, with a link to what it means. */
export const Term = ({ of, children }: { of: string; children?: ReactNode }) => (
  <Link
    to={`/words#${anchorOfWord(of)}`}
    className="underline decoration-rule decoration-dotted underline-offset-4 hover:decoration-ink"
  >
    {children ?? of}
  </Link>
);
