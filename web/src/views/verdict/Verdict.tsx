import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { ReactNode } from 'react';
import { useJudgement } from '../../api/queries.ts';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { LensBar } from '../../components/LensBar.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Loading, Trouble } from '../../components/States.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { useSelected } from '../../state/lens.ts';
import { Audits } from './Audits.tsx';
import { Earlier } from './Earlier.tsx';
import { LatencyPanel } from './LatencyPanel.tsx';
import { Ledger } from './Ledger.tsx';
import { Needs } from './Needs.tsx';
import { StationPanel } from './StationPanel.tsx';

export const Verdict = () => <WithWorkspace>{(workspace) => <VerdictStage {...workspace} />}</WithWorkspace>;

function VerdictStage(workspace: Ready) {
  const { data, error } = useJudgement(workspace);
  const { form, save, error: saveError, saving } = useSetupForm(workspace.comparison, 'Verdict');
  const [shown, show] = useSelected('show');
  const open = data?.audits.filter((a) => a.acknowledged === undefined).length;
  const count = (n: number | undefined): string => (n === undefined ? '' : ` ${n}`);
  const parts: [string, ReactNode][] = data
    ? [
        [
          `Claims and needs${count(data.verdicts.length + data.needs.length)}`,
          <Ledger key="c" workspace={workspace} judged={data} />,
        ],
        [
          `Needs${count(new Set(data.needs.map((n) => n.need.id)).size)}`,
          <Needs key="n" form={form} judged={data} />,
        ],
        [
          `Fairness${open ? ` ${open} open` : ''}`,
          <Audits key="a" workspace={workspace} form={form} audits={data.audits} />,
        ],
        ['Latency', <LatencyPanel key="l" form={form} found={data.latencies} />],
        ['Stations', <StationPanel key="s" form={form} stations={data.stations} />],
        ['Earlier', <Earlier key="e" workspace={workspace} />],
      ]
    : [];
  return (
    <Stage title="Verdict" lead="What may I say?">
      <LensBar setup={workspace.comparison.setup} byPlan />
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the verdicts" />}
      {data && (
        <TabGroup
          selectedIndex={Math.max(
            0,
            parts.findIndex(([name]) => tabOf(name) === shown),
          )}
          onChange={(i) => show(i === 0 ? undefined : tabOf(parts[i]?.[0] ?? ''))}
        >
          <TabList className="no-print mb-3 flex gap-1 overflow-x-auto border-b-2 border-ink">
            {parts.map(([name]) => (
              <Tab
                key={tabOf(name)}
                className="min-h-10 cursor-pointer border-2 border-b-0 border-transparent px-4 py-1 font-head font-bold whitespace-nowrap data-selected:border-ink data-selected:bg-sheet"
              >
                {name}
              </Tab>
            ))}
          </TabList>
          <TabPanels>
            {parts.map(([name, part]) => (
              <TabPanel key={tabOf(name)}>{part}</TabPanel>
            ))}
          </TabPanels>
        </TabGroup>
      )}
      {!workspace.sealed && (
        <SaveBar
          what="verdict"
          dirty={form.formState.isDirty}
          saving={saving}
          error={saveError}
          onSave={save}
          onDiscard={() => form.reset()}
        />
      )}
    </Stage>
  );
}

/** A part's name in the address. */
const tabOf = (name: string): string => (name.split(' ')[0] ?? '').toLowerCase();
