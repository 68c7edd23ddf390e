import {
  GRADES,
  placedNames,
  type Correction,
  type DistanceReading,
  type Grade,
  type WalkEvent,
} from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { FormDialog } from '../../components/FormDialog.tsx';
import { PlaceInput, readPlace, type TypedPlace } from '../../components/PlaceInput.tsx';
import { Trouble } from '../../components/States.tsx';
import { eventText } from '../../state/eventText.ts';
import { BegunFields } from './BegunFields.tsx';
import { CorrectionChoice } from './CorrectionChoice.tsx';
import { draftOf, ENTRY_KINDS, entryOf, isEntered } from './entryFields.ts';
import { EntryForm } from './EntryForm.tsx';
import { neighboursM } from './neighboursM.ts';
import { ofItsGrader } from './ofItsGrader.ts';
import { useWriting } from './useWriting.ts';
import { NO_WHY, WhyFields } from './WhyFields.tsx';
import * as phrases from './phrases.ts';

type Action = Correction['action'];

/** A correction is an event of its own, with its reason; what it amends stays in the log. */
export function CorrectionDialog({
  finding,
  event,
  onClose,
}: {
  finding: Finding;
  /** As it stands after earlier corrections. */
  event: WalkEvent;
  onClose: () => void;
}) {
  const [action, setAction] = useState<Action>(event.kind === 'begin' ? 'restate' : 'withdraw');
  const [walkS, setWalkS] = useState(event.time.walkS.toFixed(1));
  const [grade, setGrade] = useState<Grade>(event.kind === 'grade' ? event.body.grade : 5);
  const rewritten = isEntered(event.kind) && event.kind !== 'grade' ? event.kind : undefined;
  const saysMore = rewritten && (ENTRY_KINDS[rewritten].fields.length > 0 || ENTRY_KINDS[rewritten].placed);
  const measured = event.kind === 'mark' || event.kind === 'begin';
  const reading = 'reading' in event.body ? event.body.reading : undefined;
  const [place, setPlace] = useState<TypedPlace>({
    text: reading ? String(reading.travelledM) : '',
    method: reading?.method ?? 'marked line',
  });
  const [draft, setDraft] = useState(() => (rewritten ? draftOf(rewritten, event.body) : {}));
  const [begun, setBegun] = useState(event.kind === 'begin' ? event.body : undefined);
  const [why, setWhy] = useState(NO_WHY);
  const beside = neighboursM(finding.trace.fixes, event.time.walkS);
  const points = placedNames(finding.path);
  const read = place.text.trim() === '' ? undefined : readPlace(place, beside, points);
  const [error, setError] = useState<Error>();
  const { correct } = useWriting(finding);
  const said = (): Omit<Correction, 'amends' | 'reason' | 'author'> => {
    switch (action) {
      case 'move':
        return { action, walkS: Number(walkS) };
      case 'regrade':
        return { action, grade };
      case 'remeasure':
        return {
          action,
          reading: { ...(read?.reading as DistanceReading), pressed: reading?.pressed ?? true },
        };
      case 'rewrite':
        return rewritten
          ? { action, entry: entryOf(rewritten, draft, read?.reading, event.body) }
          : { action };
      default:
        return begun && event.kind === 'begin' && action === 'restate'
          ? { action, begun: ofItsGrader(begun, event.body) }
          : { action };
    }
  };
  const save = async (): Promise<void> => {
    try {
      await correct(event, said(), why);
      onClose();
    } catch (cause) {
      setError(cause as Error);
    }
  };
  const ready =
    why.reason.trim() !== '' &&
    (action !== 'move' || Number(walkS) >= 0) &&
    (action !== 'remeasure' || read?.reading !== undefined) &&
    (action !== 'rewrite' || !read?.refused);
  return (
    <FormDialog
      title={phrases.correct(eventText(event))}
      said={phrases.theEntryStaysInTheLog}
      onClose={onClose}
    >
      <CorrectionChoice {...{ event, measured, action }} saysMore={Boolean(saysMore)} onChange={setAction} />
      {action === 'move' && (
        <Field
          label={phrases.happenedAtOnTheWalksClock}
          suffix="s"
          type="number"
          min={0}
          step="0.1"
          value={walkS}
          onChange={(e) => setWalkS(e.target.value)}
        />
      )}
      {action === 'regrade' && (
        <Choice
          label={phrases.grade}
          value={grade}
          onChange={(e) => setGrade(Number(e.target.value) as Grade)}
        >
          <Options of={GRADES} />
        </Choice>
      )}
      {action === 'remeasure' && (
        <PlaceInput
          label={phrases.travelledDistance}
          value={place}
          onChange={setPlace}
          neighboursM={beside}
          points={points}
        />
      )}
      {action === 'rewrite' && rewritten && (
        <EntryForm
          kind={rewritten}
          {...{ draft, place, beside, points }}
          onDraft={setDraft}
          onPlace={setPlace}
        />
      )}
      {action === 'restate' && begun && <BegunFields begun={begun} onChange={setBegun} />}
      <WhyFields why={why} onChange={setWhy} />
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button className="btn btn-main" disabled={!ready} onClick={() => void save()}>
          {phrases.logTheCorrection}
        </button>
        <button className="btn" onClick={onClose}>
          {phrases.cancel}
        </button>
      </div>
    </FormDialog>
  );
}
