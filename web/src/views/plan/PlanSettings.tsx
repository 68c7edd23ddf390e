import { WALK_MODES } from '@urvek/core';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asFigure } from '../../components/figures.ts';
import { More } from '../../components/More.tsx';
import type { SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

/** How many walks, by which criterion, and what the day allows. */
export function PlanSettings({ form }: { form: SetupForm }) {
  const plan = form.watch('plan');
  return (
    <section
      className="flex flex-wrap items-start gap-x-6 gap-y-2 p-3"
      aria-label={phrases.walksAndCriterion}
    >
      <Field
        className="w-64"
        label={phrases.walksOfEachProductOnEach}
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
        label={phrases.howTheWalksAreLogged}
        value={plan.mode ?? ''}
        onChange={(e) =>
          form.setValue(
            'plan.mode',
            WALK_MODES.find((m) => m === e.target.value),
            { shouldDirty: true },
          )
        }
      >
        <option value="">{phrases.chosenAtEachWalk}</option>
        <Options of={WALK_MODES} />
      </Choice>
      <Field
        className="w-64"
        label={phrases.smallestDifferenceThatMatters}
        help={phrases.differByLessCountAsAlike}
        suffix="×"
        type="number"
        step="any"
        {...form.register('plan.ratio', { valueAsNumber: true })}
        error={form.formState.errors.plan?.ratio?.message}
      />
      <More
        what={phrases.dayTimesPeopleAndHowMuch}
        className="w-full"
        open={(['sigma', 'startTime', 'setUpMin', 'day', 'hoursAtHand'] as const).some(
          (field) => form.formState.errors.plan?.[field],
        )}
      >
        <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
          <Field
            className="w-80"
            label={phrases.walkToWalkSpread}
            help={phrases.twoWalksInThreeLieWithin}
            type="number"
            step="any"
            {...form.register('plan.sigma', { valueAsNumber: true })}
            error={form.formState.errors.plan?.sigma?.message}
          />
          <Field
            className="w-28"
            label={phrases.start}
            {...form.register('plan.startTime')}
            error={form.formState.errors.plan?.startTime?.message}
          />
          <Field
            className="w-32"
            label={phrases.setUpOfARig}
            suffix="min"
            type="number"
            step="any"
            {...form.register('plan.setUpMin', { valueAsNumber: true })}
            error={form.formState.errors.plan?.setUpMin?.message}
          />
          <Field className="w-52" label={phrases.atTheFixedEnd2} {...form.register('plan.atFixedEnd')} />
          <Field className="w-52" label={phrases.walking2} {...form.register('plan.atMobileEnd')} />
          <Field className="w-64" label={phrases.secondChannel2} {...form.register('plan.secondChannel')} />
          <Field
            className="w-40"
            label={phrases.day}
            placeholder="2026-05-12"
            {...form.register('plan.day')}
            error={form.formState.errors.plan?.day?.message}
          />
          <Field
            className="w-32"
            label={phrases.timeAvailable}
            suffix="h"
            inputMode="decimal"
            {...form.register('plan.hoursAtHand', asFigure)}
            error={form.formState.errors.plan?.hoursAtHand?.message}
          />
        </div>
      </More>
    </section>
  );
}
