import { planSchema, type Setup } from '@urvek/contract';
import { travelledGround } from '@urvek/draw';
import { claimFlags, isSealed, plannedPaths, planState, seal } from '@urvek/study';
import { Link } from 'react-router';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Field } from '../../components/Field.tsx';
import { WithWorkspace, Stage, type Ready } from '../../components/Frame.tsx';
import { More } from '../../components/More.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { asFigure } from '../../components/figures.ts';

import { Checks } from './Checks.tsx';
import { NextSteps } from './NextSteps.tsx';
import { Order } from './Order.tsx';
import { PlanAudit } from './PlanAudit.tsx';
import { PowerPanel } from './PowerPanel.tsx';
import { Takes } from './Takes.tsx';

export const Plan = () => <WithWorkspace open>{(workspace) => <PlanEditor {...workspace} />}</WithWorkspace>;

function PlanEditor(workspace: Ready) {
  const { comparison, walks, id } = workspace;
  const { form, save, error, saving } = useSetupForm(comparison, 'Plan');
  const plan = form.watch('plan');
  const setup: Setup = {
    ...comparison.setup,
    plan: planSchema.isValidSync(plan) ? plan : comparison.setup.plan,
  };
  const blind = isSealed(setup, walks);
  const slots = planState(blind ? seal(setup, id) : setup, walks);
  return (
    <Stage
      title="Plan"
      lead="How often, in which order, and by which criterion: settled before the first walk, so that no product is favoured."
      actions={
        <Link className="btn" to={`/c/${id}/run-sheet`}>
          Run sheet
        </Link>
      }
    >
      <section
        className="sheet flex flex-wrap items-start gap-x-6 gap-y-2 p-4"
        aria-label="Walks and criterion"
      >
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
              label="Time at hand"
              suffix="h"
              inputMode="decimal"
              {...form.register('plan.hoursAtHand', asFigure)}
              error={form.formState.errors.plan?.hoursAtHand?.message}
            />
          </div>
        </More>
      </section>
      <Takes form={form} id={id} blind={plan.blind === true} />
      {plannedPaths(setup).map((path) => (
        <section key={path.id} className="sheet mt-4 px-4 py-2" aria-label={`${path.name} and the claims`}>
          <h2>{path.name}</h2>
          <Tape
            title={`${path.name} and the claims`}
            ground={travelledGround(path)}
            measure="travelled"
            claims={claimFlags(comparison.setup, path)}
          />
        </section>
      ))}
      {slots.length > 0 && !blind && <PlanAudit workspace={workspace} setup={setup} />}
      {slots.length === 0 ? (
        <div className="mt-4">
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
        </div>
      ) : (
        <div className="mt-4 grid gap-4 lg:grid-cols-[1fr_380px]">
          <div className="grid content-start gap-4">
            <Order id={id} slots={slots} />
            {!blind && <NextSteps workspace={workspace} setup={setup} />}
          </div>
          <Checks setup={setup} />
        </div>
      )}
      {plan.ratio > 1 && plan.sigma > 0 && (
        <div className="mt-4">
          <PowerPanel
            key={`${plan.ratio}/${plan.sigma}`}
            ratio={plan.ratio}
            sigma={plan.sigma}
            walksEach={plan.walksEach}
          />
        </div>
      )}
      <SaveBar
        what="plan"
        dirty={form.formState.isDirty}
        saving={saving}
        error={error}
        onSave={save}
        onDiscard={() => form.reset()}
      />
    </Stage>
  );
}
