import { LATENCY_METHODS } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import type { Setup } from '@urvek/contract';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';
import type { SetupForm } from '../kit/form.ts';
import * as phrases from './phrases.ts';

/**
 * "9 10 9" and "4120-3985, 6240-6112": lists as people write them; what is no figure stays to be seen as an
 * error.
 */
const listOf = (text: unknown): number[] =>
  Array.isArray(text)
    ? (text as number[])
    : String(text ?? '')
        .split(/[\s,;]+/)
        .filter((t) => t !== '')
        .map(Number);
const pairsOf = (text: unknown): [number, number][] =>
  Array.isArray(text)
    ? (text as [number, number][])
    : String(text ?? '')
        .split(/[,;\n]+/)
        .filter((t) => t.trim() !== '')
        .map((t) => {
          const [a, b] = t
            .split(/[-–\s]+/)
            .filter((x) => x !== '')
            .map(Number);
          return [a ?? Number.NaN, b ?? Number.NaN];
        });

/** One measurement of how late a link is, by its counts or its pairs of clocks. */
export function LatencyRow({
  form,
  i,
  field,
  onRemove,
}: {
  form: SetupForm;
  i: number;
  /** As it was when the form came. */
  field: NonNullable<Setup['latency']>[number];
  onRemove: () => void;
}) {
  const products = form.watch('products');
  const errors = form.formState.errors.latency;
  const frames = form.watch(`latency.${i}.method`) === 'frames';
  return (
    <div
      className={
        'mt-2 grid grid-cols-2 items-end gap-2 border-t border-rule pt-1 ' +
        'lg:grid-cols-[1.3fr_1fr_0.8fr_0.9fr_2.4fr_0.9fr_auto]'
      }
    >
      <Choice label={phrases.product} {...form.register(`latency.${i}.productId`)}>
        {products.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </Choice>
      <Choice label={phrases.method} {...form.register(`latency.${i}.method`)}>
        <Options of={LATENCY_METHODS} />
      </Choice>
      <Field
        label={phrases.at}
        suffix="m"
        placeholder={phrases.bench}
        {...form.register(`latency.${i}.distanceM`, asMetres)}
        error={errors?.[i]?.distanceM?.message}
      />
      {frames ? (
        <Field
          label={phrases.frameRate}
          suffix="fps"
          inputMode="decimal"
          {...form.register(`latency.${i}.framesPerS`, asFigure)}
          error={errors?.[i]?.framesPerS?.message}
        />
      ) : (
        <Field
          label={phrases.refresh}
          suffix={phrases.hz}
          inputMode="decimal"
          {...form.register(`latency.${i}.refreshHz`, asFigure)}
          error={errors?.[i]?.refreshHz?.message}
        />
      )}
      {frames ? (
        <Field
          key="frames"
          label={phrases.framesOneAReading}
          placeholder="9 10 9"
          defaultValue={field.frames?.join(' ')}
          onBlur={(e) =>
            form.setValue(`latency.${i}.frames`, listOf(e.target.value), {
              shouldDirty: true,
              shouldValidate: true,
            })
          }
          error={errors?.[i]?.frames?.message ?? errors?.[i]?.frames?.find?.((x) => x)?.message}
        />
      ) : (
        <Field
          key="clock"
          label={phrases.clockAndScreenMsInPairs}
          placeholder="4120-3985, 6240-6112"
          defaultValue={field.readings?.map((r) => r.join('-')).join(', ')}
          onBlur={(e) =>
            form.setValue(`latency.${i}.readings`, pairsOf(e.target.value), {
              shouldDirty: true,
              shouldValidate: true,
            })
          }
          error={errors?.[i]?.readings && phrases.writePairsClockScreenClockScreen}
        />
      )}
      <Field
        label={phrases.wiredBaseline}
        suffix="ms"
        inputMode="decimal"
        {...form.register(`latency.${i}.baselineMs`, asFigure)}
        error={errors?.[i]?.baselineMs?.message}
      />
      <button
        type="button"
        className="btn btn-quiet"
        aria-label={phrases.removeMeasurement(i + 1)}
        onClick={onRemove}
      >
        <Trash2 aria-hidden size={16} />
      </button>
    </div>
  );
}
