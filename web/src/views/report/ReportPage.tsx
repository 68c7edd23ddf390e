import { kindOf } from '@urvek/core';
import { REPORT_FORMS, type ReportForm } from '@urvek/draw';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useAnswer } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { useLens } from '../../state/lens.ts';
import { useUnit } from '../../state/unit.ts';
import { Cards } from './Cards.tsx';
import { Contents } from './Contents.tsx';
import { Files } from './Files.tsx';
import { ReportSettings } from './ReportSettings.tsx';
import { ReportSheet } from './ReportSheet.tsx';
import * as phrases from './phrases.ts';

/** Dates in the report are those of whoever writes it. */
const ZONE = new Intl.DateTimeFormat().resolvedOptions().timeZone;

/** One page to stand behind: every figure comes from the log. */
export function ReportPage(workspace: Ready) {
  const [form, setForm] = useState<ReportForm>('long');
  const [unit] = useUnit();
  const [{ kindId, pathId }] = useLens();
  const { data, error } = useAnswer(workspace, { ask: 'report', form, unit, kindId, pathId, zone: ZONE });
  const { setup } = workspace.comparison;
  const only = [
    kindId === undefined ? undefined : kindOf(kindId).name,
    setup.paths.find((p) => p.id === pathId)?.name,
  ].filter((t) => t !== undefined);
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading what={phrases.theReport} />;
  return (
    <main
      id="work"
      className="mx-auto grid w-full max-w-[1240px] items-start gap-4 px-4 py-2.5 lg:grid-cols-[200px_1fr] print:block"
    >
      <Contents id={workspace.id} document={data.document} open={data.open} whole={only.length === 0} />
      <div className="min-w-0">
        <div className="no-print mb-3 flex flex-wrap items-center gap-2">
          <fieldset className="mr-auto flex items-center gap-3">
            <legend className="sr-only">{phrases.formOfTheReport}</legend>
            {REPORT_FORMS.map((f) => (
              <label key={f} className="flex items-center gap-1.5">
                <input
                  type="radio"
                  name="form"
                  className="size-4 accent-ink"
                  checked={form === f}
                  onChange={() => setForm(f)}
                />
                {phrases.form(f)}
              </label>
            ))}
          </fieldset>
          <button className="btn btn-main" onClick={() => window.print()}>
            <Printer aria-hidden size={16} />
            {phrases.printOrSaveAsPdf}
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
        <Cards workspace={workspace} simulated={data.document.simulated} />
        <ReportSheet workspace={workspace} report={data} form={form} only={only} />
      </div>
    </main>
  );
}
