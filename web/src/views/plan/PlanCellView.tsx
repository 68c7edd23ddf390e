import type { Setup } from '@urvek/contract';
import { travelledGround } from '@urvek/draw';
import { claimFlags, type PlanCell } from '@urvek/study';
import { Link } from 'react-router';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Tape } from '../../components/Tape.tsx';
import { NextSteps } from './NextSteps.tsx';
import * as phrases from './phrases.ts';

/** A rig on a path: what its walks will decide, and the next steps. */
export function PlanCellView({ cell, workspace, setup }: { cell: PlanCell; workspace: Ready; setup: Setup }) {
  const { product, path, why, made, wanted } = cell;
  return (
    <section className="sheet px-4 py-2" aria-label={phrases.on(product.name, path.name)}>
      <h2>{phrases.onOfMade(product.name, path.name, made, phrases.countedWalks(wanted))}</h2>
      <p className="mt-1 max-w-[100ch]">{why}</p>
      <Tape
        title={phrases.andTheClaims(path.name)}
        ground={travelledGround(path)}
        measure="travelled"
        claims={claimFlags({ ...setup, products: [product] }, path)}
      />
      <NextSteps workspace={workspace} setup={setup} cell={cell} />
      {made < wanted && (
        <p className="mt-1">
          <Link className="underline" to={`/c/${workspace.id}/walk`}>
            {phrases.walkIt}
          </Link>
        </p>
      )}
    </section>
  );
}
