import { NOTHING_WITHHELD, writeInterchange, type Comparison, type Withheld } from '@urvek/contract';
import type { DerivedEntry } from '../results/findings.ts';
import { Study } from '../study.ts';
import { LEFT_OUT, withhold, withoutWords } from './withhold.ts';

/**
 * A comparison as it may leave: without what its report withholds. Figures stay: what was worked out is not
 * worked out anew.
 */
export function leavingStudy(
  comparison: Comparison,
  entries: readonly DerivedEntry[],
): { comparison: Comparison; study: Study } {
  const withheld = comparison.setup.report?.withheld ?? NOTHING_WITHHELD;
  const { id, title, question, demo, setup } = comparison;
  const { file } = withhold(writeInterchange({ id, title, question, simulated: demo }, setup, []), withheld);
  const out = {
    ...comparison,
    title: file.comparison.title,
    question: file.comparison.question,
    setup: file.setup,
  };
  return {
    comparison: out,
    study: new Study(
      file.setup,
      entries.map(({ header, derived }) => ({
        header,
        derived: derived && withholdDerived(derived, withheld),
      })),
    ),
  };
}

function withholdDerived(
  derived: NonNullable<DerivedEntry['derived']>,
  { notes, words }: Withheld,
): NonNullable<DerivedEntry['derived']> {
  const quiet = notes
    ? {
        ...derived,
        directions: derived.directions.map((d) => ({
          ...d,
          trace: { ...d.trace, notes: d.trace.notes.map((n) => ({ ...n, text: LEFT_OUT })) },
        })),
      }
    : derived;
  return withoutWords(quiet, words).value;
}
