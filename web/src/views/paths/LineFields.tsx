import { asFigure } from '../../components/figures.ts';
import { Field } from '../../components/Field.tsx';
import type { SetupForm } from './pathsParts.tsx';

/** What the line behind the fixed end gives by cable: it can be what was read, and is asked for where routers are. */
export function LineFields({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}` as const;
  const errors = form.formState.errors.paths?.[index];
  if (!form.watch('products').some((p) => p.kindId === 'router')) return null;
  return (
    <>
      {(['behindDownMbps', 'behindUpMbps'] as const).map((name) => (
        <Field
          key={name}
          className="w-44"
          label={`Line by cable, ${name === 'behindDownMbps' ? 'down' : 'up'}`}
          suffix="Mbit/s"
          inputMode="decimal"
          {...form.register(`${at}.${name}`, asFigure)}
          error={errors?.[name]?.message}
        />
      ))}
    </>
  );
}
