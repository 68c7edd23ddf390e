import { PLAIN_REPORT, type Comparison } from '@urvek/contract';
import type { Carried } from '@urvek/core';
import type { ShownSentence } from '@urvek/draw';
import { useEffect, useId, useRef } from 'react';
import { useSaveComparison } from '../../api/queries.ts';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { nowMs } from '../../field/time.ts';
import { WordingQuestions } from './WordingQuestions.tsx';
import * as phrases from './phrases.ts';

/** A sentence while it is worded: the words that the data do not carry are questioned. */
export function WordingEditor({
  worded,
  draft,
  onDraft,
  comparison,
  carried,
  onDone,
}: {
  worded: ShownSentence;
  draft: string;
  onDraft: (text: string) => void;
  comparison: Comparison;
  carried: Carried;
  onDone: () => void;
}) {
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  // What was pressed is gone: whoever types goes on here.
  useEffect(() => area.current?.focus(), []);
  const { mutate, error, isPending } = useSaveComparison(comparison.id);
  const notice = useNotice();
  const { title, question, revision, setup } = comparison;
  const report = setup.report ?? PLAIN_REPORT;
  const save = (text: string | undefined): void => {
    const wording = [
      ...report.wording.filter((w) => w.id !== worded.id),
      ...(text === undefined || text.trim() === '' || text === worded.made
        ? []
        : [{ id: worded.id, text: text.trim(), made: worded.made, atMs: nowMs() }]),
    ];
    mutate(
      { title, question, revision, setup: { ...setup, report: { ...report, wording } } },
      {
        onSuccess: (saved) => {
          notice({
            text: phrases.wordingSaved,
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          });
          onDone();
        },
      },
    );
  };
  return (
    <div className="no-print grid gap-2 border-2 border-ink p-3 text-ink">
      <label htmlFor={id} className="text-[0.87rem] text-faint">
        {phrases.yourWordingTheFiguresSay(worded.made)}
      </label>
      <textarea
        ref={area}
        id={id}
        className="input min-h-24"
        maxLength={2000}
        value={draft}
        onChange={(e) => onDraft(e.target.value)}
      />
      <WordingQuestions text={draft} carried={carried} />
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button type="button" className="btn btn-main" disabled={isPending} onClick={() => save(draft)}>
          {phrases.saveTheWording}
        </button>
        <button type="button" className="btn" onClick={() => save(undefined)}>
          {phrases.asTheFiguresSayIt}
        </button>
        <button type="button" className="btn" onClick={onDone}>
          {phrases.cancel}
        </button>
      </div>
    </div>
  );
}
