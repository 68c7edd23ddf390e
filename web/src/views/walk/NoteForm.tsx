import type { Grade, VoiceNote } from '@urvek/core';
import { useState, type ReactNode } from 'react';
import { Field } from '../../components/Field.tsx';
import { useVoiceNote } from './useVoiceNote.ts';
import * as phrases from './phrases.ts';

/** A note; words that stand for a grade offer it, to be confirmed. */
export function NoteForm({
  gradeOf,
  words,
  onNote,
  onCancel,
  children,
}: {
  gradeOf: (text: string) => Grade | undefined;
  words: Readonly<Record<Grade, string>>;
  onNote: (text: string, grade?: Grade, voice?: VoiceNote) => void;
  onCancel: () => void;
  /** What else can be said here. */
  children?: ReactNode;
}) {
  const [text, setText] = useState('');
  const voice = useVoiceNote((note) => onNote(phrases.spokenS(note.seconds.toFixed(0)), undefined, note));
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
        label={phrases.note}
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
          {phrases.keepItAndGrade(meant, words[meant])}
        </button>
      )}
      {voice.trouble !== undefined && (
        <p role="alert" className="text-[0.87rem]">
          {voice.trouble}
        </p>
      )}
      <div className="flex gap-2">
        <button className="pressable flex-1" disabled={!text.trim()}>
          {phrases.keepTheNote}
        </button>
        <button
          type="button"
          className="pressable flex-1"
          aria-pressed={voice.recording}
          onClick={voice.toggle}
        >
          {voice.recording ? phrases.stopAndKeepIt : phrases.speakIt}
        </button>
        <button type="button" className="pressable flex-1" onClick={onCancel}>
          {phrases.cancel}
        </button>
      </div>
      {children}
    </form>
  );
}
