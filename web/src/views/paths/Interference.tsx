import { INTERFERENCE_TESTS } from '@urvek/core';
import { interferenceText } from '@urvek/draw';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asFigure } from '../../components/figures.ts';
import { newId } from '../kit/form.ts';
import { type SetupForm, number } from './onAirParts.tsx';
import * as phrases from './phrases.ts';

export function Interference({ form }: { form: SetupForm }) {
  const records = useFieldArray({ control: form.control, name: 'interference', keyName: 'key' });
  const values = form.watch('interference') ?? [];
  const errors = form.formState.errors.interference;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-ink pb-1">
        <legend className="float-left flex-1 font-bold">{phrases.interferenceAsACabledOrShielded}</legend>
        <button
          type="button"
          className="btn"
          onClick={() =>
            records.append({
              id: newId(),
              label: phrases.source,
              test: 'cabled',
              frequencyMHz: 2437,
              sweep: '',
              duty: 1,
            })
          }
        >
          {phrases.addASource}
        </button>
      </div>
      <p className="mt-1 border-l-4 border-degraded pl-3 text-[0.87rem]">
        {phrases.interferenceOnPurposeIsUnlawfulIn}
      </p>
      {records.fields.map((field, i) => {
        const at = `interference.${i}` as const;
        const cabled = values[i]?.test === 'cabled';
        const figure = (
          name: 'frequencyMHz' | 'sourceDbm' | 'duty' | 'toFixed' | 'toMobile',
          label: string,
          suffix?: string,
        ) => (
          <Field
            label={label}
            suffix={suffix}
            inputMode="decimal"
            {...form.register(
              `${at}.${name}`,
              name === 'frequencyMHz' || name === 'duty' ? number : asFigure,
            )}
            error={errors?.[i]?.[name]?.message}
          />
        );
        return (
          <div key={field.key} className="mt-2 grid grid-cols-4 items-end gap-2 border-b border-rule pb-2">
            <Field
              label={phrases.source}
              {...form.register(`${at}.label`)}
              error={errors?.[i]?.label?.message}
            />
            <Choice label={phrases.test} {...form.register(`${at}.test`)}>
              <Options of={INTERFERENCE_TESTS} />
            </Choice>
            {figure('frequencyMHz', phrases.frequency, phrases.mhz)}
            {figure('sourceDbm', cabled ? phrases.atItsConnector : phrases.eirp, 'dBm')}
            <Field label={phrases.sweep} {...form.register(`${at}.sweep`)} />
            {figure('duty', phrases.duty0To1)}
            {figure('toFixed', phrases.toTheFixedEnd, cabled ? 'dB' : 'm')}
            {figure('toMobile', phrases.toTheMobileEnd, cabled ? 'dB' : 'm')}
            <Field
              label={phrases.wantedFixedEnd}
              suffix="dBm"
              inputMode="decimal"
              {...form.register(`${at}.wantedAtFixedDbm`, asFigure)}
            />
            <Field
              label={phrases.wantedMobileEnd}
              suffix="dBm"
              inputMode="decimal"
              {...form.register(`${at}.wantedAtMobileDbm`, asFigure)}
            />
            <p className="col-span-2" data-ratio-text>
              {values[i] && interferenceText(values[i])}
              <button
                type="button"
                className="btn btn-quiet float-right"
                aria-label={phrases.removeSource(i + 1)}
                onClick={() => records.remove(i)}
              >
                <Trash2 aria-hidden size={16} />
              </button>
            </p>
          </div>
        );
      })}
    </fieldset>
  );
}
