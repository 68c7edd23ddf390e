import { NOTHING_WITHHELD, writeInterchange, type Comparison, type Withheld } from '@urvek/contract';
import { hopsOf } from '@urvek/core';
import type { DerivedEntry } from '../results/findings.ts';
import { Study } from '../study.ts';
import { LEFT_OUT, withhold, withoutWords } from './withhold.ts';
import { withoutGraders } from './withoutGraders.ts';

type Derived = NonNullable<DerivedEntry['derived']>;

/** What is called otherwise where names stay here. */
interface Renamed {
  readonly graders: ReturnType<typeof withoutGraders>;
  readonly hops: ReadonlyMap<string, string>;
}

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
  const renamed: Renamed = {
    graders: withoutGraders(
      entries.map((e) => e.derived?.directions[0]?.trace.begin.body.conditions?.gradedBy),
    ),
    hops: new Map(
      setup.products.flatMap((p, i) =>
        p.rigs.flatMap((r, k) => {
          const outRig = out.setup.products[i]?.rigs[k];
          return outRig ? hopsOf(r).map((h, j) => [h, hopsOf(outRig)[j] ?? LEFT_OUT] as const) : [];
        }),
      ),
    ),
  };
  return {
    comparison: out,
    study: new Study(
      file.setup,
      entries.map(({ header, derived }) => ({
        header,
        derived: derived && withholdDerived(derived, withheld, renamed),
      })),
    ),
  };
}

function withholdDerived(
  derived: Derived,
  { notes, names, words }: Withheld,
  { graders, hops }: Renamed,
): Derived {
  const traces = (
    change: (trace: Derived['directions'][number]['trace']) => object,
    of: Derived,
  ): Derived => ({
    ...of,
    directions: of.directions.map((d) => ({ ...d, trace: { ...d.trace, ...change(d.trace) } })),
  });
  const quiet = notes
    ? traces((t) => ({ notes: t.notes.map((n) => ({ ...n, text: LEFT_OUT })) }), derived)
    : derived;
  const unnamed = names
    ? traces(
        ({ begin, lostHops }) => ({
          lostHops: lostHops.map((h) => h && (hops.get(h) ?? LEFT_OUT)),
          begin: begin.body.conditions
            ? { ...begin, body: { ...begin.body, conditions: graders.of(begin.body.conditions) } }
            : begin,
        }),
        quiet,
      )
    : quiet;
  return withoutWords(unnamed, words).value;
}
