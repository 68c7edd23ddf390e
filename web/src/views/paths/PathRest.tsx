import { Field, Tick } from '../../components/Field.tsx';
import { asMetres } from '../../components/figures.ts';
import { More } from '../../components/More.tsx';
import { LineFields } from './LineFields.tsx';
import type { SetupForm } from './pathsParts.tsx';

/** Fields that fold away. */
const RARE = [
  ...(['startOffsetM', 'startOffsetUM', 'behindDownMbps', 'behindDownMostMbps', 'behindUpMbps'] as const),
  ...(['behindUpMostMbps', 'planDownMbps', 'planDownMostMbps', 'planUpMbps', 'planUpMostMbps'] as const),
  'lineServer',
] as const;

/** What is rarely stated of a path; open where some of it is wrong. */
export function PathRest({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}` as const;
  const errors = form.formState.errors.paths?.[index];
  return (
    <More
      what="Hazards, permission, where counters are zeroed, and the rest"
      open={RARE.some((field) => errors?.[field])}
    >
      <div className="flex flex-wrap items-end gap-3">
        <Field
          className="w-72"
          label="Hazards: kerbs, water, stairs, machinery"
          {...form.register(`${at}.hazards`)}
        />
        <Field className="w-56" label="Permission to be there" {...form.register(`${at}.permission`)} />
        <Field
          className="w-44"
          label="Counters zeroed at"
          suffix="m"
          {...form.register(`${at}.startOffsetM`, asMetres)}
          error={errors?.startOffsetM?.message}
        />
        <Field
          className="w-44"
          label="Fixed end known to ±"
          suffix="m"
          {...form.register(`${at}.startOffsetUM`, asMetres)}
          error={errors?.startOffsetUM?.message}
        />
        <LineFields form={form} index={index} />
        <Tick label="keep place and coordinates private" {...form.register(`${at}.keepPrivate`)} />
      </div>
    </More>
  );
}
