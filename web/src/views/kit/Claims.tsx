import { claimSchema } from '@urvek/contract';
import { CLAIM_FORMS, DIRECTIONS, disagreements, type ClaimForm } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { newId, type SetupForm } from './form.ts';
import { RigChoice } from './RigChoice.tsx';

export function Claims({ form, index }: { form: SetupForm; index: number }) {
  const at = `products.${index}.claims` as const;
  const claims = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.products?.[index]?.claims;
  const entered = form.watch(at);
  const all = form.watch('products');
  const own = all[index];
  const others = all.filter((_, i) => i !== index);
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
            className="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.1fr_auto_1fr_1.1fr_1fr_auto]"
          >
            <Choice label="Of" {...form.register(`${at}.${i}.form`)}>
              <Options of={CLAIM_FORMS} />
            </Choice>
            <Tick label="up to" {...form.register(`${at}.${i}.upTo`)} />
            <Field
              label={isRatio(kind) ? 'Ratio' : kind === 'distance' ? 'Distance' : 'Figure'}
              placeholder={
                {
                  distance: '100 m',
                  ratio: '2×, +8 % or 3 dB',
                  throughput: '300 Mbit/s',
                  'speed ratio': '15× or +20 %',
                  latency: '50 ms',
                }[kind]
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
            {isRatio(kind) && (
              <Choice className="col-span-3" label="Against" {...form.register(`${at}.${i}.against`)}>
                <option value="">not stated</option>
                {own && own.rigs.length > 1 && <option value={own.id}>{own.name}: another rig</option>}
                {others.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </Choice>
            )}
            {(kind === 'throughput' || kind === 'speed ratio') && (
              <Choice label="Direction" {...form.register(`${at}.${i}.direction`, emptyIsNone)}>
                <option value="">not stated</option>
                <Options of={DIRECTIONS} />
              </Choice>
            )}
            <RigChoice label="Of the rig" product={own} {...form.register(`${at}.${i}.rigId`, emptyIsNone)} />
            {isRatio(kind) && (
              <RigChoice
                label="Against the rig"
                product={all.find((p) => p.id === entered[i]?.against)}
                {...form.register(`${at}.${i}.againstRigId`, emptyIsNone)}
              />
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

const isRatio = (form: ClaimForm): boolean => form === 'ratio' || form === 'speed ratio';

const emptyIsNone = { setValueAs: (v: unknown) => (v === '' ? undefined : v) };
