import { countOf } from '../quantity/plural.ts';
import { walksFor } from '../judge/walksFor.ts';
import { parseLength } from '../quantity/length.ts';
import * as phrases from './phrases.ts';

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
    : phrases.notCarryItSayInHow(countOf(walks, phrases.walkDoes, phrases.walksDo));

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
    question: () => phrases.sayHowWellItIsKnown,
  },
  {
    // "Went back up to the 90" is a way, not a bound.
    words: /\bup to\b(?!\s+the\b)/gi,
    question: ({ claimsUpTo }) => (claimsUpTo ? undefined : phrases.reachedOnceOrByNineOf),
  },
  {
    words: /\b(?:best|worst|winner|beats|crushes|destroys)\b/gi,
    question: () => phrases.byWhichMeasureByHowMuch,
  },
  {
    words: /\b(?:proves?|proven|definitely|obvious(?:ly)?|clearly)\b/gi,
    question: () => phrases.walksSupportOrRefuteSayWith,
  },
  {
    words: /\b(?:twice|doubles?|doubled|half)\s+(?:the\s+)?coverage\b/gi,
    question: () => phrases.ofDistanceOrOfAreaArea,
  },
  {
    words: new RegExp(
      String.raw`\b(?:at least|about|nearly|almost|easily|more than)\s+(?:twice|double|half|three times)\b` +
        String.raw`(?!\s+(?:the\s+)?coverage)`,
      'gi',
    ),
    question: () => phrases.giveTheRatioWithItsInterval,
  },
  {
    words:
      /\b(?:much|far|way|vastly|significantly)\s+(?:greater|better|farther|further|longer|worse|stronger|more)\b/gi,
    question: () => phrases.byHowMuchAndDoesThe,
  },
  {
    words: /\b(?:barely|hardly|just about|marginally)\b/gi,
    question: () => phrases.byHowMuchSayTheFigure,
  },
  {
    words: /\bdBm\s+(?:better|worse|more|less|higher|lower|stronger|weaker|apart)\b/gi,
    question: () => phrases.aDifferenceOfLevelsIsIn,
  },
  {
    words: new RegExp(
      String.raw`\b(?:dodgy|patchy|flaky|unreliable|bad|poor|useless|gone|lost|fails?|failed)\s+` +
        String.raw`(?:beyond|after|past|over|from)\s+` +
        String.raw`([\d.,]+\s*(?:m|km|ft|yd|mi|metres|meters|feet|yards|miles)?)\b`,
      'gi',
    ),
    question: ({ farthestM }, match) => {
      const m = metres(match[1] ?? '');
      return farthestM !== undefined && m !== undefined && m >= farthestM
        ? phrases.nothingWasLoggedBeyondItThat
        : undefined;
    },
  },
  {
    words:
      /(?<![\w.])\d[\d,]*(?:\.\d+)?(?=\s?(?:%|×|x\b|m\b|km\b|ft\b|yd\b|mi\b|dB\b|dBm\b|ms\b|s\b|Mbit\/s))/g,
    question: ({ made }, match) =>
      made === undefined || figuresOf(made).has(figure(match[0]))
        ? undefined
        : phrases.thisFigureStandsNowhereInThe,
  },
  {
    words: /\b(?:the )?same\b/gi,
    question: () => phrases.notToldApartIsNotThe,
  },
  {
    words: /\brange\b(?=\s+(?:is|was|of)\b)/gi,
    question: () => phrases.byWhichCriterionFirstArtefactFirst,
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
