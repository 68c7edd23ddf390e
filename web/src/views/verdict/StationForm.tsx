import { DIRECTIONS, QUANTITIES, QUANTITY_UNIT, type StationReading } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { newId, type SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

/** "low -71, high -64, low -70": a setting and its figure, in the order of reading. */
const readingsOf = (text: string): StationReading[] =>
  text
    .split(/[,;\n]+/)
    .map((t) => t.trim())
    .filter((t) => t !== '')
    .map((t) => {
      const [, setting = '', value = ''] = /^(.*?)[\s:=]*([-−]?\d+(?:\.\d+)?)$/.exec(t) ?? [undefined, t];
      return { setting: setting.trim(), value: value === '' ? Number.NaN : Number(value.replace('−', '-')) };
    });

export function StationForm({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'stations', keyName: 'key' });
  const products = form.watch('products');
  const values = form.watch('stations') ?? [];
  const errors = form.formState.errors.stations;
  return (
    <fieldset className="sheet p-4">
      <div className="flex items-center gap-2">
        <legend className="float-left flex-1 font-bold">{phrases.stations}</legend>
        <button
          type="button"
          className="btn"
          disabled={products.length === 0}
          onClick={() =>
            rows.append({
              id: newId(),
              what: '',
              productId: products[0]?.id ?? '',
              quantity: 'level',
              readings: [],
            })
          }
        >
          {phrases.addAStation}
        </button>
      </div>
      {rows.fields.map((field, i) => (
        <div
          key={field.key}
          className={
            'mt-2 grid grid-cols-2 items-end gap-2 border-t border-rule pt-1 ' +
            'lg:grid-cols-[1.3fr_1.2fr_1fr_1fr_1fr_2.4fr_auto]'
          }
        >
          <Field
            label={phrases.whatWasTried}
            placeholder={phrases.tiltOfTheDish}
            {...form.register(`stations.${i}.what`)}
            error={errors?.[i]?.what?.message}
          />
          <Choice label={phrases.product} {...form.register(`stations.${i}.productId`)}>
            {products.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Choice>
          <Field
            label={phrases.place}
            {...form.register(`stations.${i}.place`, { setValueAs: (v: string) => v || undefined })}
            error={errors?.[i]?.place?.message}
          />
          <Choice label={phrases.ofText} {...form.register(`stations.${i}.quantity`)}>
            <Options of={QUANTITIES} />
          </Choice>
          <Choice
            label={phrases.direction}
            {...form.register(`stations.${i}.direction`, {
              setValueAs: (v: string) => (v === '' ? undefined : v),
            })}
          >
            <option value="">{phrases.notStated}</option>
            <Options of={DIRECTIONS} />
          </Choice>
          <Field
            label={phrases.settingAndReadingInTheirOrder}
            suffix={QUANTITY_UNIT[values[i]?.quantity ?? 'level']}
            placeholder={phrases.before71After64Before70}
            defaultValue={field.readings.map((r) => `${r.setting} ${r.value}`).join(', ')}
            onBlur={(e) =>
              form.setValue(`stations.${i}.readings`, readingsOf(e.target.value), {
                shouldDirty: true,
                shouldValidate: true,
              })
            }
            {...(errors?.[i]?.readings ? { error: phrases.writeASettingAndItsFigure } : {})}
          />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={phrases.removeStation(i + 1)}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
