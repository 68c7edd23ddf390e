import { Field } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';
import type { SetupForm } from './form.ts';
import { isText, type Setting } from './settings.ts';

const SPAN = [
  '',
  'col-span-1',
  'col-span-2',
  'col-span-2 sm:col-span-3',
  'col-span-2 sm:col-span-4',
  'col-span-2 sm:col-span-5',
  'col-span-2 sm:col-span-6',
];

export function SettingField({
  form,
  index,
  rig,
  setting: { field, label, suffix, span = 2 },
}: {
  form: SetupForm;
  index: number;
  rig: number;
  setting: Setting;
}) {
  const error = form.formState.errors.products?.[index]?.rigs?.[rig]?.[field]?.message;
  const text = isText(field);
  return (
    <Field
      className={SPAN[span]}
      label={label}
      suffix={suffix}
      {...(text || suffix === 'm' ? {} : { inputMode: 'decimal' as const })}
      {...form.register(
        `products.${index}.rigs.${rig}.${field}`,
        text ? {} : suffix === 'm' ? asMetres : asFigure,
      )}
      error={error}
    />
  );
}
