import type { Setup } from '@urvek/contract';
import type { PlanCell, SlotState, WalkRow } from '@urvek/study';
import type { ReactNode } from 'react';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Views, type View } from '../../components/Views.tsx';
import { Checks } from './Checks.tsx';
import { Order } from './Order.tsx';
import { PlanAudit } from './PlanAudit.tsx';
import { PlanCellView } from './PlanCellView.tsx';
import { PowerPanel } from './PowerPanel.tsx';
import * as phrases from './phrases.ts';

/** The cell that is selected, and what speaks for the plan as a whole: one view at a time. */
export function PlanDetail({
  workspace,
  setup,
  slots,
  blind,
  cell,
}: {
  workspace: Ready;
  setup: Setup;
  slots: SlotState<WalkRow>[];
  blind: boolean;
  cell: PlanCell | undefined;
}) {
  const { ratio, sigma, walksEach } = setup.plan;
  const view = (id: string, name: string, is: boolean, draw: () => ReactNode): View[] =>
    is ? [{ id, name, draw }] : [];
  const views = [
    ...view('cell', phrases.thisCell, cell !== undefined && !blind, () => (
      <PlanCellView cell={cell as PlanCell} workspace={workspace} setup={setup} />
    )),
    ...view('order', phrases.order, true, () => <Order id={workspace.id} slots={slots} />),
    ...view('fair', phrases.isItFair, !blind, () => <PlanAudit workspace={workspace} setup={setup} />),
    ...view('checks', phrases.canItBeDone, true, () => <Checks setup={setup} />),
    ...view('walks', phrases.howManyWalks2, ratio > 1 && sigma > 0, () => (
      <PowerPanel key={`${ratio}/${sigma}`} ratio={ratio} sigma={sigma} walksEach={walksEach} />
    )),
  ];
  return <Views views={views} />;
}
