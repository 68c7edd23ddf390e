import { useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Stage.tsx';
import { TopBar } from '../../components/TopBar.tsx';
import { graders, keepGrader } from '../../field/graders.ts';
import { nowMs } from '../../field/time.ts';
import { CLIP_KINDS, LEVELS, shuffledLevels, TIMES_EACH, type ClipKind } from './clip.ts';
import { CLIPS_SAID } from './clipsSaid.ts';
import { GradersTable } from './GradersTable.tsx';
import { GradingClips } from './GradingClips.tsx';
import * as phrases from './phrases.ts';

/** Where a person sets each grade: clips of a voice, a tune or a picture with losses of known size, graded blind. */
export function GradeTrainer() {
  const known = useFieldLog(graders, 'graders');
  const [person, setPerson] = useState('');
  const [of, setOf] = useState<ClipKind>('speech');
  const [levels, setLevels] = useState<readonly number[]>();
  return (
    <>
      <TopBar />
      <Stage
        title={phrases.gradeTrainer}
        lead={phrases.clipsWithLossesOfKnownSize}
        actions={
          <Link className="btn" to="/trainer">
            {phrases.reactionTrainer}
          </Link>
        }
      >
        {levels ? (
          <GradingClips
            {...{ of, levels }}
            onDone={(graded) => {
              setLevels(undefined);
              setPerson('');
              void keepGrader({ person: person.trim(), clips: of, atMs: nowMs(), graded });
            }}
            onStop={() => setLevels(undefined)}
          />
        ) : (
          <form
            className="sheet flex max-w-4xl flex-wrap items-end gap-3 p-4"
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
            <Choice
              label={phrases.whatIsGraded}
              value={of}
              onChange={(e) => setOf(e.target.value as ClipKind)}
            >
              {CLIP_KINDS.map((k) => (
                <option key={k} value={k}>
                  {CLIPS_SAID[k]}
                </option>
              ))}
            </Choice>
            <button className="btn btn-main" disabled={person.trim() === ''}>
              {phrases.gradeClipsAboutTwoMinutes(LEVELS.length * TIMES_EACH)}
            </button>
          </form>
        )}
        {!levels &&
          CLIP_KINDS.map((k) => {
            const graders = known?.filter((g) => g.clips === k) ?? [];
            return graders.length > 0 && <GradersTable key={k} {...{ of: k, graders }} />;
          })}
      </Stage>
    </>
  );
}
