import { faultStretches, SPOILT_SHARE, type ArtefactKind, type Detected, type Grade } from '@urvek/core';
import { useMemo, useState } from 'react';
import { Choice, Options } from '../../components/Field.tsx';
import type { Stretch } from './ProposedLosses.tsx';
import * as phrases from './phrases.ts';

/** A stretch as a person graded it after an instrument proposed it. */
export interface GradedStretch extends Stretch {
  readonly grade: Grade;
  readonly found: string;
}

/** Beside a stretch with faults, where nobody graded: no fault was found there. */
export const UNGRADED: Grade = 5;

/** What can be said of a stretch in which something comes through, and nothing is lost. */
const GRADES: readonly Grade[] = [4, 3, 2];

/** Faults that are no loss: a grade is proposed for each stretch of them, and confirmed, changed or refused. */
export function ProposedGrades({
  artefacts,
  fromS,
  toS,
  onLook,
  onGrade,
}: Stretch & {
  artefacts: readonly Detected<ArtefactKind>[];
  onLook: (atS: number) => void;
  onGrade: (graded: GradedStretch) => void;
}) {
  const stretches = useMemo(
    () => faultStretches(artefacts.filter((a) => a.toS > fromS && a.fromS < toS)),
    [artefacts, fromS, toS],
  );
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const [chosen, setChosen] = useState<ReadonlyMap<number, Grade>>(new Map());
  if (stretches.length === 0) return null;
  const open = stretches.filter((s) => !done.has(s.fromS));
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <p>
        {phrases.stretchesWithFaultsToGrade(stretches.length, open.length)}{' '}
        <span className="text-faint">{phrases.grade4IsProposedFirst(100 * SPOILT_SHARE, UNGRADED)}</span>
      </p>
      <ul
        className="max-h-72 overflow-y-auto"
        tabIndex={open.length > 4 ? 0 : undefined}
        aria-label={phrases.stretchesWithFaults}
      >
        {open.map((s) => {
          const at = s.fromS.toFixed(2);
          const grade = chosen.get(s.fromS) ?? s.proposed;
          const found = s.faults.map((f) => `${f.times} × ${f.kind}`).join(', ');
          const settle = (): void => setDone(new Set([...done, s.fromS]));
          return (
            <li key={s.fromS} className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
              <span className="min-w-60 flex-1">
                {phrases.fromToS(at, s.toS.toFixed(2))} {found}
              </span>
              <Choice
                label={phrases.gradeFromS(at)}
                hideLabel
                value={grade}
                onChange={(e) => setChosen(new Map([...chosen, [s.fromS, Number(e.target.value) as Grade]]))}
              >
                <Options of={GRADES} />
              </Choice>
              <button
                type="button"
                className="btn"
                aria-label={phrases.lookAtS(at)}
                onClick={() => onLook(s.fromS)}
              >
                {phrases.look}
              </button>
              <button
                type="button"
                className="btn"
                aria-label={phrases.logGradeFromS(at)}
                onClick={() => {
                  onGrade({ ...{ fromS: Math.max(fromS, s.fromS), toS: s.toS, grade, found } });
                  settle();
                }}
              >
                {phrases.logGrade(grade)}
              </button>
              <button
                type="button"
                className="btn btn-quiet"
                aria-label={phrases.refuseS(at)}
                onClick={settle}
              >
                {phrases.refuse}
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
