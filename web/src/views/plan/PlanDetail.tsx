import type { Setup } from '@urvek/contract';
import { travelledGround } from '@urvek/draw';
import { claimFlags, type PlanCell, type SlotState, type WalkRow } from '@urvek/study';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Ready } from '../../components/Frame.tsx';
import { Tape } from '../../components/Tape.tsx';
import { Views, type View } from '../../components/Views.tsx';
import { Checks } from './Checks.tsx';
import { NextSteps } from './NextSteps.tsx';
import { Order } from './Order.tsx';
import { PlanAudit } from './PlanAudit.tsx';
import { PowerPanel } from './PowerPanel.tsx';

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
    ...view('cell', 'This cell', cell !== undefined && !blind, () => (
      <CellView cell={cell as PlanCell} workspace={workspace} setup={setup} />
    )),
    ...view('order', 'Order', true, () => <Order id={workspace.id} slots={slots} />),
    ...view('fair', 'Is it fair?', !blind, () => <PlanAudit workspace={workspace} setup={setup} />),
    ...view('checks', 'Can it be done?', true, () => <Checks setup={setup} />),
    ...view('walks', 'How many walks?', ratio > 1 && sigma > 0, () => (
      <PowerPanel key={`${ratio}/${sigma}`} ratio={ratio} sigma={sigma} walksEach={walksEach} />
    )),
  ];
  return <Views views={views} />;
}

function CellView({ cell, workspace, setup }: { cell: PlanCell; workspace: Ready; setup: Setup }) {
  const { product, path, why, made, wanted } = cell;
  return (
    <section className="sheet px-4 py-2" aria-label={`${product.name} on ${path.name}`}>
      <h2>
        {product.name} on {path.name}: {made} of {wanted} {wanted === 1 ? 'walk' : 'walks'} made
      </h2>
      <p className="mt-1 max-w-[100ch]">{why}</p>
      <Tape
        title={`${path.name} and the claims`}
        ground={travelledGround(path)}
        measure="travelled"
        claims={claimFlags({ ...setup, products: [product] }, path)}
      />
      <NextSteps workspace={workspace} setup={setup} cell={cell} />
      {made < wanted && (
        <p className="mt-1">
          <Link className="underline" to={`/c/${workspace.id}/walk`}>
            Walk it
          </Link>
        </p>
      )}
    </section>
  );
}
