import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field } from '../../components/Field.tsx';
import { FilePick } from '../../components/FilePick.tsx';
import { type SetupForm, number } from './onAirParts.tsx';
import * as phrases from './phrases.ts';

const LIMIT_BYTES = 2_000_000;

export function Survey({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'survey', keyName: 'key' });
  const errors = form.formState.errors.survey;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-ink pb-1">
        <legend className="float-left flex-1 font-bold">{phrases.surveyBeforeAndAfterAtBoth}</legend>
        <FilePick
          label={phrases.importText}
          hint={phrases.importASurveyACsvWith}
          accept=".csv,text/csv"
          kind="survey"
          limitBytes={LIMIT_BYTES}
          kept={phrases.theSurveyIsAsItWas}
          take={(read) => rows.append(read)}
        />
        <button
          type="button"
          className="btn"
          onClick={() =>
            rows.append({ when: 'before', end: 'fixed', frequencyMHz: 2437, levelDbm: -70, what: '' })
          }
        >
          {phrases.addASignal}
        </button>
      </div>
      {rows.fields.length === 0 && <p className="mt-1 text-faint">{phrases.nothingNotedWhatIsThereBefore}</p>}
      {rows.fields.map((field, i) => (
        <div key={field.key} className="mt-1 grid grid-cols-[1fr_1fr_1.2fr_1.1fr_1.6fr_auto] items-end gap-2">
          <Choice label={phrases.when} {...form.register(`survey.${i}.when`)}>
            <option value="before">{phrases.before}</option>
            <option value="after">{phrases.after}</option>
          </Choice>
          <Choice label={phrases.end} {...form.register(`survey.${i}.end`)}>
            <option value="fixed">{phrases.fixed}</option>
            <option value="mobile">{phrases.mobile}</option>
          </Choice>
          <Field
            label={phrases.frequency}
            suffix="MHz"
            inputMode="decimal"
            {...form.register(`survey.${i}.frequencyMHz`, number)}
            error={errors?.[i]?.frequencyMHz?.message}
          />
          <Field
            label={phrases.level}
            suffix="dBm"
            inputMode="decimal"
            {...form.register(`survey.${i}.levelDbm`, number)}
            error={errors?.[i]?.levelDbm?.message}
          />
          <Field label={phrases.what} {...form.register(`survey.${i}.what`)} />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={phrases.removeSignal(i + 1)}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
