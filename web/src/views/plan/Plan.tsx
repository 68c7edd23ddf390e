import { planSchema, type Setup } from '@urvek/contract';
import { WALK_MODES } from '@urvek/core';
import { isSealed, planBoard, planState, seal } from '@urvek/study';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { WithWorkspace, Stage, type Ready } from '../../components/Frame.tsx';
import { More } from '../../components/More.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { useSettled } from '../../components/useSettled.ts';
import { asFigure } from '../../components/figures.ts';
import { useSelected } from '../../state/lens.ts';
import { DayLine } from './DayLine.tsx';
import { PlanBoard } from './PlanBoard.tsx';
import { PlanDetail } from './PlanDetail.tsx';
import { Takes } from './Takes.tsx';

export const Plan = () => <WithWorkspace open>{(workspace) => <PlanEditor {...workspace} />}</WithWorkspace>;

function PlanEditor(workspace: Ready) {
  const { comparison, walks, id } = workspace;
  const { form, bar } = useSetupForm(comparison, 'Plan');
  const plan = form.watch('plan');
  const setup: Setup = {
    ...comparison.setup,
    plan: planSchema.isValidSync(plan) ? plan : comparison.setup.plan,
  };
  const blind = isSealed(setup, walks);
  const asked = useSettled(JSON.stringify(blind ? seal(setup, id) : setup));
  const shown = useMemo(() => JSON.parse(asked) as Setup, [asked]);
  const slots = useMemo(() => planState(shown, walks), [shown, walks]);
  const board = useMemo(() => planBoard(shown, walks), [shown, walks]);
  const [wanted, select] = useSelected('cell');
  const cells = board.rows.flatMap((r) => r.cells);
  // What most needs a decision: too few walks, a bound, what is still to walk.
  const selected =
    cells.find((c) => c.id === wanted) ??
    cells.find((c) => c.outlook === 'too few') ??
    cells.find((c) => c.outlook === 'bound') ??
    cells.find((c) => c.made < c.wanted) ??
    cells[0];
  return (
    <Stage
      title="Plan"
      lead="Will this decide it, and when am I home?"
      actions={
        <Link className="btn" to={`/c/${id}/run-sheet`}>
          Run sheet
        </Link>
      }
    >
      <details className="sheet mb-2" open={form.formState.isDirty || slots.length === 0 || undefined}>
        <summary className="cursor-pointer px-3 py-1">
          <strong>Settings</strong> <span className="text-[0.87rem] text-faint">{settingsText(setup)}</span>
        </summary>
        <section className="flex flex-wrap items-start gap-x-6 gap-y-2 p-3" aria-label="Walks and criterion">
          <Field
            className="w-64"
            label="Walks of each product on each path"
            type="number"
            min={0}
            max={100}
            {...form.register('plan.walksEach', { valueAsNumber: true })}
            error={form.formState.errors.plan?.walksEach?.message}
          />
          <CriterionChoice
            value={plan.criterion}
            onChange={(criterion) => form.setValue('plan.criterion', criterion, { shouldDirty: true })}
          />
          <Choice
            label="How the walks are logged"
            value={plan.mode ?? ''}
            onChange={(e) =>
              form.setValue(
                'plan.mode',
                WALK_MODES.find((m) => m === e.target.value),
                { shouldDirty: true },
              )
            }
          >
            <option value="">chosen at each walk</option>
            <Options of={WALK_MODES} />
          </Choice>
          <Field
            className="w-64"
            label="Smallest difference that matters"
            help="1.3: ranges that differ by less count as alike."
            suffix="×"
            type="number"
            step="any"
            {...form.register('plan.ratio', { valueAsNumber: true })}
            error={form.formState.errors.plan?.ratio?.message}
          />
          <More
            what="Day, times, people, and how much walks differ"
            className="w-full"
            open={(['sigma', 'startTime', 'setUpMin', 'day', 'hoursAtHand'] as const).some(
              (field) => form.formState.errors.plan?.[field],
            )}
          >
            <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
              <Field
                className="w-80"
                label="Walk-to-walk spread"
                help="0.2: two walks in three lie within a factor of 1.22 of the median."
                type="number"
                step="any"
                {...form.register('plan.sigma', { valueAsNumber: true })}
                error={form.formState.errors.plan?.sigma?.message}
              />
              <Field
                className="w-28"
                label="Start"
                {...form.register('plan.startTime')}
                error={form.formState.errors.plan?.startTime?.message}
              />
              <Field
                className="w-32"
                label="Set-up of a rig"
                suffix="min"
                type="number"
                step="any"
                {...form.register('plan.setUpMin', { valueAsNumber: true })}
                error={form.formState.errors.plan?.setUpMin?.message}
              />
              <Field className="w-52" label="At the fixed end" {...form.register('plan.atFixedEnd')} />
              <Field className="w-52" label="Walking" {...form.register('plan.atMobileEnd')} />
              <Field className="w-64" label="Second channel" {...form.register('plan.secondChannel')} />
              <Field
                className="w-40"
                label="Day"
                placeholder="2026-05-12"
                {...form.register('plan.day')}
                error={form.formState.errors.plan?.day?.message}
              />
              <Field
                className="w-32"
                label="Time available"
                suffix="h"
                inputMode="decimal"
                {...form.register('plan.hoursAtHand', asFigure)}
                error={form.formState.errors.plan?.hoursAtHand?.message}
              />
            </div>
          </More>
        </section>
        <Takes form={form} id={id} blind={plan.blind === true} />
      </details>
      {slots.length === 0 ? (
        <Empty title="Nothing to plan yet">
          Enter products in{' '}
          <Link className="underline" to={`/c/${id}/kit`}>
            Kit
          </Link>{' '}
          and a path in{' '}
          <Link className="underline" to={`/c/${id}/paths`}>
            Paths
          </Link>
          ; the order follows from them.
        </Empty>
      ) : (
        <>
          <PlanBoard board={board} selected={selected?.id} onSelect={select} />
          <p className="mt-1 text-[0.87rem] text-faint">
            Full post: a walk made; open post: a walk to make. Full diamond: can settle a claim; open diamond:
            tells what matters apart; arrow: the path ends too soon; bracket: too few walks for what is asked.
          </p>
          <DayLine setup={shown} />
          <PlanDetail {...{ workspace, slots, blind }} setup={shown} cell={selected} />
        </>
      )}
      <SaveBar what="plan" {...bar} />
    </Stage>
  );
}

/** What is settled, in a line. */
const settingsText = ({ plan }: Setup): string =>
  [
    `${plan.walksEach} ${plan.walksEach === 1 ? 'walk' : 'walks'} of each on each path`,
    `criterion ${plan.criterion}`,
    `differences matter from ${plan.ratio}×`,
    `walk-to-walk spread ${plan.sigma}`,
    `start ${plan.startTime}`,
    ...(plan.mode ? [`logged ${plan.mode}`] : []),
    ...(plan.blind ? ['blind'] : []),
    ...(plan.sideBySide ? ['side by side'] : []),
  ].join('; ');
