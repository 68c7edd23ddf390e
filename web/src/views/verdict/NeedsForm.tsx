import { CRITERIA, KINDS, kindOf, SIDES, USUAL_NEEDS } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { newId, type SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

export function NeedsForm({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'needs', keyName: 'key' });
  const errors = form.formState.errors.needs;
  const kinds = [...new Set(form.watch('products').map((p) => p.kindId))];
  const usual = USUAL_NEEDS.filter((u) => kinds.includes(u.kindId));
  const [chosen, setChosen] = useState(0);
  return (
    <fieldset className="sheet p-4">
      <div className="flex flex-wrap items-end gap-2">
        <legend className="float-left flex-1 font-bold">{phrases.needs}</legend>
        {usual.length > 0 && (
          <Choice
            className="w-96"
            label={phrases.usualInTheTrade}
            value={chosen}
            onChange={(e) => setChosen(Number(e.target.value))}
          >
            {usual.map((u, i) => (
              <option key={u.use} value={i}>
                {kindOf(u.kindId).name}: {u.use}, {u.entered}
              </option>
            ))}
          </Choice>
        )}
        {usual.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() => {
              const u = usual[chosen] ?? usual[0];
              if (u) rows.append({ id: newId(), criterion: 'by kind', ...u });
            }}
          >
            {phrases.takeIt}
          </button>
        )}
        <button
          type="button"
          className="btn"
          onClick={() =>
            rows.append({
              id: newId(),
              use: '',
              entered: '',
              condition: 'open',
              kindId: kinds[0] ?? 'microphone',
              criterion: 'by kind',
            })
          }
        >
          {phrases.writeANeed}
        </button>
      </div>
      {rows.fields.map((field, i) => (
        <div
          key={field.key}
          className={
            'mt-1 grid grid-cols-2 items-end gap-2 ' +
            'lg:grid-cols-[1.7fr_0.7fr_0.9fr_0.9fr_1.6fr_1.2fr_1.1fr_auto]'
          }
        >
          <Field label={phrases.use} {...form.register(`needs.${i}.use`)} error={errors?.[i]?.use?.message} />
          <Field
            label={phrases.distance}
            placeholder="30 m"
            {...form.register(`needs.${i}.entered`)}
            error={errors?.[i]?.entered?.message}
          />
          <Field
            label={phrases.figureIfOne}
            placeholder={phrases.n40MbitS}
            {...form.register(`needs.${i}.figure`, { setValueAs: (v: string) => v || undefined })}
            error={errors?.[i]?.figure?.message}
          />
          <Choice label={phrases.condition} {...form.register(`needs.${i}.condition`)}>
            <option value="open">{phrases.open}</option>
            <option value="obstructed">{phrases.obstructed}</option>
            <option value="unstated">{phrases.unstated}</option>
          </Choice>
          <Choice label={phrases.kind} {...form.register(`needs.${i}.kindId`)}>
            {KINDS.map((k) => (
              <option key={k.id} value={k.id}>
                {k.name}
              </option>
            ))}
          </Choice>
          <Choice label={phrases.criterion} {...form.register(`needs.${i}.criterion`)}>
            <option value={phrases.byKind}>{phrases.byKind}</option>
            <Options of={CRITERIA} />
          </Choice>
          <Choice
            label={phrases.direction}
            {...form.register(`needs.${i}.side`, { setValueAs: (v: string) => v || undefined })}
          >
            <option value="">{phrases.asWalked}</option>
            <Options of={SIDES} />
          </Choice>
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={phrases.removeNeed(i + 1)}
            onClick={() => rows.remove(i)}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
