import { DISTANCE_METHODS, type DistanceMethod } from '@urvek/core';
import { useState } from 'react';
import { Choice, Field } from '../../components/Field.tsx';

/** A mark at a distance that is typed: read off a wheel, a tape, counted, or judged by eye. */
export function TypedMark({
  questioned,
  onMark,
  onCancel,
}: {
  questioned: (text: string) => { refused: boolean; what: string } | undefined;
  onMark: (text: string, method: DistanceMethod) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState('');
  const [method, setMethod] = useState<DistanceMethod>('wheel');
  const doubt = text.trim() === '' ? undefined : questioned(text);
  return (
    <form
      className="grid grid-cols-2 content-start gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim() && !doubt?.refused) onMark(text, method);
      }}
    >
      <Field
        label="Travelled distance"
        suffix="m"
        autoFocus
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onCancel();
        }}
      />
      <Choice
        label="Measured by"
        value={method}
        onChange={(e) => setMethod(e.target.value as DistanceMethod)}
      >
        {DISTANCE_METHODS.map((m) => (
          <option key={m} value={m}>
            {m}
          </option>
        ))}
      </Choice>
      {doubt && (
        <p role="alert" className="col-span-2 border-l-4 border-degraded pl-2">
          {doubt.what}
        </p>
      )}
      <button className="pressable" disabled={!text.trim() || doubt?.refused}>
        Mark it
      </button>
      <button type="button" className="pressable" onClick={onCancel}>
        Cancel
      </button>
    </form>
  );
}
