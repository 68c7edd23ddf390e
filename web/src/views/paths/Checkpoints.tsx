import { asMetres, metresOf } from '../../components/figures.ts';
import { pathLengthM } from '@urvek/core';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Field } from '../../components/Field.tsx';
import { KnownPoints } from './KnownPoints.tsx';
import { RemoveRow } from './RemoveRow.tsx';
import { Rows } from './Rows.tsx';
import type { SetupForm } from './pathsParts.tsx';

export function Checkpoints({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.checkpoints` as const;
  const checkpoints = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.checkpoints;
  const [every, setEvery] = useState('20');
  const everyM = metresOf(every) ?? 0;
  const layOut = (): void => {
    const count = Math.min(500, Math.floor(pathLengthM(form.getValues(`paths.${index}`)) / everyM));
    checkpoints.replace(
      Array.from({ length: count }, (_, i) => ({ name: `post ${i + 1}`, atM: everyM * (i + 1) })),
    );
  };
  return (
    <Rows
      title="Checkpoints"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => checkpoints.append({ name: `post ${checkpoints.fields.length + 1}`, atM: 10 })}
        >
          Add one
        </button>
      }
    >
      <div className="flex items-end gap-2">
        <Field
          label="One every"
          suffix="m"
          value={every}
          onChange={(e) => setEvery(e.target.value)}
          className="w-28"
        />
        <button type="button" className="btn" disabled={!(everyM > 0)} onClick={layOut}>
          Lay them out
        </button>
      </div>
      <KnownPoints form={form} index={index} onPoints={(points) => checkpoints.append(points)} />
      <div
        className="grid max-h-56 gap-1 overflow-y-auto p-1"
        tabIndex={0}
        role="group"
        aria-label="Checkpoints of this path"
      >
        {checkpoints.fields.map((field, i) => (
          <div key={field.key} className="grid grid-cols-[1.4fr_1fr_auto] items-end gap-2">
            <Field
              hideLabel
              label={`Name of checkpoint ${i + 1}`}
              {...form.register(`${at}.${i}.name`)}
              error={errors?.[i]?.name?.message}
            />
            <Field
              hideLabel
              label={`Place of checkpoint ${i + 1}`}
              suffix="m"
              {...form.register(`${at}.${i}.atM`, asMetres)}
              error={errors?.[i]?.atM?.message}
            />
            <RemoveRow what={`checkpoint ${i + 1}`} onClick={() => checkpoints.remove(i)} />
          </div>
        ))}
      </div>
    </Rows>
  );
}
