import {
  DIRECTIONS,
  GRADES,
  WALK_MODES,
  type Direction,
  type EventBodies,
  type Grade,
  type WalkMode,
} from '@urvek/core';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { GradedBy } from '../../components/GradedBy.tsx';
import * as phrases from './phrases.ts';

type Begun = EventBodies['begin'];

/** A field that is emptied is not stated, and leaves the event. */
function withField<K extends keyof Begun>(begun: Begun, key: K, value: Begun[K] | undefined): Begun {
  const { [key]: _, ...rest } = begun;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Begun;
}

function withGrader(begun: Begun, name: string): Begun {
  const { gradedBy: _, ...conditions } = begun.conditions ?? {};
  return { ...begun, conditions: name.trim() === '' ? conditions : { ...conditions, gradedBy: name } };
}

/** What a walk began with, corrected: each of these may be not stated. Its place is corrected as a distance. */
export function BegunFields({ begun, onChange }: { begun: Begun; onChange: (begun: Begun) => void }) {
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      <Choice
        label={phrases.baseline}
        value={begun.baselineGrade ?? ''}
        onChange={(e) =>
          onChange(
            withField(
              begun,
              'baselineGrade',
              e.target.value === '' ? undefined : (Number(e.target.value) as Grade),
            ),
          )
        }
      >
        <option value="">{phrases.notGraded}</option>
        <Options of={GRADES} />
      </Choice>
      <Choice
        label={phrases.howItWasWalked}
        value={begun.mode ?? 'continuous'}
        onChange={(e) => onChange(withField(begun, 'mode', e.target.value as WalkMode))}
      >
        <Options of={WALK_MODES} />
      </Choice>
      <Choice
        label={phrases.directionThatWasWatched}
        value={begun.direction}
        onChange={(e) => onChange({ ...begun, direction: e.target.value as Direction })}
      >
        <Options of={DIRECTIONS} />
      </Choice>
      <Field
        label={phrases.delayOfWhatIsHeard}
        suffix="s"
        inputMode="decimal"
        placeholder={phrases.notStated}
        value={begun.playoutDelayS ?? ''}
        onChange={(e) => {
          const delayS = Number(e.target.value);
          onChange(
            withField(
              begun,
              'playoutDelayS',
              e.target.value.trim() !== '' && delayS >= 0 ? delayS : undefined,
            ),
          );
        }}
      />
      <GradedBy
        name={begun.conditions?.gradedBy ?? ''}
        onChange={(name) => onChange(withGrader(begun, name))}
      />
      <Tick
        label={phrases.outOfReachComingIn}
        checked={begun.inwards === true}
        onChange={(e) => onChange(withField(begun, 'inwards', e.target.checked ? true : undefined))}
      />
    </div>
  );
}
