import { useFieldArray } from 'react-hook-form';
import { newId, type SetupForm } from '../kit/form.ts';
import { LatencyRow } from './LatencyRow.tsx';
import * as phrases from './phrases.ts';

export function LatencyForm({ form }: { form: SetupForm }) {
  const rows = useFieldArray({ control: form.control, name: 'latency', keyName: 'key' });
  const products = form.watch('products');
  return (
    <fieldset className="sheet p-4">
      <div className="flex items-center gap-2">
        <legend className="float-left flex-1 font-bold">{phrases.measurements}</legend>
        <button
          type="button"
          className="btn"
          disabled={products.length === 0}
          onClick={() =>
            rows.append({
              id: newId(),
              productId: products[0]?.id ?? '',
              method: 'frames',
              framesPerS: 120,
              frames: [],
              baselineMs: 0,
            })
          }
        >
          {phrases.addAMeasurement}
        </button>
      </div>
      <p className="text-[0.87rem] text-faint">{phrases.theWiredBaselineIsTheSame}</p>
      {rows.fields.map((field, i) => (
        <LatencyRow key={field.key} form={form} i={i} field={field} onRemove={() => rows.remove(i)} />
      ))}
    </fieldset>
  );
}
