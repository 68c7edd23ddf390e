import {
  DISTANCE_METHODS,
  type DistanceMethod,
  type EventBodies,
  type Grade,
  type Tick,
  type VoiceNote,
} from '@urvek/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Choice, Field } from '../../components/Field.tsx';
import { useVoiceNote } from './useVoiceNote.ts';

/** What a press or a key does, given the input's time stamp. */
export type Actions = Readonly<Record<string, (inputMs: number) => void>>;

export const wheelReading = (tick: Tick): EventBodies['mark']['reading'] => ({
  travelledM: Math.max(0, tick.wheelM),
  method: 'wheel',
  pressed: false,
});

export function Press({
  k,
  actions,
  disabled,
  pressed,
  className = '',
  children,
}: {
  k: string;
  actions: Actions;
  disabled?: boolean;
  pressed?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className={`pressable relative ${pressed ? 'bg-ink text-sheet' : ''} ${className}`}
      aria-pressed={pressed}
      aria-keyshortcuts={k}
      disabled={disabled}
      onClick={(e) => actions[k]?.(e.timeStamp)}
    >
      {children}
      <span className="key absolute top-1 right-1 hidden md:block" aria-hidden>
        {k.toUpperCase()}
      </span>
    </button>
  );
}

/** Keys for everything; not while something is being typed or a modifier is held. */
export function Keys({ actions }: { actions: Actions }) {
  const current = useRef(actions);
  useEffect(() => {
    current.current = actions;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing =
        (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox') ||
        event.target instanceof HTMLTextAreaElement ||
        event.target instanceof HTMLSelectElement;
      if (typing || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const action = current.current[event.key.toLowerCase()];
      if (!action) return;
      event.preventDefault();
      action(event.timeStamp);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return null;
}

export function Ask<T extends string>({
  title,
  choices,
  onChoose,
  onCancel,
}: {
  title: string;
  choices: readonly T[];
  onChoose: (choice: T) => void;
  onCancel: () => void;
}) {
  const keys: Record<string, () => void> = {
    ...Object.fromEntries(choices.map((c, i) => [String(i + 1), () => onChoose(c)])),
    escape: onCancel,
  };
  return (
    <div className="grid grid-cols-2 content-start gap-2" role="group" aria-label={title}>
      <Keys actions={keys} />
      <h2 className="col-span-2">{title}</h2>
      {choices.map((choice, i) => (
        <Press key={choice} k={String(i + 1)} actions={keys}>
          {choice}
        </Press>
      ))}
      <Press k="escape" actions={keys}>
        Cancel
      </Press>
    </div>
  );
}

/** A note; words that stand for a grade offer it, to be confirmed. */
export function NoteForm({
  gradeOf,
  words,
  onNote,
  onCancel,
}: {
  gradeOf: (text: string) => Grade | undefined;
  words: Readonly<Record<Grade, string>>;
  onNote: (text: string, grade?: Grade, voice?: VoiceNote) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState('');
  const voice = useVoiceNote((note) => onNote(`spoken, ${note.seconds.toFixed(0)} s`, undefined, note));
  const meant = gradeOf(text);
  return (
    <form
      className="grid content-start gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) onNote(text.trim());
      }}
    >
      <Field
        label="Note"
        autoFocus
        value={text}
        maxLength={2000}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onCancel();
        }}
      />
      {meant !== undefined && (
        <button type="button" className="pressable" onClick={() => onNote(text.trim(), meant)}>
          Keep it, and grade {meant}: {words[meant]}
        </button>
      )}
      {voice.trouble !== undefined && (
        <p role="alert" className="text-[0.85rem]">
          {voice.trouble}
        </p>
      )}
      <div className="flex gap-2">
        <button className="pressable flex-1" disabled={!text.trim()}>
          Keep the note
        </button>
        <button
          type="button"
          className="pressable flex-1"
          aria-pressed={voice.recording}
          onClick={voice.toggle}
        >
          {voice.recording ? 'Stop and keep it' : 'Speak it'}
        </button>
        <button type="button" className="pressable flex-1" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

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
