import type { Grade } from '../grade.ts';
import { kindOf } from './index.ts';
import { SAYINGS, type Saying, type Sense } from './sayings.ts';
import * as phrases from './phrases.ts';

/** What is heard or seen of a kind of product. */
const SENSES: Readonly<Record<string, readonly Sense[]>> = {
  microphone: ['sound', 'speech'],
  speaker: ['sound'],
  'video-link': ['picture', 'sound'],
  'two-way-radio': ['speech', 'sound'],
  router: ['picture', 'sound', 'speech'],
};

/** A remark, read: a grade that its words stand for, or what has to be asked about it. */
export type ReadWords =
  | { readonly grade: Grade; readonly from: string }
  | { readonly ask: string; readonly likely?: Grade | undefined };

/** How the strength beside it is said, of readability 1 to 5 and strength 1 to 9 (common practice of radio). */
const REPORT = /^(?:you(?:'re| are) )?(?:a |an )?([1-5])\s*(?:and|by|\/|-)\s*[1-9](?: plus)?$/;
const SPELT: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
};
const spelt = (text: string): string =>
  text.replace(/\b(one|two|three|four|five|six|seven|eight|nine)\b/g, (w) => SPELT[w] as string);

/** Before a saying they turn it round, or take it back. */
const TURNED = String.raw`(?:not|never|no longer|no|n't|without|isn't|wasn't|nearly|almost|hardly)`;
/** After or before it they say that it was not always so. */
const SOMETIMES = new RegExp(
  String.raw`\b(${[
    ...['once', 'twice', 'briefly', 'at times', 'sometimes', 'occasionally', 'a few', 'a couple of', 'some'],
    ...['for a second', 'for a moment', 'momentarily', 'if', 'until', 'unless', 'when'],
  ].join('|')})\b`,
);
const escaped = (words: string): string => words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
const bounded = (words: string, flags = 'gu'): RegExp =>
  new RegExp(String.raw`(?<![\p{L}\p{N}])${words}(?![\p{L}\p{N}])`, flags);

interface Pattern extends Saying {
  /** Costly to make, and of most sayings never asked for. */
  readonly pattern: () => RegExp;
}
const once = <T extends object>(make: () => T): (() => T) => {
  let made: T | undefined;
  return () => (made ??= make());
};
const patterned = (sayings: readonly Saying[]): Pattern[] =>
  [...sayings]
    .sort((a, b) => b.words.length - a.words.length)
    .map((s) => ({ ...s, words: s.words.toLowerCase() }))
    .map((s) => ({
      ...s,
      pattern: once(() => bounded(String.raw`(?:(${TURNED})\s+(?:\p{L}+\s+)?)?${escaped(s.words)}`)),
    }));
const USUAL = patterned(SAYINGS);

/** The words of a kind, then common sayings of what is heard or seen of it. */
const ofKind = new Map<string | undefined, readonly Pattern[]>();
function patternsOf(kindId: string | undefined): readonly Pattern[] {
  const known = ofKind.get(kindId);
  if (known) return known;
  const senses = kindId === undefined ? undefined : SENSES[kindId];
  const usual = USUAL.filter((s) => !s.of || !senses || s.of.some((o) => senses.includes(o)));
  const made = [...patterned(wordsOf(kindId)), ...usual];
  ofKind.set(kindId, made);
  return made;
}

/** The table as it is read for a kind of product: its own words, then what is said of what is heard or seen of it. */
export function sayingsOf(kindId: string | undefined): readonly Saying[] {
  const first = new Map<string, Saying>();
  for (const { words, grade, unsure } of patternsOf(kindId))
    if (!first.has(words)) first.set(words, { words, grade, ...(unsure ? { unsure } : {}) });
  return [...first.values()];
}

const wordsOf = (kindId: string | undefined): Saying[] =>
  kindId === undefined
    ? []
    : Object.entries(kindOf(kindId).words).map(([g, words]) => ({ words, grade: Number(g) as Grade }));

/**
 * The grade that a remark stands for: the kind's own words first, then what a comparison has added, then common
 * sayings. What can mean several grades, what is turned round by a "not", and what holds only at times is asked about
 * and never guessed. Undefined: it says nothing of the quality.
 */
export function readWords(text: string, kindId?: string, own: readonly Saying[] = []): ReadWords | undefined {
  const said = text.toLowerCase().replaceAll('’', "'").replace(/\s+/g, ' ').trim();
  const whole = ([...own, ...wordsOf(kindId)] as readonly Saying[]).find(
    (s) => s.words.toLowerCase() === said,
  );
  if (whole?.unsure) return { ask: phrases.canMeanSeveralGrades(whole.words), likely: whole.grade };
  if (whole) return { grade: whole.grade, from: whole.words };
  const report = REPORT.exec(spelt(said));
  if (report && (kindId === undefined || !SENSES[kindId] || kindId === 'two-way-radio'))
    return { grade: Number(report[1]) as Grade, from: said };
  let left = said;
  const found: { grade: Grade; from: string; unsure: boolean }[] = [];
  for (const s of [...patterned(own), ...patternsOf(kindId)]) {
    // Nearly all are not in it: looked for before the pattern is.
    if (!left.includes(s.words)) continue;
    left = left.replace(s.pattern(), (match: string, turned: string | undefined) => {
      found.push({ grade: s.grade, from: match, unsure: s.unsure === true || turned !== undefined });
      // A longer saying is not read again as a shorter one inside it.
      return ' ';
    });
  }
  const [first] = found;
  if (!first) return undefined;
  const grades = new Set(found.map((f) => f.grade));
  if (grades.size > 1)
    return { ask: phrases.itSaysWhichGradeIsMeant(found.map((f) => `“${f.from}”`).join(' and ')) };
  if (found.some((f) => f.unsure))
    return { ask: phrases.canMeanSeveralGrades(first.from), likely: first.grade };
  if (SOMETIMES.test(left)) return { ask: phrases.butNotAllTheTimeWhich(first.from), likely: first.grade };
  return { grade: first.grade, from: first.from };
}

/** The grade of a remark where it is sure, to be confirmed and never taken silently. */
export function gradeOfWords(text: string, kindId?: string, own: readonly Saying[] = []): Grade | undefined {
  const read = readWords(text, kindId, own);
  return read && 'grade' in read ? read.grade : undefined;
}
