import { PLAIN_REPORT, type Comparison } from '@urvek/contract';
import { questionWords, type Carried } from '@urvek/core';
import type { Block } from '@urvek/draw';
import { useId, useState } from 'react';
import { useSaveComparison } from '../../api/queries.ts';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { nowMs } from '../../field/time.ts';

type ParagraphBlock = Extract<Block, { kind: 'paragraph' }>;

/**
 * A paragraph as the figures say it; worded anew where somebody wants to, with words questioned that the
 * data may not carry.
 */
export function Paragraph({
  block,
  comparison,
  carried,
}: {
  block: ParagraphBlock;
  comparison: Comparison | undefined;
  carried: Carried;
}) {
  const [draft, setDraft] = useState<string>();
  if (draft !== undefined && comparison)
    return (
      <Editor
        block={block}
        draft={draft}
        onDraft={setDraft}
        comparison={comparison}
        carried={carried}
        onDone={() => setDraft(undefined)}
      />
    );
  const own = block.text !== block.made;
  return (
    <div>
      <p className="text-[1.05rem]" data-paragraph={block.id} data-rests={block.rests.join(' ')}>
        {block.text}
      </p>
      {comparison && block.was !== undefined && (
        <p className="no-print border-l-4 border-degraded pl-3 text-[0.87rem]" data-stale>
          The figures have changed since you worded this. They said: “{block.was}” They say now: “{block.made}
          ”
        </p>
      )}
      {own && <Questions text={block.text} carried={carried} />}
      {comparison && (
        <button
          type="button"
          className="btn-quiet no-print text-[0.87rem]"
          aria-label={`Reword: ${block.text.slice(0, 40)}`}
          onClick={() => setDraft(block.text)}
        >
          {own ? 'Worded by you; reword' : 'Reword'}
        </button>
      )}
    </div>
  );
}

/** What the linter asks; not printed. */
function Questions({ text, carried }: { text: string; carried: Carried }) {
  const questions = questionWords(text, carried);
  if (questions.length === 0) return null;
  return (
    <ul className="no-print border-l-4 border-degraded pl-3 text-[0.87rem]" aria-label="Words in question">
      {questions.map((q) => (
        <li key={`${q.at}-${q.word}`}>
          <strong>“{q.word}”</strong> {q.question}
        </li>
      ))}
    </ul>
  );
}

function Editor({
  block,
  draft,
  onDraft,
  comparison,
  carried,
  onDone,
}: {
  block: ParagraphBlock;
  draft: string;
  onDraft: (text: string) => void;
  comparison: Comparison;
  carried: Carried;
  onDone: () => void;
}) {
  const id = useId();
  const { mutate, error, isPending } = useSaveComparison(comparison.id);
  const notice = useNotice();
  const { title, question, revision, setup } = comparison;
  const report = setup.report ?? PLAIN_REPORT;
  const save = (text: string | undefined): void => {
    const wording = [
      ...report.wording.filter((w) => w.id !== block.id),
      ...(text === undefined || text.trim() === '' || text === block.made
        ? []
        : [{ id: block.id, text: text.trim(), made: block.made, atMs: nowMs() }]),
    ];
    mutate(
      { title, question, revision, setup: { ...setup, report: { ...report, wording } } },
      {
        onSuccess: (saved) => {
          notice({
            text: 'Wording saved',
            undo: () => mutate({ title, question, setup, revision: saved.revision }),
          });
          onDone();
        },
      },
    );
  };
  return (
    <div className="no-print grid gap-2 border-2 border-ink p-3">
      <label htmlFor={id} className="text-[0.87rem] text-faint">
        Your wording. The figures say: {block.made}
      </label>
      <textarea
        id={id}
        className="input min-h-24"
        maxLength={2000}
        value={draft}
        onChange={(e) => onDraft(e.target.value)}
      />
      <Questions text={draft} carried={carried} />
      {error && <Trouble error={error} />}
      <div className="flex gap-2">
        <button type="button" className="btn btn-main" disabled={isPending} onClick={() => save(draft)}>
          Save the wording
        </button>
        <button type="button" className="btn" onClick={() => save(undefined)}>
          As the figures say it
        </button>
        <button type="button" className="btn" onClick={onDone}>
          Cancel
        </button>
      </div>
    </div>
  );
}
