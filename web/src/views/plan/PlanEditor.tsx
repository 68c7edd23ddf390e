import { planSchema, type Setup } from '@urvek/contract';
import { isSealed, planState, seal } from '@urvek/study';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Later } from '../../components/Later.tsx';
import { BoardToCome } from '../../components/BoardToCome.tsx';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { useSettled } from '../../components/useSettled.ts';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { useSelected } from '../../state/lens.ts';
import { DayLine } from './DayLine.tsx';
import { PlanBoard } from './PlanBoard.tsx';
import { PlanDetail } from './PlanDetail.tsx';
import { PlanLegend } from './PlanLegend.tsx';
import { PlanSettings } from './PlanSettings.tsx';
import { settingsText } from './settingsText.ts';
import { Takes } from './Takes.tsx';
import { usePlanned } from './usePlanned.ts';
import * as phrases from './phrases.ts';

/** The board of the plan, its settings in a line, the day, and the cell that is selected. */
export function PlanEditor(workspace: Ready) {
  const { comparison, walks, id } = workspace;
  const { form, bar } = useSetupForm(comparison, phrases.plan);
  const plan = form.watch('plan');
  const setup: Setup = {
    ...comparison.setup,
    plan: planSchema.isValidSync(plan) ? plan : comparison.setup.plan,
  };
  const blind = isSealed(setup, walks);
  const asked = useSettled(JSON.stringify(blind ? seal(setup, id) : setup));
  const shown = useMemo(() => JSON.parse(asked) as Setup, [asked]);
  const slots = useMemo(() => planState(shown, walks), [shown, walks]);
  const board = usePlanned(workspace, 'planBoard', shown);
  const [wanted, select] = useSelected('cell');
  const cells = board?.rows.flatMap((r) => r.cells) ?? [];
  // What most needs a decision: too few walks, a bound, what is still to walk.
  const selected =
    cells.find((c) => c.id === wanted) ??
    cells.find((c) => c.outlook === 'too few') ??
    cells.find((c) => c.outlook === 'bound') ??
    cells.find((c) => c.made < c.wanted) ??
    cells[0];
  return (
    <Stage
      title={phrases.plan}
      lead={phrases.willThisDecideItAndWhen}
      actions={
        <Link className="btn" to={`/c/${id}/run-sheet`}>
          {phrases.runSheet}
        </Link>
      }
    >
      <details className="sheet mb-2" open={form.formState.isDirty || slots.length === 0 || undefined}>
        <summary className="cursor-pointer px-3 py-1">
          <strong>{phrases.settings}</strong>{' '}
          <span className="text-[0.87rem] text-faint">{settingsText(setup)}</span>
        </summary>
        <PlanSettings form={form} />
        <Takes form={form} id={id} blind={plan.blind === true} />
      </details>
      {slots.length === 0 ? (
        <Empty title={phrases.nothingToPlanYet}>
          {phrases.enterProductsIn}
          <Link className="underline" to={`/c/${id}/kit`}>
            {phrases.kit}
          </Link>
          {phrases.andAPathIn}
          <Link className="underline" to={`/c/${id}/paths`}>
            {phrases.paths}
          </Link>
          {phrases.theOrderFollowsFromThem}
        </Empty>
      ) : (
        <>
          {board ? (
            <PlanBoard board={board} selected={selected?.id} onSelect={select} />
          ) : (
            <BoardToCome
              what={phrases.theBoard}
              rows={new Set(slots.map((s) => s.item.rig.id)).size}
              rowPx={30}
            />
          )}
          <PlanLegend />
          <DayLine setup={shown} />
          <Later>{() => <PlanDetail {...{ workspace, slots, blind }} setup={shown} cell={selected} />}</Later>
        </>
      )}
      <SaveBar what={phrases.plan2} {...bar} />
    </Stage>
  );
}
