import { claimOf, claimText, OUTRUN, type Setup } from '@urvek/contract';
import { kindOf, KINDS } from '@urvek/core';
import { Plus, Trash2 } from 'lucide-react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { Choice, Field, Tick } from '../../components/Field.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';

type SetupForm = UseFormReturn<Setup>;
const newId = (): string => crypto.randomUUID().slice(0, 8);

const newProduct = (): Setup['products'][number] => {
  const unitId = newId();
  return {
    id: newId(), name: '', kindId: 'microphone', bandMHz: 2400, powerMw: 10, claims: [],
    units: [{ id: unitId, label: 'A' }],
    rigs: [{ id: newId(), name: 'Standard', unitId, heightFixedM: 1.6, heightMobileM: 1.5, channel: 'automatic', playoutDelayS: 0 }],
    standIn: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
  };
};

export const Kit = () => <WithWorkspace>{(workspace) => <KitEditor {...workspace} />}</WithWorkspace>;

function KitEditor({ comparison }: Ready) {
  const { form, save, error, saving } = useSetupForm(comparison, 'Kit');
  const products = useFieldArray({ control: form.control, name: 'products', keyName: 'key' });
  const claims = comparison.setup.products.flatMap((p) => p.claims.map((c) => ({ atM: claimOf(c).distanceM, label: `${p.name}: ${claimText(c)}` })));
  return (
    <Stage title="Kit" lead="What is under test, what is said of it, and how each was set up." actions={<button className="btn" onClick={() => products.append(newProduct())}><Plus aria-hidden size={16} />Add a product</button>}>
      {claims.length > 0 && (
        <section className="sheet mb-4 px-4 py-2" aria-label="The claims on the tape">
          <Tape title="The claims on the tape" ground={{ lengthM: OUTRUN * Math.max(...claims.map((c) => c.atM)), legs: [], obstructions: [], checkpoints: [] }} measure="separation" claims={claims} />
        </section>
      )}
      {products.fields.length === 0 && <Empty title="No product yet">Add two products of one kind to compare them.</Empty>}
      <div className="grid gap-4 xl:grid-cols-2">
        {products.fields.map((field, i) => <ProductCard key={field.key} form={form} index={i} onRemove={() => products.remove(i)} />)}
      </div>
      <SaveBar what="kit" dirty={form.formState.isDirty} saving={saving} error={error} onSave={save} onDiscard={() => form.reset()} />
    </Stage>
  );
}

function ProductCard({ form, index, onRemove }: { form: SetupForm; index: number; onRemove: () => void }) {
  const { register, watch, formState } = form;
  const at = `products.${index}` as const;
  const errors = formState.errors.products?.[index];
  const name = watch(`${at}.name`);
  return (
    <section className="sheet p-4" aria-label={name || 'New product'}>
      <div className="flex items-center gap-2">
        <h2 className="flex-1">{name || 'New product'}</h2>
        <button type="button" className="btn btn-quiet" aria-label={`Remove ${name || 'this product'}`} onClick={onRemove}><Trash2 aria-hidden size={16} />Remove</button>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
        <Field className="col-span-2" label="Name" {...register(`${at}.name`)} error={errors?.name?.message} />
        <Choice className="col-span-2" label="Kind" {...register(`${at}.kindId`)}>{KINDS.map((k) => <option key={k.id} value={k.id}>{k.name}: {k.watched} is watched</option>)}</Choice>
        <Field label="Band" suffix="MHz" type="number" step="any" {...register(`${at}.bandMHz`, { valueAsNumber: true })} error={errors?.bandMHz?.message} />
        <Field label="Power" suffix="mW" type="number" step="any" {...register(`${at}.powerMw`, { valueAsNumber: true })} error={errors?.powerMw?.message} />
        <p className="col-span-2 self-end pb-1 text-[0.85rem] text-faint">Test signal: {kindOf(watch(`${at}.kindId`)).testSignal}</p>
      </div>
      <Claims form={form} index={index} />
      <Rigs form={form} index={index} />
      <details className="mt-3">
        <summary className="cursor-pointer text-[0.85rem] text-faint">Stand-in for simulated walks (invented figures)</summary>
        <div className="mt-2 grid grid-cols-3 gap-3">
          <Field label="Level needed" suffix="dBm" type="number" step="any" {...register(`${at}.standIn.requiredDbm`, { valueAsNumber: true })} error={errors?.standIn?.requiredDbm?.message} />
          <Field label="Body loss, out" suffix="dB" type="number" step="any" {...register(`${at}.standIn.bodyLossOutDb`, { valueAsNumber: true })} error={errors?.standIn?.bodyLossOutDb?.message} />
          <Field label="Body loss, back" suffix="dB" type="number" step="any" {...register(`${at}.standIn.bodyLossBackDb`, { valueAsNumber: true })} error={errors?.standIn?.bodyLossBackDb?.message} />
        </div>
      </details>
    </section>
  );
}

function Claims({ form, index }: { form: SetupForm; index: number }) {
  const at = `products.${index}.claims` as const;
  const claims = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.products?.[index]?.claims;
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <div className="flex items-center"><legend className="float-left flex-1 font-bold">Claims</legend>
        <button type="button" className="btn btn-quiet" onClick={() => claims.append({ id: newId(), entered: '', upTo: true, condition: 'open', source: 'box' })}>Add a claim</button></div>
      {claims.fields.length === 0 && <p className="text-faint">None entered. A claim is what the maker or folklore says, in its own unit.</p>}
      {claims.fields.map((field, i) => (
        <div key={field.key} className="mt-1 grid grid-cols-[auto_1fr_1fr_1fr_auto] items-end gap-3">
          <Tick label="up to" {...form.register(`${at}.${i}.upTo`)} />
          <Field label="Distance" placeholder="100 m" {...form.register(`${at}.${i}.entered`)} error={errors?.[i]?.entered?.message} />
          <Choice label="Condition" {...form.register(`${at}.${i}.condition`)}><option value="open">open</option><option value="obstructed">obstructed</option><option value="unstated">unstated</option></Choice>
          <Field label="Source" {...form.register(`${at}.${i}.source`)} error={errors?.[i]?.source?.message} />
          <button type="button" className="btn btn-quiet" aria-label={`Remove claim ${i + 1}`} onClick={() => claims.remove(i)}><Trash2 aria-hidden size={16} /></button>
        </div>
      ))}
    </fieldset>
  );
}

function Rigs({ form, index }: { form: SetupForm; index: number }) {
  const product = `products.${index}` as const;
  const units = useFieldArray({ control: form.control, name: `${product}.units`, keyName: 'key' });
  const errors = form.formState.errors.products?.[index];
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <div className="flex items-center"><legend className="float-left flex-1 font-bold">Units and rig</legend>
        <button type="button" className="btn btn-quiet" onClick={() => units.append({ id: newId(), label: String.fromCharCode(65 + units.fields.length) })}>Add a unit</button></div>
      <div className="grid grid-cols-3 gap-x-3 gap-y-2 sm:grid-cols-6">
        {units.fields.map((field, i) => <Field key={field.key} label={`Unit ${i + 1}`} {...form.register(`${product}.units.${i}.label`)} error={errors?.units?.[i]?.label?.message} />)}
      </div>
      {form.watch(`${product}.rigs`).map((rig, i) => (
        <div key={rig.id} className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-6">
          <Field className="col-span-2" label="Rig" {...form.register(`${product}.rigs.${i}.name`)} error={errors?.rigs?.[i]?.name?.message} />
          <Choice className="col-span-1" label="Unit used" {...form.register(`${product}.rigs.${i}.unitId`)}>{units.fields.map((u, k) => <option key={u.id} value={u.id}>{form.watch(`${product}.units.${k}.label`)}</option>)}</Choice>
          <Field className="col-span-3" label="Channel" {...form.register(`${product}.rigs.${i}.channel`)} error={errors?.rigs?.[i]?.channel?.message} />
          <Field className="col-span-2" label="Height, fixed end" suffix="m" type="number" step="any" {...form.register(`${product}.rigs.${i}.heightFixedM`, { valueAsNumber: true })} error={errors?.rigs?.[i]?.heightFixedM?.message} />
          <Field className="col-span-2" label="Height, mobile end" suffix="m" type="number" step="any" {...form.register(`${product}.rigs.${i}.heightMobileM`, { valueAsNumber: true })} error={errors?.rigs?.[i]?.heightMobileM?.message} />
          <Field className="col-span-2" label="Playout delay" suffix="s" type="number" step="any" {...form.register(`${product}.rigs.${i}.playoutDelayS`, { valueAsNumber: true })} error={errors?.rigs?.[i]?.playoutDelayS?.message} />
        </div>
      ))}
    </fieldset>
  );
}
