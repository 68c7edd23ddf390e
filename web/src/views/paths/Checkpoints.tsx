import { DISTANCE_METHODS, pathLengthM } from '@urvek/core';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asMetres, metresOf } from '../../components/figures.ts';
import { KnownPoints } from './KnownPoints.tsx';
import { RemoveRow } from './RemoveRow.tsx';
import { Rows } from './Rows.tsx';
import type { SetupForm } from './pathsParts.tsx';

export function Checkpoints({
  form,
  index,
  named,
}: {
  form: SetupForm;
  index: number;
  /** Places that walks here name, and that have no distance. */
  named: readonly string[];
}) {
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
  const rows = form.watch(at);
  const open = named.filter((n) => !rows.some((c) => c.name.trim().toLowerCase() === n.toLowerCase()));
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
          Place checkpoints
        </button>
      </div>
      {open.length > 0 && (
        <div
          className="border-l-4 border-degraded pl-2"
          role="group"
          aria-label="Named on walks, without a distance"
        >
          <p>
            Named on walks, without a distance: until they have one, they only order. Once a place is known,
            by a known length or off a map, all that was logged there follows.
          </p>
          <p className="mt-1 flex flex-wrap gap-2">
            {open.map((name) => (
              <button
                key={name}
                type="button"
                className="btn"
                onClick={() =>
                  checkpoints.append({ name, atM: undefined as unknown as number, method: 'map' })
                }
              >
                Place “{name}”
              </button>
            ))}
          </p>
        </div>
      )}
      <KnownPoints form={form} index={index} onPoints={(points) => checkpoints.append(points)} />
      <div
        className="grid max-h-56 gap-1 overflow-y-auto p-1"
        tabIndex={0}
        role="group"
        aria-label="Checkpoints of this path"
      >
        {checkpoints.fields.map((field, i) => (
          <div
            key={field.key}
            className={`grid items-end gap-2 ${rows[i]?.method ? 'grid-cols-[1.2fr_1fr_1fr_auto]' : 'grid-cols-[1.4fr_1fr_auto]'}`}
          >
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
            {rows[i]?.method && (
              <Choice
                hideLabel
                label={`How checkpoint ${i + 1} was placed`}
                {...form.register(`${at}.${i}.method`)}
              >
                <Options of={DISTANCE_METHODS} />
              </Choice>
            )}
            <RemoveRow what={`checkpoint ${i + 1}`} onClick={() => checkpoints.remove(i)} />
          </div>
        ))}
      </div>
    </Rows>
  );
}
