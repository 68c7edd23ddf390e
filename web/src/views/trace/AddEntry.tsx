import { keyText, placedNames, type WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import { FormDialog } from '../../components/FormDialog.tsx';
import { readPlace, type TypedPlace } from '../../components/PlaceInput.tsx';
import { Trouble } from '../../components/States.tsx';
import { eventText } from '../../state/eventText.ts';
import { draftOf, ENTRY_KINDS, entryOf, type EnteredKind } from './entryFields.ts';
import { EntryForm } from './EntryForm.tsx';
import { useWriting } from './useWriting.ts';
import { NO_WHY, WhyFields } from './WhyFields.tsx';
import * as phrases from './phrases.ts';

/** Between two entries of a walk without times, s: they are a second apart. */
const BETWEEN_S = 0.5;

/** What was forgotten on the walk, entered with who says so and why. */
export function AddEntry({
  finding,
  log,
  onReadings,
  onClose,
}: {
  finding: Finding;
  /** As it stands, in order. */
  log: readonly WalkEvent[];
  /** Many at once, out of a file. */
  onReadings: () => void;
  onClose: () => void;
}) {
  const { trace, path } = finding;
  const untimed = trace.begin.body.untimed === true;
  const [kind, setKind] = useState<EnteredKind>('dropoutBegin');
  const [draft, setDraft] = useState(() => draftOf('dropoutBegin'));
  const [place, setPlace] = useState<TypedPlace>({ text: '', method: trace.methods[0] ?? 'by eye' });
  const [atS, setAtS] = useState('');
  const [after, setAfter] = useState(log.at(-1) ? keyText(log.at(-1) as WalkEvent) : '');
  const [why, setWhy] = useState(NO_WHY);
  const [error, setError] = useState<Error>();
  const { add } = useWriting(finding);
  const behind = log.find((e) => keyText(e) === after);
  const walkS = untimed ? (behind?.time.walkS ?? trace.endS) + BETWEEN_S : Number(atS);
  const read = place.text.trim() === '' ? undefined : readPlace(place, [], placedNames(path));
  const ready = why.reason.trim() !== '' && !read?.refused && (untimed || (atS.trim() !== '' && walkS >= 0));
  const save = async (): Promise<void> => {
    try {
      const entry = entryOf(kind, draft, read?.reading);
      await add(entry, walkS, why);
      onClose();
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <FormDialog title={phrases.addAnEntry} said={phrases.itStandsInTheLogAs} onClose={onClose}>
      <Choice
        label={phrases.whatHappened}
        value={kind}
        onChange={(e) => {
          const next = e.target.value as EnteredKind;
          setKind(next);
          setDraft(draftOf(next));
        }}
      >
        {(Object.keys(ENTRY_KINDS) as EnteredKind[]).map((k) => (
          <option key={k} value={k}>
            {ENTRY_KINDS[k].label}
          </option>
        ))}
      </Choice>
      {untimed ? (
        <Choice label={phrases.after} value={after} onChange={(e) => setAfter(e.target.value)}>
          {log.map((e, i) => (
            <option key={keyText(e)} value={keyText(e)}>
              {i + 1}: {eventText(e).slice(0, 60)}
            </option>
          ))}
        </Choice>
      ) : (
        <Field
          label={phrases.whenOnTheWalksClock}
          suffix="s"
          inputMode="decimal"
          value={atS}
          onChange={(e) => setAtS(e.target.value)}
        />
      )}
      <EntryForm
        kind={kind}
        draft={draft}
        onDraft={setDraft}
        place={place}
        onPlace={setPlace}
        beside={[]}
        points={placedNames(path)}
      />
      <WhyFields why={why} onChange={setWhy} example={phrases.forgottenOnTheWalkSeenOn} />
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button className="btn btn-main" disabled={!ready} onClick={() => void save()}>
          {phrases.addIt}
        </button>
        <button className="btn" onClick={onClose}>
          {phrases.cancel}
        </button>
        <button className="btn btn-quiet ml-auto" onClick={onReadings}>
          {phrases.readingsFromAFile}
        </button>
      </div>
    </FormDialog>
  );
}
