import type { Comparison } from '@urvek/contract';
import { useState } from 'react';
import { useSaveComparison } from '../../api/queries.ts';
import { Field } from '../../components/Field.tsx';
import { Heading } from '../../components/Heading.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

/** Title and question of the report, which are the comparison's, edited where they stand. */
export function ReportTitle({
  title,
  question,
  comparison,
}: {
  title: string;
  question: string;
  /** Absent where the report shows a part, or letters: nothing is saved from it. */
  comparison: Comparison | undefined;
}) {
  const [draft, setDraft] = useState<{ readonly title: string; readonly question: string }>();
  const { mutate, error, isPending } = useSaveComparison(comparison?.id ?? '');
  const notice = useNotice();
  if (!draft || !comparison)
    return (
      <>
        <Heading title={phrases.report(title)} className="text-2xl">
          {title}
        </Heading>
        <p className="mt-1 text-lg">{question}</p>
        {comparison && (
          <button
            type="button"
            className="btn-quiet no-print text-[0.87rem]"
            onClick={() => setDraft({ title, question })}
          >
            {phrases.editTitleAndQuestion}
          </button>
        )}
      </>
    );
  const { revision, setup } = comparison;
  const save = (): void =>
    mutate(
      { title: draft.title.trim(), question: draft.question.trim(), revision, setup },
      {
        onSuccess: (saved) => {
          notice({
            text: phrases.titleAndQuestionSaved,
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          });
          setDraft(undefined);
        },
      },
    );
  return (
    <form
      className="no-print grid gap-2 border-2 border-ink p-3"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <Field
        label={phrases.title}
        required
        maxLength={120}
        value={draft.title}
        onChange={(e) => setDraft({ ...draft, title: e.target.value })}
      />
      <Field
        label={phrases.question}
        maxLength={500}
        value={draft.question}
        onChange={(e) => setDraft({ ...draft, question: e.target.value })}
      />
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button className="btn btn-main" disabled={isPending || draft.title.trim() === ''}>
          {phrases.save}
        </button>
        <button type="button" className="btn" onClick={() => setDraft(undefined)}>
          {phrases.cancel}
        </button>
      </div>
    </form>
  );
}
