import type { Comparison } from '@urvek/contract';
import type { Carried } from '@urvek/core';
import type { ShownSentence } from '@urvek/draw';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { WordingEditor } from './WordingEditor.tsx';
import { WordingQuestions } from './WordingQuestions.tsx';
import * as phrases from './phrases.ts';

/**
 * What is said as the figures say it; worded anew where somebody wants to, with words questioned that the data may
 * not carry.
 */
export function WordedText({
  worded,
  comparison,
  carried,
  paragraph = false,
}: {
  worded: ShownSentence;
  /** Absent where nothing is saved from the report. */
  comparison: Comparison | undefined;
  carried: Carried;
  /** It stands by itself: not as an item of a list, nor under a figure. */
  paragraph?: boolean;
}) {
  const [draft, setDraft] = useState<string>();
  if (draft !== undefined && comparison)
    return (
      <WordingEditor
        worded={worded}
        draft={draft}
        onDraft={setDraft}
        comparison={comparison}
        carried={carried}
        onDone={() => setDraft(undefined)}
      />
    );
  const own = worded.text !== worded.made;
  const words = own ? phrases.wordedByYouReword : phrases.reword;
  const Tag = paragraph ? 'p' : 'span';
  return (
    <div>
      <Tag className={paragraph ? 'text-base' : ''} data-worded={worded.id}>
        {worded.text}
      </Tag>
      {comparison && !paragraph && (
        <button
          type="button"
          className="btn-quiet no-print ml-1 min-h-6 min-w-6 px-1 align-middle"
          title={words}
          aria-label={`${words}: ${worded.text.slice(0, 40)}`}
          onClick={() => setDraft(worded.text)}
        >
          <Pencil aria-hidden size={14} />
        </button>
      )}
      {comparison && worded.was !== undefined && (
        <p className="no-print border-l-4 border-degraded pl-3 text-[0.87rem]" data-stale>
          {phrases.theFiguresHaveChangedSinceYou(worded.was, worded.made)}
        </p>
      )}
      {own && <WordingQuestions text={worded.text} carried={carried} />}
      {comparison && paragraph && (
        <button
          type="button"
          className="btn-quiet no-print text-[0.87rem]"
          aria-label={phrases.reword2(worded.text.slice(0, 40))}
          onClick={() => setDraft(worded.text)}
        >
          {words}
        </button>
      )}
    </div>
  );
}
