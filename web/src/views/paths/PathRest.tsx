import { Field, Tick } from '../../components/Field.tsx';
import { asMetres } from '../../components/figures.ts';
import { More } from '../../components/More.tsx';
import { LineFields } from './LineFields.tsx';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

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
    <More what={phrases.hazardsPermissionWhereCountersAreZeroed} open={RARE.some((field) => errors?.[field])}>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          className="w-72"
          label={phrases.hazardsKerbsWaterStairsMachinery}
          {...form.register(`${at}.hazards`)}
        />
        <Field className="w-56" label={phrases.permissionToBeThere} {...form.register(`${at}.permission`)} />
        <Field
          className="w-44"
          label={phrases.countersZeroedAt}
          suffix="m"
          {...form.register(`${at}.startOffsetM`, asMetres)}
          error={errors?.startOffsetM?.message}
        />
        <Field
          className="w-44"
          label={phrases.fixedEndKnownTo}
          suffix="m"
          {...form.register(`${at}.startOffsetUM`, asMetres)}
          error={errors?.startOffsetUM?.message}
        />
        <LineFields form={form} index={index} />
        <Tick label={phrases.keepPlaceAndCoordinatesPrivate} {...form.register(`${at}.keepPrivate`)} />
      </div>
    </More>
  );
}
