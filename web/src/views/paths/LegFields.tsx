import { EXPOSURES } from '@urvek/core';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asMetres } from '../../components/figures.ts';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** One leg by its figures. */
export function LegFields({ form, index, leg }: { form: SetupForm; index: number; leg: number }) {
  const at = `paths.${index}.legs.${leg}` as const;
  const errors = form.formState.errors.paths?.[index]?.legs?.[leg];
  return (
    <>
      <Field
        label={phrases.length}
        suffix="m"
        className="w-32"
        {...form.register(`${at}.lengthM`, asMetres)}
        error={errors?.lengthM?.message}
      />
      <Field
        label={phrases.bearing}
        suffix="°"
        type="number"
        step="any"
        className="w-32"
        {...form.register(`${at}.bearingDeg`, { valueAsNumber: true })}
        error={errors?.bearingDeg?.message}
      />
      <Field
        label={phrases.rise}
        suffix="m"
        className="w-32"
        {...form.register(`${at}.riseM`, asMetres)}
        error={errors?.riseM?.message ?? errors?.message}
      />
      <Choice label={phrases.exposure} className="w-36" {...form.register(`${at}.exposure`)}>
        <Options of={EXPOSURES} />
      </Choice>
    </>
  );
}
