import { Link } from 'react-router';

/** The paragraphs of docs/methods.md that figures link to, by their anchors. */
export type MethodsParagraph =
  | 'places'
  | 'bracket-of-a-walk'
  | 'range-of-one-product'
  | 'scale-error'
  | 'ratio-of-two-products'
  | 'pairs-at-stands'
  | 'presses-and-answers'
  | 'claims'
  | 'needs'
  | 'latency'
  | 'not-stated';

/** Beside a figure: how it was made. */
export const HowMade = ({ of, what }: { of: MethodsParagraph; what: string }) => (
  <Link
    to={`/methods#${of}`}
    className="no-print text-[0.8rem] text-faint underline"
    aria-label={`How ${what} is worked out`}
  >
    how it is worked out
  </Link>
);
