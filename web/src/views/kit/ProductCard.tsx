import { claimSchema } from '@urvek/contract';
import { CLAIM_FORMS, disagreements, kindOf, KINDS } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Tick } from '../../components/Field.tsx';
import { Rigs } from './Rigs.tsx';
import { asFigure, newId, type SetupForm } from './form.ts';

export function ProductCard({
  form,
  index,
  onRemove,
}: {
  form: SetupForm;
  index: number;
  onRemove: () => void;
}) {
  const { register, watch, formState } = form;
  const at = `products.${index}` as const;
  const errors = formState.errors.products?.[index];
  const name = watch(`${at}.name`);
  const kind = kindOf(watch(`${at}.kindId`));
  return (
    <section className="sheet p-4" aria-label={name || 'New product'}>
      <div className="flex items-center gap-2">
        <h2 className="flex-1">{name || 'New product'}</h2>
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={`Remove ${name || 'this product'}`}
          onClick={onRemove}
        >
          <Trash2 aria-hidden size={16} />
          Remove
        </button>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
        <Field
          className="col-span-2"
          label="Name"
          {...register(`${at}.name`)}
          error={errors?.name?.message}
        />
        <Choice className="col-span-2" label="Kind" {...register(`${at}.kindId`)}>
          {KINDS.map((k) => (
            <option key={k.id} value={k.id}>
              {k.name}
            </option>
          ))}
        </Choice>
        <Field
          label="Band"
          suffix="MHz"
          type="number"
          step="any"
          {...register(`${at}.bandMHz`, { valueAsNumber: true })}
          error={errors?.bandMHz?.message}
        />
        <Field
          label="Power"
          suffix="mW"
          type="number"
          step="any"
          {...register(`${at}.powerMw`, { valueAsNumber: true })}
          error={errors?.powerMw?.message}
        />
        <Field
          className="col-span-2"
          label="Level the receiver needs, as its maker says"
          suffix="dBm"
          inputMode="decimal"
          {...register(`${at}.sensitivityDbm`, asFigure)}
          error={errors?.sensitivityDbm?.message}
        />
        <p className="col-span-4 self-end pb-1 text-[0.85rem] text-faint">
          Watched: {kind.watched}. Test signal: {kind.testSignal}.
        </p>
      </div>
      <Claims form={form} index={index} />
      <Rigs form={form} index={index} />
      <details className="mt-3">
        <summary className="cursor-pointer text-[0.85rem] text-faint">
          Simulated gear of it, for simulated walks (invented figures)
        </summary>
        <div className="mt-2 grid grid-cols-3 gap-3">
          <Field
            label="Level needed"
            suffix="dBm"
            type="number"
            step="any"
            {...register(`${at}.standIn.requiredDbm`, { valueAsNumber: true })}
            error={errors?.standIn?.requiredDbm?.message}
          />
          <Field
            label="Body loss, out"
            suffix="dB"
            type="number"
            step="any"
            {...register(`${at}.standIn.bodyLossOutDb`, { valueAsNumber: true })}
            error={errors?.standIn?.bodyLossOutDb?.message}
          />
          <Field
            label="Body loss, back"
            suffix="dB"
            type="number"
            step="any"
            {...register(`${at}.standIn.bodyLossBackDb`, { valueAsNumber: true })}
            error={errors?.standIn?.bodyLossBackDb?.message}
          />
        </div>
      </details>
    </section>
  );
}

function Claims({ form, index }: { form: SetupForm; index: number }) {
  const at = `products.${index}.claims` as const;
  const claims = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.products?.[index]?.claims;
  const entered = form.watch(at);
  const others = form.watch('products').filter((_, i) => i !== index);
  const disagreeing = disagreements(entered.filter((c) => claimSchema.isValidSync(c)));
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <div className="flex items-center">
        <legend className="float-left flex-1 font-bold">Claims</legend>
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() =>
            claims.append({
              id: newId(),
              form: 'distance',
              entered: '',
              upTo: true,
              condition: 'open',
              source: 'box',
            })
          }
        >
          Add a claim
        </button>
      </div>
      {claims.fields.length === 0 && (
        <p className="text-faint">
          None entered. A claim is what the maker or folklore says, in its own unit.
        </p>
      )}
      {claims.fields.map((field, i) => {
        const kind = entered[i]?.form ?? 'distance';
        return (
          <div
            key={field.key}
            className="mt-1 grid grid-cols-[1.1fr_auto_1fr_1.1fr_1fr_auto] items-end gap-2"
          >
            <Choice label="Of" {...form.register(`${at}.${i}.form`)}>
              {CLAIM_FORMS.map((f) => (
                <option key={f} value={f}>
                  {f}
                </option>
              ))}
            </Choice>
            <Tick label="up to" {...form.register(`${at}.${i}.upTo`)} />
            <Field
              label={kind === 'ratio' ? 'Ratio' : kind === 'distance' ? 'Distance' : 'Figure'}
              placeholder={
                { distance: '100 m', ratio: '2×', throughput: '300 Mbit/s', latency: '50 ms' }[kind]
              }
              {...form.register(`${at}.${i}.entered`)}
              error={errors?.[i]?.entered?.message}
            />
            <Choice label="Condition" {...form.register(`${at}.${i}.condition`)}>
              <option value="open">open</option>
              <option value="obstructed">obstructed</option>
              <option value="unstated">unstated</option>
            </Choice>
            <Field
              label="Source"
              {...form.register(`${at}.${i}.source`)}
              error={errors?.[i]?.source?.message}
            />
            <button
              type="button"
              className="btn btn-quiet"
              aria-label={`Remove claim ${i + 1}`}
              onClick={() => claims.remove(i)}
            >
              <Trash2 aria-hidden size={16} />
            </button>
            {kind === 'ratio' && (
              <Choice className="col-span-3" label="Against" {...form.register(`${at}.${i}.against`)}>
                <option value="">not stated</option>
                {others.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </Choice>
            )}
          </div>
        );
      })}
      {disagreeing.map(([a, b]) => (
        <p key={`${a.id}-${b.id}`} role="status" className="mt-1 border-l-4 border-degraded pl-2">
          “{a.entered}” and “{b.entered}” cannot both be meant: they differ by more than rounding.
        </p>
      ))}
    </fieldset>
  );
}
