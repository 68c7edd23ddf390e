import {
  REPORT_FORMS,
  reportText,
  SIMULATED,
  textsOf,
  type ReportDocument,
  type ReportForm,
} from '@urvek/draw';
import { kindOf } from '@urvek/core';
import type { JudgementView } from '@urvek/study';
import { ClipboardCopy, Printer } from 'lucide-react';
import { useState } from 'react';
import { useStudy } from '../../api/queries.ts';
import { WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Heading } from '../../components/Heading.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { useLens } from '../../state/lens.ts';
import { useUnit } from '../../state/unit.ts';
import { BlockView } from './BlockView.tsx';
import { Cards } from './Cards.tsx';
import { Contents } from './Contents.tsx';
import { Files } from './Files.tsx';
import { ReportSettings } from './ReportSettings.tsx';

export const Report = () => <WithWorkspace>{(workspace) => <ReportPage {...workspace} />}</WithWorkspace>;

/** One page to stand behind: every figure comes from the log. */
function ReportPage(workspace: Ready) {
  const [form, setForm] = useState<ReportForm>('long');
  const [unit] = useUnit();
  const [{ kindId, pathId }] = useLens();
  const { data, error } = useStudy(workspace, ['report', form, unit, kindId, pathId], (study, of) =>
    study.report(of, form, unit, { kindId, pathId }),
  );
  const { setup } = workspace.comparison;
  const only = [
    kindId === undefined ? undefined : kindOf(kindId).name,
    setup.paths.find((p) => p.id === pathId)?.name,
  ].filter((t) => t !== undefined);
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading what="the report" />;
  return (
    <main
      id="work"
      className="mx-auto grid w-full max-w-[1240px] items-start gap-4 px-4 py-2.5 lg:grid-cols-[200px_1fr] print:block"
    >
      <Contents id={workspace.id} document={data.document} judged={data.judged} whole={only.length === 0} />
      <div className="min-w-0">
        <div className="no-print mb-3 flex flex-wrap items-center gap-2">
          <fieldset className="mr-auto flex items-center gap-3">
            <legend className="sr-only">Form of the report</legend>
            {REPORT_FORMS.map((f) => (
              <label key={f} className="flex items-center gap-1.5">
                <input
                  type="radio"
                  name="form"
                  className="size-4 accent-ink"
                  checked={form === f}
                  onChange={() => setForm(f)}
                />
                {f} form
              </label>
            ))}
          </fieldset>
          <button className="btn btn-main" onClick={() => window.print()}>
            <Printer aria-hidden size={16} />
            Print or save as PDF
          </button>
        </div>
        <LensBar setup={setup} byPlan />
        {!workspace.sealed && <ReportSettings comparison={workspace.comparison} />}
        <Files
          id={workspace.id}
          criterion={workspace.comparison.setup.plan.criterion}
          routes={data.routes}
          walks={workspace.walks.length}
        />
        <Cards workspace={workspace} judged={data.judged} simulated={data.document.simulated} />
        <Sheet workspace={workspace} document={data.document} judged={data.judged} form={form} only={only} />
      </div>
    </main>
  );
}

function Sheet({
  workspace,
  document,
  judged,
  form,
  only,
}: {
  workspace: Ready;
  document: ReportDocument;
  judged: JudgementView;
  form: ReportForm;
  /** What the report is narrowed to; empty: nothing. */
  only: readonly string[];
}) {
  const notice = useNotice();
  const walked = judged.ranges.flatMap((r) => r.summary.fitted);
  const carried = {
    walks: walked.reduce((sum, c) => sum + c.walks, 0),
    allHeld: walked.every((c) => c.failures === 0),
    claimsUpTo: judged.verdicts.some((v) => v.claim.upTo),
    farthestM: Math.max(
      0,
      ...judged.ranges.flatMap((r) =>
        r.walks.flatMap((w) => [w.interval?.heldM ?? 0, w.interval?.failedM ?? 0]),
      ),
    ),
    made: wordsOf(document),
  };
  return (
    <article className="sheet grid gap-5 p-8 print:p-0">
      {document.simulated && (
        <p className="every-page border-2 border-ink px-2 py-1 font-bold">{SIMULATED}</p>
      )}
      <header>
        <Heading title={`Report: ${document.title}`} className="text-2xl">
          {document.title}
        </Heading>
        <p className="mt-1 text-lg">{document.question}</p>
        {only.length > 0 && (
          <p className="mt-1 border-l-4 border-degraded pl-2" data-only>
            Part of the comparison only: {only.join(', ')}.
          </p>
        )}
        <p className="mt-1 text-faint">{document.when}</p>
        {form === 'short' && (
          <button
            className="btn no-print mt-2"
            onClick={() =>
              void navigator.clipboard
                .writeText(reportText(document))
                .then(() => notice({ text: 'The text is on the clipboard' }))
            }
          >
            <ClipboardCopy aria-hidden size={16} />
            Copy as text
          </button>
        )}
      </header>
      {!judged.ranges.some((r) => r.summary.n > 0) && (
        <Empty title="Nothing to publish yet">No walk is finished.</Empty>
      )}
      {document.sections.map((section) => (
        <section
          key={section.id}
          id={`part-${section.id}`}
          aria-label={section.title}
          className="scroll-mt-2"
        >
          <h2 className="border-b-2 border-ink pb-0.5">{section.title}</h2>
          <div className="mt-2 grid gap-2">
            {section.blocks.map((block, i) => (
              <BlockView
                key={block.kind === 'paragraph' ? block.id : i}
                block={block}
                comparison={workspace.sealed || only.length > 0 ? undefined : workspace.comparison}
                carried={carried}
              />
            ))}
          </div>
        </section>
      ))}
    </article>
  );
}

/** All that the report itself says: words are held against it. */
const wordsOf = ({ sections }: ReportDocument): string[] =>
  sections.flatMap((s) =>
    s.blocks.flatMap((b) =>
      b.kind === 'paragraph'
        ? [b.made]
        : b.kind === 'list'
          ? textsOf(b.items)
          : b.kind === 'table'
            ? b.rows.flatMap((r) => r.cells)
            : b.kind === 'figure'
              ? [b.caption]
              : [],
    ),
  );
