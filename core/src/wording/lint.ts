import { countOf } from '../quantity/plural.ts';
import { walksFor } from '../judge/walksFor.ts';
import { parseLength } from '../quantity/length.ts';

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
  /** The farthest place at which anything was logged, m; absent: not known here. */
  readonly farthestM?: number;
  /** The words that were made from the results: a figure that is in none of them stands nowhere. */
  readonly made?: readonly string[];
}

/** Walks that must all hold before "always" is more than a hope. */
const WALKS_FOR_ALWAYS = walksFor(0.9);

interface Rule {
  readonly words: RegExp;
  readonly question: (carried: Carried, match: RegExpMatchArray) => string | undefined;
}

const everything = ({ walks, allHeld }: Carried): string | undefined =>
  allHeld && walks >= WALKS_FOR_ALWAYS
    ? undefined
    : `${countOf(walks, 'walk does', 'walks do')} not carry it; say in how many of how many.`;

const figure = (text: string): string => text.replaceAll(',', '').replace(/\.0+$/, '');

const figuresOf = (texts: readonly string[]): Set<string> =>
  new Set(texts.flatMap((t) => [...t.matchAll(/\d[\d,]*(?:\.\d+)?/g)].map((m) => figure(m[0]))));

function metres(text: string): number | undefined {
  try {
    return parseLength(text.trim().replace(/[.,]$/, '')).valueM;
  } catch {
    return undefined;
  }
}

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
    // "Went back up to the 90" is a way, not a bound.
    words: /\bup to\b(?!\s+the\b)/gi,
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
    words: /\b(?:twice|doubles?|doubled|half)\s+(?:the\s+)?coverage\b/gi,
    question: () => 'Of distance or of area? Area is the square.',
  },
  {
    words:
      /\b(?:at least|about|nearly|almost|easily|more than)\s+(?:twice|double|half|three times)\b(?!\s+(?:the\s+)?coverage)/gi,
    question: () => 'Give the ratio with its interval; a bound of an interval is not the ratio.',
  },
  {
    words:
      /\b(?:much|far|way|vastly|significantly)\s+(?:greater|better|farther|further|longer|worse|stronger|more)\b/gi,
    question: () => 'By how much, and does the interval exclude none?',
  },
  {
    words: /\b(?:barely|hardly|just about|marginally)\b/gi,
    question: () => 'By how much? Say the figure and how well it is known.',
  },
  {
    words: /\bdBm\s+(?:better|worse|more|less|higher|lower|stronger|weaker|apart)\b/gi,
    question: () => 'A difference of levels is in dB; dBm is a level.',
  },
  {
    words:
      /\b(?:dodgy|patchy|flaky|unreliable|bad|poor|useless|gone|lost|fails?|failed)\s+(?:beyond|after|past|over|from)\s+([\d.,]+\s*(?:m|km|ft|yd|mi|metres|meters|feet|yards|miles)?)\b/gi,
    question: ({ farthestM }, match) => {
      const m = metres(match[1] ?? '');
      return farthestM !== undefined && m !== undefined && m >= farthestM
        ? 'Nothing was logged beyond it: that is not known.'
        : undefined;
    },
  },
  {
    words:
      /(?<![\w.])\d[\d,]*(?:\.\d+)?(?=\s?(?:%|×|x\b|m\b|km\b|ft\b|yd\b|mi\b|dB\b|dBm\b|ms\b|s\b|Mbit\/s))/g,
    question: ({ made }, match) =>
      made === undefined || figuresOf(made).has(figure(match[0]))
        ? undefined
        : 'This figure stands nowhere in the results: take it from them, or say where it comes from.',
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
      const asked = question(carried, m);
      return asked === undefined ? [] : [{ word: m[0], at: m.index, question: asked }];
    }),
  ).sort((a, b) => a.at - b.at);
