import type { PlacedName } from '@urvek/core';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { PlaceInput, type TypedPlace } from '../../components/PlaceInput.tsx';
import { ENTRY_KINDS, type EnteredKind, type EntryDraft } from './entryFields.ts';
import * as phrases from './phrases.ts';

/** The fields of one kind of entry. */
export function EntryForm({
  kind,
  draft,
  onDraft,
  place,
  onPlace,
  beside,
  points,
}: {
  kind: EnteredKind;
  draft: EntryDraft;
  onDraft: (draft: EntryDraft) => void;
  place: TypedPlace;
  onPlace: (place: TypedPlace) => void;
  beside: readonly number[];
  points: readonly PlacedName[];
}) {
  const { fields, placed } = ENTRY_KINDS[kind];
  return (
    <>
      {placed && (
        <PlaceInput
          label={placed === 'may be' ? phrases.travelledDistanceEmptyNotKnown : phrases.travelledDistance}
          value={place}
          onChange={onPlace}
          neighboursM={beside}
          points={points}
        />
      )}
      {fields.map(({ name, label, as, of }) => {
        const value = draft[name] ?? '';
        const put = (text: string): void => onDraft({ ...draft, [name]: text });
        if (as === 'tick')
          return (
            <Tick
              key={name}
              label={label}
              checked={value === 'true'}
              onChange={(e) => put(String(e.target.checked))}
            />
          );
        return as === 'choice' ? (
          <Choice key={name} label={label} value={value} onChange={(e) => put(e.target.value)}>
            <Options of={of ?? []} />
          </Choice>
        ) : (
          <Field
            key={name}
            label={label}
            inputMode={as === 'figure' ? 'decimal' : 'text'}
            value={value}
            onChange={(e) => put(e.target.value)}
          />
        );
      })}
    </>
  );
}
