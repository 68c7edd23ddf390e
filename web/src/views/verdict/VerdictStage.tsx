import type { ReactNode } from 'react';
import { useJudgement } from '../../api/study.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { Term } from '../../components/Term.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { Views } from '../../components/Views.tsx';
import { Audits } from './Audits.tsx';
import { Earlier } from './Earlier.tsx';
import { LatencyPanel } from './LatencyPanel.tsx';
import { Ledger } from './Ledger.tsx';
import { Needs } from './Needs.tsx';
import { StationPanel } from './StationPanel.tsx';
import * as phrases from './phrases.ts';

/** What may be said: the ledger, and the line that is open. */
export function VerdictStage(workspace: Ready) {
  const { data, error } = useJudgement(workspace);
  const { form, bar } = useSetupForm(workspace.comparison, phrases.verdict);
  const open = data?.audits.filter((a) => a.acknowledged === undefined).length;
  const count = (n: number | undefined): string => (n === undefined ? '' : ` ${n}`);
  const parts: [string, ReactNode][] = data
    ? [
        [
          phrases.claimsAndNeeds2(count(data.verdicts.length + data.needs.length)),
          <Ledger key="c" workspace={workspace} judged={data} />,
        ],
        [
          `Needs${count(new Set(data.needs.map((n) => n.need.id)).size)}`,
          <Needs key="n" form={form} judged={data} />,
        ],
        [
          `Fairness${open ? phrases.open2(open) : ''}`,
          <Audits key="a" workspace={workspace} form={form} audits={data.audits} />,
        ],
        [phrases.latency, <LatencyPanel key="l" form={form} found={data.latencies} />],
        [phrases.stations, <StationPanel key="s" form={form} stations={data.stations} />],
        [phrases.earlier, <Earlier key="e" workspace={workspace} />],
      ]
    : [];
  return (
    <Stage
      title={phrases.verdict}
      lead={
        <>
          {phrases.whatMayISayEachLine}
          <Term of="claim" />
          {phrases.orA}
          <Term of="need" />.
        </>
      }
    >
      <LensBar setup={workspace.comparison.setup} byPlan />
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what={phrases.theVerdicts} />}
      {data && <Views views={parts.map(([name, part]) => ({ id: tabOf(name), name, draw: () => part }))} />}
      {!workspace.sealed && <SaveBar what={phrases.verdict2} {...bar} />}
    </Stage>
  );
}

/** A part's name in the address. */
const tabOf = (name: string): string => (name.split(' ')[0] ?? '').toLowerCase();
