import { type Setup } from '@urvek/contract';
import {
  CRITERION_MEANING,
  kindOf,
  SIDES,
  type Side,
  WANTED_CRITERIA,
  type WantedCriterion,
} from '@urvek/core';
import type { ReactNode } from 'react';
import { useLens } from '../state/lens.ts';
import { Options } from './Field.tsx';
import { LensPill } from './LensPill.tsx';
import * as phrases from './phrases.ts';

/** Kind, path, product, criterion and direction: what Trace, Ranges, Verdict and Report look at. */
export function LensBar({
  setup,
  byPlan = false,
  children,
}: {
  setup: Setup;
  /** Criterion and direction are the plan's here, whatever is looked at elsewhere. */
  byPlan?: boolean;
  children?: ReactNode;
}) {
  const [lens, change] = useLens();
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  const products = setup.products.filter((p) => lens.kindId === undefined || p.kindId === lens.kindId);
  const criterion = lens.criterion ?? setup.plan.criterion;
  return (
    <div
      role="group"
      aria-label={phrases.lens}
      className="no-print mb-2 flex flex-wrap items-center gap-x-3 gap-y-1.5"
    >
      {kinds.length > 1 && (
        <LensPill
          label={phrases.kind}
          value={lens.kindId}
          onChange={(kindId) => change({ kindId, productId: undefined })}
        >
          <option value="">{phrases.all}</option>
          {kinds.map((k) => (
            <option key={k} value={k}>
              {kindOf(k).name}
            </option>
          ))}
        </LensPill>
      )}
      <LensPill label={phrases.path} value={lens.pathId} onChange={(pathId) => change({ pathId })}>
        <option value="">{phrases.all}</option>
        {setup.paths.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </LensPill>
      <LensPill
        label={phrases.product}
        value={lens.productId}
        onChange={(productId) => change({ productId })}
      >
        <option value="">{phrases.all}</option>
        {products.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </LensPill>
      {byPlan ? (
        <span className="text-[0.87rem] text-faint">
          {phrases.criterion2}
          <strong className="text-ink">{phrases.thePlans(setup.plan.criterion)}</strong>
        </span>
      ) : (
        <>
          <LensPill
            label={phrases.criterion}
            title={criterion === 'by kind' ? phrases.theUsualOneOfEachKind : CRITERION_MEANING[criterion]}
            value={criterion}
            onChange={(c) =>
              change({
                criterion: c === setup.plan.criterion ? undefined : (c as WantedCriterion | undefined),
              })
            }
          >
            <Options of={WANTED_CRITERIA} />
          </LensPill>
          <LensPill
            label={phrases.direction}
            value={lens.side}
            onChange={(side) => change({ side: side as Side | undefined })}
          >
            <option value="">{phrases.asWalked}</option>
            <Options of={SIDES} />
          </LensPill>
        </>
      )}
      {children}
    </div>
  );
}
