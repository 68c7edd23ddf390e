import type { Grade } from '../grade.ts';
import { kindOf } from './index.ts';

/** What people say for each grade, beside the words of the kind (common practice). Longer sayings first. */
const SAYINGS: readonly (readonly [string, Grade])[] = [
  ['loud and clear', 5],
  ['perfectly readable', 5],
  ['no problem', 5],
  ['five by five', 5],
  ['crystal', 5],
  ['clean', 5],
  ['perfect', 5],
  ['slight noise', 4],
  ['a few ticks', 4],
  ['blocky', 4],
  ['blocks', 4],
  ['ticks', 4],
  ['ticking', 4],
  ['crackling', 4],
  ['crackles', 4],
  ['glitch', 4],
  ['artefact', 4],
  ['artifact', 4],
  ['pixelated', 4],
  ['noisy', 4],
  ['with effort', 3],
  ['usable', 3],
  ['readable', 3],
  ['good enough', 3],
  ['stutter', 3],
  ['choppy', 3],
  ['barely', 2],
  ['words lost', 2],
  ['frozen', 2],
  ['freezes', 2],
  ['freezing', 2],
  ['breaking up', 2],
  ['broken', 2],
  ['unusable', 2],
  ['now and then', 2],
  ['no signal', 1],
  ['nothing', 1],
  ['silence', 1],
  ['silent', 1],
  ['dropped out', 1],
  ['dropout', 1],
  ['lost', 1],
  ['dead', 1],
  ['gone', 1],
  ['unreadable', 1],
  ['black', 1],
  ['none', 1],
];

const escaped = (words: string): string => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * The grade that a remark stands for, to be confirmed and never taken silently: the kind's own words first,
 * then common sayings. Undefined when it has none, or several that differ, or a "not" before it.
 */
export function gradeOfWords(text: string, kindId?: string): Grade | undefined {
  const own =
    kindId === undefined
      ? []
      : (Object.entries(kindOf(kindId).words) as [string, string][]).map(
          ([g, words]) => [words, Number(g) as Grade] as const,
        );
  let left = text.toLowerCase();
  const found = new Set<Grade>();
  for (const [words, grade] of [...own, ...SAYINGS].sort((a, b) => b[0].length - a[0].length)) {
    const pattern = new RegExp(
      `(?<![\\p{L}])(not |no longer |n't )?${escaped(words.toLowerCase())}(?![\\p{L}])`,
      'u',
    );
    const match = pattern.exec(left);
    if (!match) continue;
    if (match[1] !== undefined) return undefined;
    found.add(grade);
    // A longer saying is not read again as a shorter one inside it.
    left = left.replace(pattern, ' ');
  }
  return found.size === 1 ? [...found][0] : undefined;
}
