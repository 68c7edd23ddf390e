import { DISTANCE_METHODS } from '@urvek/core';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asMetres } from '../../components/figures.ts';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** One checkpoint. How it was placed is asked where that differs from the path's own way. */
export function PointFields({ form, index, nth }: { form: SetupForm; index: number; nth: number }) {
  const at = `paths.${index}.checkpoints.${nth}` as const;
  const errors = form.formState.errors.paths?.[index]?.checkpoints?.[nth];
  return (
    <>
      <Field
        label={phrases.nameOfCheckpoint(nth + 1)}
        className="w-48"
        {...form.register(`${at}.name`)}
        error={errors?.name?.message}
      />
      <Field
        label={phrases.placeOfCheckpoint(nth + 1)}
        suffix="m"
        className="w-44"
        {...form.register(`${at}.atM`, asMetres)}
        error={errors?.atM?.message}
      />
      {form.watch(at).method && (
        <Choice
          label={phrases.howCheckpointWasPlaced(nth + 1)}
          className="w-52"
          {...form.register(`${at}.method`)}
        >
          <Options of={DISTANCE_METHODS} />
        </Choice>
      )}
    </>
  );
}
