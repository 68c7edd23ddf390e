import { reportText, SIMULATED, wordsOf, type ReportForm, type ReportView } from '@urvek/draw';
import { ClipboardCopy } from 'lucide-react';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Empty } from '../../components/States.tsx';
import { ReportPart } from './ReportPart.tsx';
import { ReportTitle } from './ReportTitle.tsx';
import * as phrases from './phrases.ts';

const DRAWN_FIRST = 2;

/** The page as it is printed. */
export function ReportSheet({
  workspace,
  report,
  form,
  only,
}: {
  workspace: Ready;
  report: ReportView;
  form: ReportForm;
  /** What the report is narrowed to; empty: nothing. */
  only: readonly string[];
}) {
  const notice = useNotice();
  const { document, walked } = report;
  // What is read first is drawn first, and then one part after the other: of years of walks the whole is long.
  const [drawn, setDrawn] = useState(DRAWN_FIRST);
  const parts = document.sections.length;
  useEffect(() => {
    if (drawn < parts) startTransition(() => setDrawn(drawn + 1));
  }, [drawn, parts]);
  // A page that is printed is whole.
  useEffect(() => {
    const whole = (): void => flushSync(() => setDrawn(parts));
    window.addEventListener('beforeprint', whole);
    return () => window.removeEventListener('beforeprint', whole);
  }, [parts]);
  const sections = document.sections.slice(0, drawn);
  const editable = workspace.sealed || only.length > 0 ? undefined : workspace.comparison;
  // What the data carry: words of the writer's own are held against it.
  const carried = useMemo(() => ({ ...report.carried, made: wordsOf(report.document) }), [report]);
  return (
    <article className="sheet grid gap-5 p-8 print:p-0">
      {document.simulated && (
        <p className="every-page border-2 border-ink px-2 py-1 font-bold">{SIMULATED}</p>
      )}
      <header>
        <ReportTitle title={document.title} question={document.question} comparison={editable} />
        {only.length > 0 && (
          <p className="mt-1 border-l-4 border-degraded pl-2" data-only>
            {phrases.partOfTheComparisonOnly(only.join(', '))}
          </p>
        )}
        <p className="mt-1 text-faint">{document.when}</p>
        {form === 'short' && (
          <button
            className="btn no-print mt-2"
            onClick={() =>
              void navigator.clipboard
                .writeText(reportText(document))
                .then(() => notice({ text: phrases.theTextIsOnTheClipboard }))
            }
          >
            <ClipboardCopy aria-hidden size={16} />
            {phrases.copyAsText}
          </button>
        )}
      </header>
      {!walked && <Empty title={phrases.nothingToPublishYet}>{phrases.noWalkIsFinished}</Empty>}
      {sections.map((section) => (
        <ReportPart key={section.id} {...{ section, carried }} comparison={editable} />
      ))}
    </article>
  );
}
