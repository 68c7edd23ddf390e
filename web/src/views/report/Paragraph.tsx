import type { Comparison } from '@urvek/contract';
import type { Carried } from '@urvek/core';
import { useState } from 'react';
import { ParagraphEditor } from './ParagraphEditor.tsx';
import type { ParagraphBlock } from './paragraphParts.ts';
import { ParagraphQuestions } from './ParagraphQuestions.tsx';

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
      <ParagraphEditor
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
      <p className="text-base" data-paragraph={block.id} data-rests={block.rests.join(' ')}>
        {block.text}
      </p>
      {comparison && block.was !== undefined && (
        <p className="no-print border-l-4 border-degraded pl-3 text-[0.87rem]" data-stale>
          The figures have changed since you worded this. They said: “{block.was}” They say now: “{block.made}
          ”
        </p>
      )}
      {own && <ParagraphQuestions text={block.text} carried={carried} />}
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
