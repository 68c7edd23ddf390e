import { faultStretches, SPOILT_SHARE, type ArtefactKind, type Detected, type Grade } from '@urvek/core';
import { useMemo, useState } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import { Act, Proposal } from './Proposal.tsx';
import { NOTHING, overlap, type Proposing, type Stretch } from './ProposedLosses.tsx';
import * as phrases from './phrases.ts';

/** A stretch as a person graded it after an instrument proposed it. */
export interface GradedStretch extends Stretch {
  readonly grade: Grade;
  /** What it is after it. */
  readonly then: Grade;
  readonly found: string;
}

/** Beside a stretch with faults, where nobody graded: no fault was found there. */
const UNGRADED: Grade = 5;

/** What can be said of a stretch in which something comes through, and nothing is lost. */
const GRADES: readonly Grade[] = [4, 3, 2];

/**
 * Faults that are no loss: a grade is proposed for each stretch of them, and confirmed, changed or refused. Where
 * somebody said already that it was not clean, nothing is proposed.
 */
export function ProposedGrades({
  artefacts,
  fromS,
  toS,
  onLook,
  onGrade,
  noticed = NOTHING,
}: Pick<Proposing, 'fromS' | 'toS' | 'onLook' | 'noticed'> & {
  artefacts: readonly Detected<ArtefactKind>[];
  onGrade: (graded: GradedStretch) => void;
}) {
  const stretches = useMemo(
    () => faultStretches(artefacts.filter((a) => a.toS > fromS && a.fromS < toS)),
    [artefacts, fromS, toS],
  );
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const [chosen, setChosen] = useState<ReadonlyMap<number, Grade>>(new Map());
  if (stretches.length === 0) return null;
  const graded = noticed.filter((s) => s.stated && s.grade < UNGRADED);
  const own = stretches.filter((s) => !graded.some((g) => overlap(g, s)));
  const open = own.filter((s) => !done.has(s.fromS));
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <p>
        {phrases.stretchesWithFaultsToGrade(stretches.length, open.length)}
        {own.length < stretches.length && phrases.inTheLogAlready(stretches.length - own.length)}{' '}
        <span className="text-faint">{phrases.grade4IsProposedFirst(100 * SPOILT_SHARE, UNGRADED)}</span>
      </p>
      <ul
        className="max-h-[50vh] overflow-y-auto"
        tabIndex={open.length > 4 ? 0 : undefined}
        aria-label={phrases.stretchesWithFaults}
      >
        {open.map((s) => {
          const at = s.fromS.toFixed(2);
          const grade = chosen.get(s.fromS) ?? s.proposed;
          const found = s.faults.map((f) => `${f.times} × ${f.kind}`).join(', ');
          const settle = (): void => setDone(new Set([...done, s.fromS]));
          const log = (): void => {
            const then = noticed.findLast((n) => n.stated && n.fromS <= s.fromS)?.grade ?? UNGRADED;
            onGrade({ fromS: Math.max(fromS, s.fromS), toS: Math.min(toS, s.toS), grade, then, found });
            settle();
          };
          return (
            <Proposal
              key={s.fromS}
              at={at}
              said={`${phrases.fromToS(at, s.toS.toFixed(2))} ${found}`}
              before={
                <Choice
                  label={phrases.gradeFromS(at)}
                  hideLabel
                  value={grade}
                  onChange={(e) =>
                    setChosen(new Map([...chosen, [s.fromS, Number(e.target.value) as Grade]]))
                  }
                >
                  <Options of={GRADES} />
                </Choice>
              }
              onLook={() => onLook(s.fromS)}
              onRefuse={settle}
            >
              <Act label={phrases.logGradeFromS(at)} onClick={log}>
                {phrases.logGrade(grade)}
              </Act>
            </Proposal>
          );
        })}
      </ul>
    </div>
  );
}
