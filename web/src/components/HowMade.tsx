import { Link } from 'react-router';
import * as phrases from './phrases.ts';

/** The paragraphs of docs/methods.md that figures link to, by their anchors. */
export type MethodsParagraph =
  | 'places'
  | 'bracket-of-a-walk'
  | 'range-of-one-product'
  | 'scale-error'
  | 'outings'
  | 'where-a-wall-decides'
  | 'ratio-of-two-products'
  | 'pairs-at-stands'
  | 'presses-and-answers'
  | 'throughput'
  | 'claims'
  | 'needs'
  | 'latency'
  | 'not-stated';

/** The rows of docs/intervals.md: what a statement reaches, held against a known truth. */
export type ReachedParagraph =
  | 'how-often-a-median-holds'
  | 'how-often-9-of-10-holds'
  | 'how-often-a-ratio-holds'
  | 'how-often-a-verdict-is-false'
  | 'how-often-d50-holds'
  | 'how-often-a-cap-is-one'
  | 'how-often-the-number-of-walks-is-enough';

/** Beside a figure: how often what is said so was true, where the truth was known. */
export const HowTrue = ({ of, what }: { of: ReachedParagraph; what: string }) => (
  <Link
    to={`/methods#${of}`}
    className="no-print text-[0.87rem] text-faint underline"
    aria-label={phrases.howOftenHolds(what)}
  >
    {phrases.howOftenItHolds}
  </Link>
);

/** Beside a figure: how it was made. */
export const HowMade = ({ of, what }: { of: MethodsParagraph; what: string }) => (
  <Link
    to={`/methods#${of}`}
    className="no-print text-[0.87rem] text-faint underline"
    aria-label={phrases.howIsWorkedOut(what)}
  >
    {phrases.howItIsWorkedOut}
  </Link>
);
