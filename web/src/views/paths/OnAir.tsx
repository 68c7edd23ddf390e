import type { Setup } from '@urvek/contract';
import { FormatError, interferenceRatio, INTERFERENCE_TESTS, readSurvey } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { Choice, Field } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { asFigure, newId } from '../kit/form.ts';

type SetupForm = UseFormReturn<Setup>;
const number = { valueAsNumber: true } as const;
const LIMIT_BYTES = 2_000_000;

/** What else is on the air, and what a source of interference does on a cable. */
export function OnAir({ form }: { form: SetupForm }) {
  return (
    <details className="sheet mt-4 p-4" aria-label="On the air">
      <summary className="cursor-pointer font-head text-[1.05rem] font-bold">
        On the air: survey and interference
      </summary>
      <div className="mt-2 grid gap-6 lg:grid-cols-2">
        <Survey form={form} />
        <Interference form={form} />
      </div>
    </details>
  );
}

function Survey({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'survey', keyName: 'key' });
  const errors = form.formState.errors.survey;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-ink pb-1">
        <legend className="float-left flex-1 font-bold">Survey, before and after, at both ends</legend>
        <FilePick
          label="Import"
          hint="Import a survey: a CSV with when, end, frequency_mhz, level_dbm, what"
          accept=".csv,text/csv"
          limitBytes={LIMIT_BYTES}
          expects={[FormatError]}
          kept="The survey is as it was."
          read={(_, text) => rows.append(readSurvey(text))}
        />
        <button
          type="button"
          className="btn"
          onClick={() =>
            rows.append({ when: 'before', end: 'fixed', frequencyMHz: 2437, levelDbm: -70, what: '' })
          }
        >
          Add a signal
        </button>
      </div>
      {rows.fields.length === 0 && (
        <p className="mt-1 text-faint">
          Nothing noted. What is there before the walks, and only after them, can explain a dropout.
        </p>
      )}
      {rows.fields.map((field, i) => (
        <div key={field.key} className="mt-1 grid grid-cols-[1fr_1fr_1.2fr_1.1fr_1.6fr_auto] items-end gap-2">
          <Choice label="When" {...form.register(`survey.${i}.when`)}>
            <option value="before">before</option>
            <option value="after">after</option>
          </Choice>
          <Choice label="End" {...form.register(`survey.${i}.end`)}>
            <option value="fixed">fixed</option>
            <option value="mobile">mobile</option>
          </Choice>
          <Field
            label="Frequency"
            suffix="MHz"
            inputMode="decimal"
            {...form.register(`survey.${i}.frequencyMHz`, number)}
            error={errors?.[i]?.frequencyMHz?.message}
          />
          <Field
            label="Level"
            suffix="dBm"
            inputMode="decimal"
            {...form.register(`survey.${i}.levelDbm`, number)}
            error={errors?.[i]?.levelDbm?.message}
          />
          <Field label="What" {...form.register(`survey.${i}.what`)} />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={`Remove signal ${i + 1}`}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}

function Interference({ form }: { form: SetupForm }) {
  const records = useFieldArray({ control: form.control, name: 'interference', keyName: 'key' });
  const values = form.watch('interference') ?? [];
  const errors = form.formState.errors.interference;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-ink pb-1">
        <legend className="float-left flex-1 font-bold">Interference, as a cabled or shielded test</legend>
        <button
          type="button"
          className="btn"
          onClick={() =>
            records.append({
              id: newId(),
              label: 'Source',
              test: 'cabled',
              frequencyMHz: 2437,
              sourceDbm: 0,
              sweep: '',
              duty: 1,
              toFixed: 60,
              toMobile: 60,
            })
          }
        >
          Add a source
        </button>
      </div>
      <p className="mt-1 border-l-4 border-degraded pl-3 text-[0.85rem]">
        Interference on purpose is unlawful in most places outside a shielded room or a cable. The result is a
        ratio of wanted to unwanted, not a range.
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
            {...form.register(`${at}.${name}`, number)}
            error={errors?.[i]?.[name]?.message}
          />
        );
        return (
          <div key={field.key} className="mt-2 grid grid-cols-4 items-end gap-2 border-b border-rule pb-2">
            <Field label="Source" {...form.register(`${at}.label`)} error={errors?.[i]?.label?.message} />
            <Choice label="Test" {...form.register(`${at}.test`)}>
              {INTERFERENCE_TESTS.map((t) => (
                <option key={t} value={t}>
                  {t}
                </option>
              ))}
            </Choice>
            {figure('frequencyMHz', 'Frequency', 'MHz')}
            {figure('sourceDbm', cabled ? 'At its connector' : 'EIRP', 'dBm')}
            <Field label="Sweep" {...form.register(`${at}.sweep`)} />
            {figure('duty', 'Duty, 0 to 1')}
            {figure('toFixed', 'To the fixed end', cabled ? 'dB' : 'm')}
            {figure('toMobile', 'To the mobile end', cabled ? 'dB' : 'm')}
            <Field
              label="Wanted, fixed end"
              suffix="dBm"
              inputMode="decimal"
              {...form.register(`${at}.wantedAtFixedDbm`, asFigure)}
            />
            <Field
              label="Wanted, mobile end"
              suffix="dBm"
              inputMode="decimal"
              {...form.register(`${at}.wantedAtMobileDbm`, asFigure)}
            />
            <p className="col-span-2" data-ratio-text>
              {ratioText(values[i])}
              <button
                type="button"
                className="btn btn-quiet float-right"
                aria-label={`Remove source ${i + 1}`}
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

function ratioText(record: NonNullable<Setup['interference']>[number] | undefined): string {
  if (!record) return '';
  try {
    const { atFixedDb, atMobileDb, dutyDb } = interferenceRatio(record);
    const said = [
      ['fixed end', atFixedDb],
      ['mobile end', atMobileDb],
    ].flatMap(([end, db]) => (typeof db === 'number' ? [`${db.toFixed(1)} dB at the ${end}`] : []));
    return said.length === 0
      ? 'Enter the wanted level at an end when the link just fails.'
      : `Just fails at wanted over unwanted ${said.join(', ')}${dutyDb > 0.05 ? `; by its mean, ${dutyDb.toFixed(1)} dB more` : ''}.`;
  } catch (error) {
    return (error as RangeError).message;
  }
}
