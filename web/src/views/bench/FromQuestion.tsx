import { kindOf } from '@urvek/core';
import { TEMPLATES, type Template } from '@urvek/study';
import { useSearchParams } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import { QuestionAnswers } from './QuestionAnswers.tsx';
import { TemplateIcon } from './TemplateIcon.tsx';
import * as phrases from './phrases.ts';

/** A comparison from a question: how it is walked is ready, the rest is not stated and can be said later. */
export function FromQuestion() {
  const [params, setParams] = useSearchParams();
  const template = TEMPLATES.find((t) => t.kindId === params.get('from')) ?? (TEMPLATES[0] as Template);
  return (
    <Stage title={phrases.startFromAQuestion} lead={phrases.howItIsWalkedIsReady}>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_1.1fr]">
        <fieldset className="grid gap-2">
          <legend className="sr-only">{phrases.theQuestion}</legend>
          {TEMPLATES.map((t) => (
            <label
              key={t.kindId}
              className={
                'sheet flex cursor-pointer items-center gap-3 px-3 py-2 has-focus-visible:outline-3 ' +
                `${t === template ? 'border-l-8 border-l-accent' : ''}`
              }
            >
              <input
                type="radio"
                name="question"
                className="size-4 accent-ink"
                checked={t === template}
                onChange={() => setParams({ from: t.kindId }, { replace: true })}
              />
              <TemplateIcon kindId={t.kindId} />
              <span>
                <strong className="block">{t.question}</strong>
                <span className="text-faint">{kindOf(t.kindId).name}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <QuestionAnswers key={template.kindId} template={template} />
      </div>
    </Stage>
  );
}
