import { walksFor } from '../judge/walksFor.ts';

/** A word that a conclusion must earn. */
export interface WordQuestion {
  readonly word: string;
  /** Where it begins, characters. */
  readonly at: number;
  readonly question: string;
}

/** What the data carry, as far as words ask. */
export interface Carried {
  /** Walks behind the conclusion. */
  readonly walks: number;
  /** Every one of them held. */
  readonly allHeld: boolean;
  /** A claim of "up to" is quoted in the same words. */
  readonly claimsUpTo: boolean;
}

/** Walks that must all hold before "always" is more than a hope. */
const WALKS_FOR_ALWAYS = walksFor(0.9);

interface Rule {
  readonly words: RegExp;
  readonly question: (carried: Carried) => string | undefined;
}

const everything = ({ walks, allHeld }: Carried): string | undefined =>
  allHeld && walks >= WALKS_FOR_ALWAYS
    ? undefined
    : `${walks} ${walks === 1 ? 'walk does' : 'walks do'} not carry it; say in how many of how many.`;

const RULES: readonly Rule[] = [
  { words: /\b(?:100|one hundred)\s?(?:%|per ?cent)/gi, question: everything },
  {
    words: /\b(?:never|always|every time|without fail|guaranteed|perfect(?:ly)?|flawless(?:ly)?)\b/gi,
    question: everything,
  },
  {
    words: /\b(?:about|around|roughly|approximately|or so)\b(?=\s+\d)/gi,
    question: () => 'Say how well it is known: an interval, or from … to ….',
  },
  {
    words: /\bup to\b/gi,
    question: ({ claimsUpTo }) => (claimsUpTo ? undefined : 'Reached once, or by nine of ten? Say which.'),
  },
  {
    words: /\b(?:best|worst|winner|beats|crushes|destroys)\b/gi,
    question: () => 'By which measure, by how much, and does the interval exclude none?',
  },
  {
    words: /\b(?:proves?|proven|definitely|obvious(?:ly)?|clearly)\b/gi,
    question: () => 'Walks support or refute; say with what confidence.',
  },
  {
    words: /\b(?:twice|double|half)\s+(?:the\s+)?coverage\b/gi,
    question: () => 'Of distance or of area? Area is the square.',
  },
  {
    words: /\b(?:the )?same\b/gi,
    question: () => 'Not told apart is not the same: say how large a difference was within reach.',
  },
  {
    words: /\brange\b(?=\s+(?:is|was|of)\b)/gi,
    question: () => 'By which criterion: first artefact, first dropout, last usable?',
  },
];

/** Words in a conclusion that the data may not carry, in the order of the text. */
export const questionWords = (text: string, carried: Carried): WordQuestion[] =>
  RULES.flatMap(({ words, question }) =>
    [...text.matchAll(words)].flatMap((m): WordQuestion[] => {
      const asked = question(carried);
      return asked === undefined ? [] : [{ word: m[0], at: m.index, question: asked }];
    }),
  ).sort((a, b) => a.at - b.at);
