import { kindOf } from '@urvek/core';
import type { Template } from '@urvek/study';

/** What the template brings along. */
export function QuestionReady({ template }: { template: Template }) {
  const kind = kindOf(template.kindId);
  const rows = [
    ['Watched', kind.watched],
    ['Played', kind.testSignal],
    ['Logged', template.mode],
    ['The range that counts', kind.claimCriterion],
    ['Before each rig', `${kind.checks.length} checks`],
    ['Grades', `5 ${kind.words[5]} … 1 ${kind.words[1]}`],
  ] as const;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 border-b border-rule pb-2">
      {rows.map(([what, text]) => (
        <div key={what} className="contents">
          <dt className="text-faint">{what}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
