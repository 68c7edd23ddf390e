import { useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Stage.tsx';
import { TopBar } from '../../components/TopBar.tsx';
import { graders, keepGrader } from '../../field/graders.ts';
import { nowMs } from '../../field/time.ts';
import { LEVELS, shuffledLevels, TIMES_EACH } from './clip.ts';
import { GradersTable } from './GradersTable.tsx';
import { GradingClips } from './GradingClips.tsx';
import * as phrases from './phrases.ts';

/** Where a person sets each grade: clips of speech with losses of known size, graded blind. */
export function GradeTrainer() {
  const known = useFieldLog(graders, 'graders');
  const [person, setPerson] = useState('');
  const [levels, setLevels] = useState<readonly number[]>();
  return (
    <>
      <TopBar />
      <Stage
        title={phrases.gradeTrainer}
        lead={phrases.clipsOfSpeechWithLossesOf}
        actions={
          <Link className="btn" to="/trainer">
            {phrases.reactionTrainer}
          </Link>
        }
      >
        {levels ? (
          <GradingClips
            levels={levels}
            onDone={(graded) => {
              setLevels(undefined);
              setPerson('');
              void keepGrader({ person: person.trim(), atMs: nowMs(), graded });
            }}
            onStop={() => setLevels(undefined)}
          />
        ) : (
          <form
            className="sheet flex max-w-2xl flex-wrap items-end gap-3 p-4"
            onSubmit={(e) => {
              e.preventDefault();
              setLevels(shuffledLevels());
            }}
          >
            <Field
              className="w-64"
              label={phrases.whoGrades}
              value={person}
              autoComplete="off"
              onChange={(e) => setPerson(e.target.value)}
            />
            <button className="btn btn-main" disabled={person.trim() === ''}>
              {phrases.gradeClipsAboutTwoMinutes(LEVELS.length * TIMES_EACH)}
            </button>
          </form>
        )}
        {known && known.length > 0 && !levels && <GradersTable graders={known} />}
      </Stage>
    </>
  );
}
