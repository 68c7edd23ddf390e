import { Field } from '../../components/Field.tsx';
import { asMetres } from '../../components/figures.ts';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** What must be minded, and where on the route it is. */
export function HazardFields({ form, index, nth }: { form: SetupForm; index: number; nth: number }) {
  const at = `paths.${index}.hazardsAt.${nth}` as const;
  const errors = form.formState.errors.paths?.[index]?.hazardsAt?.[nth];
  return (
    <>
      <Field
        label={phrases.whatToMind}
        className="w-64"
        placeholder={phrases.stairsKerbWater}
        {...form.register(`${at}.what`)}
        error={errors?.what?.message}
      />
      <Field
        label={phrases.at}
        suffix="m"
        className="w-32"
        {...form.register(`${at}.atM`, asMetres)}
        error={errors?.atM?.message}
      />
    </>
  );
}
