import { asMetres } from '../../components/figures.ts';
import { EXPOSURES } from '@urvek/core';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { RemoveRow } from './RemoveRow.tsx';
import { Rows } from './Rows.tsx';
import type { SetupForm } from './pathsParts.tsx';

export function Legs({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.legs` as const;
  const legs = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.legs;
  return (
    <Rows
      title="Legs"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => legs.append({ lengthM: 50, bearingDeg: 0, riseM: 0, exposure: 'open' })}
        >
          Add a leg
        </button>
      }
    >
      {legs.fields.map((field, i) => (
        <div key={field.key} className="grid grid-cols-[1fr_1fr_1fr_1.2fr_auto] items-end gap-2">
          <Field
            label="Length"
            suffix="m"
            {...form.register(`${at}.${i}.lengthM`, asMetres)}
            error={errors?.[i]?.lengthM?.message}
          />
          <Field
            label="Bearing"
            suffix="°"
            type="number"
            step="any"
            {...form.register(`${at}.${i}.bearingDeg`, { valueAsNumber: true })}
            error={errors?.[i]?.bearingDeg?.message}
          />
          <Field
            label="Rise"
            suffix="m"
            {...form.register(`${at}.${i}.riseM`, asMetres)}
            error={errors?.[i]?.riseM?.message ?? errors?.[i]?.message}
          />
          <Choice label="Exposure" {...form.register(`${at}.${i}.exposure`)}>
            <Options of={EXPOSURES} />
          </Choice>
          <RemoveRow what={`leg ${i + 1}`} onClick={() => legs.remove(i)} />
        </div>
      ))}
    </Rows>
  );
}
