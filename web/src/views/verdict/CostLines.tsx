import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Field } from '../../components/Field.tsx';
import { asFigure } from '../../components/figures.ts';
import type { SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

export function CostLines({ form, index, name }: { form: SetupForm; index: number; name: string }) {
  const at = `products.${index}.costs` as const;
  const rows = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.products?.[index]?.costs;
  return (
    <fieldset>
      <div className="flex items-center gap-2 border-b border-rule">
        <legend className="float-left flex-1">{name}</legend>
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={phrases.addACostOf(name)}
          onClick={() => rows.append({ what: rows.fields.length === 0 ? phrases.theProduct : '', amount: 0 })}
        >
          {phrases.addACost}
        </button>
      </div>
      {rows.fields.map((field, i) => (
        <div key={field.key} className="grid grid-cols-[2fr_1fr_auto] items-end gap-2">
          <Field
            label={phrases.what}
            hideLabel
            {...form.register(`${at}.${i}.what`)}
            error={errors?.[i]?.what?.message}
          />
          <Field
            label={phrases.price}
            hideLabel
            inputMode="decimal"
            {...form.register(`${at}.${i}.amount`, asFigure)}
            error={errors?.[i]?.amount?.message}
          />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={phrases.removeCostOf(i + 1, name)}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
