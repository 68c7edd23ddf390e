import { claimSchema } from '@urvek/contract';
import { CLAIM_FORMS, DIRECTIONS, disagreements, type ClaimForm } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { newId, type SetupForm } from './form.ts';
import { RigChoice } from './RigChoice.tsx';
import * as phrases from './phrases.ts';

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
        <legend className="float-left flex-1 font-bold">{phrases.claims}</legend>
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
          {phrases.addAClaim}
        </button>
      </div>
      {claims.fields.length === 0 && <p className="text-faint">{phrases.noneEnteredAClaimIsWhat}</p>}
      {claims.fields.map((field, i) => {
        const kind = entered[i]?.form ?? 'distance';
        return (
          <div
            key={field.key}
            className="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.1fr_auto_1fr_1.1fr_1fr_auto]"
          >
            <Choice label={phrases.ofText} {...form.register(`${at}.${i}.form`)}>
              <Options of={CLAIM_FORMS} />
            </Choice>
            <Tick label={phrases.upTo} {...form.register(`${at}.${i}.upTo`)} />
            <Field
              label={isRatio(kind) ? phrases.ratio : kind === 'distance' ? phrases.distance : phrases.figure}
              placeholder={
                {
                  distance: '100 m',
                  ratio: phrases.n28PercentOr3Db,
                  throughput: phrases.n300MbitS,
                  'speed ratio': phrases.n15Or20Percent,
                  latency: phrases.n50Ms,
                }[kind]
              }
              {...form.register(`${at}.${i}.entered`)}
              error={errors?.[i]?.entered?.message}
            />
            <Choice label={phrases.condition} {...form.register(`${at}.${i}.condition`)}>
              <option value="open">{phrases.open}</option>
              <option value="obstructed">{phrases.obstructed}</option>
              <option value="unstated">{phrases.unstated}</option>
            </Choice>
            <Field
              label={phrases.source}
              {...form.register(`${at}.${i}.source`)}
              error={errors?.[i]?.source?.message}
            />
            <button
              type="button"
              className="btn btn-quiet"
              aria-label={phrases.removeClaim(i + 1)}
              onClick={() => claims.remove(i)}
            >
              <Trash2 aria-hidden size={16} />
            </button>
            {isRatio(kind) && (
              <Choice className="col-span-3" label={phrases.against} {...form.register(`${at}.${i}.against`)}>
                <option value="">{phrases.notStated2}</option>
                {own && own.rigs.length > 1 && <option value={own.id}>{phrases.anotherRig(own.name)}</option>}
                {others.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </Choice>
            )}
            {(kind === 'throughput' || kind === 'speed ratio') && (
              <Choice label={phrases.direction} {...form.register(`${at}.${i}.direction`, emptyIsNone)}>
                <option value="">{phrases.notStated2}</option>
                <Options of={DIRECTIONS} />
              </Choice>
            )}
            <RigChoice
              label={phrases.ofTheRig}
              product={own}
              {...form.register(`${at}.${i}.rigId`, emptyIsNone)}
            />
            {isRatio(kind) && (
              <RigChoice
                label={phrases.againstTheRig}
                product={all.find((p) => p.id === entered[i]?.against)}
                {...form.register(`${at}.${i}.againstRigId`, emptyIsNone)}
              />
            )}
          </div>
        );
      })}
      {disagreeing.map(([a, b]) => (
        <p key={`${a.id}-${b.id}`} role="status" className="mt-1 border-l-4 border-degraded pl-2">
          {phrases.andCannotBothBeMeantThey(a.entered, b.entered)}
        </p>
      ))}
    </fieldset>
  );
}

const isRatio = (form: ClaimForm): boolean => form === 'ratio' || form === 'speed ratio';

const emptyIsNone = { setValueAs: (v: unknown) => (v === '' ? undefined : v) };
