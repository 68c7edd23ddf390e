import { PROVENANCES } from '@urvek/core';
import { LENGTH_UNITS } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';
import { newId, type SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

/** Figures that somebody wrote down, to be held against the logs and against themselves. */
export function Quoted({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'quoted', keyName: 'key' });
  const [products, paths] = [form.watch('products'), form.watch('paths')];
  const errors = form.formState.errors.quoted;
  const figure = (i: number, name: 'walks' | 'meanM' | 'bestM' | 'worstM' | 'spreadM', label: string) => (
    <Field
      label={label}
      suffix={name === 'walks' ? undefined : phrases.mOrWithItsUnit}
      {...form.register(`quoted.${i}.${name}`, name === 'walks' ? asFigure : asMetres)}
      error={errors?.[i]?.[name]?.message}
    />
  );
  return (
    <fieldset className="sheet p-4">
      <div className="flex items-center gap-2">
        <legend className="float-left flex-1 font-bold">{phrases.figuresFromElsewhere}</legend>
        <button
          type="button"
          className="btn"
          disabled={products.length === 0 || paths.length === 0}
          onClick={() =>
            rows.append({
              id: newId(),
              productId: products[0]?.id ?? '',
              pathId: paths[0]?.id ?? '',
              source: '',
              provenance: 'quoted',
            })
          }
        >
          {phrases.addFigures}
        </button>
      </div>
      <p className="text-[0.87rem] text-faint">{phrases.aTableInANotebookA}</p>
      {rows.fields.map((field, i) => (
        <div
          key={field.key}
          className="mt-2 grid grid-cols-2 items-end gap-2 border-t border-rule pt-1 lg:grid-cols-6"
        >
          <Choice label={phrases.product} {...form.register(`quoted.${i}.productId`)}>
            {products.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Choice>
          <Choice label={phrases.path} {...form.register(`quoted.${i}.pathId`)}>
            {paths.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Choice>
          <Field
            label={phrases.source}
            {...form.register(`quoted.${i}.source`)}
            error={errors?.[i]?.source?.message}
          />
          <Choice label={phrases.provenance} {...form.register(`quoted.${i}.provenance`)}>
            <Options of={PROVENANCES} />
          </Choice>
          <Choice
            label={phrases.writtenIn}
            {...form.register(`quoted.${i}.unit`, { setValueAs: (v: unknown) => (v === '' ? undefined : v) })}
          >
            <option value="">{phrases.notStated}</option>
            <Options of={LENGTH_UNITS} />
          </Choice>
          {figure(i, 'walks', phrases.walks)}
          {figure(i, 'meanM', phrases.mean)}
          {figure(i, 'bestM', phrases.best)}
          {figure(i, 'worstM', phrases.worst)}
          {figure(i, 'spreadM', phrases.bestLessWorst)}
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={phrases.removeFigures(i + 1)}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
          <div className="col-span-full">
            <Tick
              label={phrases.itFailedAndWhereIsNot}
              {...form.register(`quoted.${i}.failedWithoutDistance`)}
            />
          </div>
        </div>
      ))}
    </fieldset>
  );
}
