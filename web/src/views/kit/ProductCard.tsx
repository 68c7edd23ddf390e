import { kindOf, KINDS } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { Choice, Field } from '../../components/Field.tsx';
import { More } from '../../components/More.tsx';
import { Claims } from './Claims.tsx';
import { Rigs } from './Rigs.tsx';
import { asFigure } from '../../components/figures.ts';
import type { SetupForm } from './form.ts';
import * as phrases from './phrases.ts';

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
    <section className="sheet p-4" aria-label={name || phrases.newProduct}>
      <div className="flex items-center gap-2">
        <h2 className="flex-1">{name || phrases.newProduct}</h2>
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={phrases.remove(name || phrases.thisProduct)}
          onClick={onRemove}
        >
          <Trash2 aria-hidden size={16} />
          {phrases.remove2}
        </button>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-4">
        <Field
          className="col-span-2"
          label={phrases.nameText}
          {...register(`${at}.name`)}
          error={errors?.name?.message}
        />
        <Choice className="col-span-2" label={phrases.kind} {...register(`${at}.kindId`)}>
          {KINDS.map((k) => (
            <option key={k.id} value={k.id}>
              {k.name}
            </option>
          ))}
        </Choice>
        <Field
          label={phrases.band}
          suffix="MHz"
          inputMode="decimal"
          placeholder={phrases.notStated2}
          {...register(`${at}.bandMHz`, asFigure)}
          error={errors?.bandMHz?.message}
        />
        <Field
          label={phrases.power}
          suffix="mW"
          inputMode="decimal"
          placeholder={phrases.notStated2}
          {...register(`${at}.powerMw`, asFigure)}
          error={errors?.powerMw?.message}
        />
        <Field
          className="col-span-2"
          label={phrases.weakestLevelItReceivesAsIts}
          help={phrases.sensitivityOnTheDataSheetWithout}
          suffix="dBm"
          inputMode="decimal"
          {...register(`${at}.sensitivityDbm`, asFigure)}
          error={errors?.sensitivityDbm?.message}
        />
        <p className="col-span-2 self-end sm:col-span-4 pb-1 text-[0.87rem] text-faint">
          {phrases.watchedTestSignal(kind.watched, kind.testSignal)}
        </p>
      </div>
      <Claims form={form} index={index} />
      <Rigs form={form} index={index} />
      <More className="mt-3" what={phrases.simulatedGearOfItForSimulated}>
        <div className="grid grid-cols-3 gap-3">
          <Field
            label={phrases.levelNeeded}
            suffix="dBm"
            type="number"
            step="any"
            {...register(`${at}.simulatedGear.requiredDbm`, { valueAsNumber: true })}
            error={errors?.simulatedGear?.requiredDbm?.message}
          />
          <Field
            label={phrases.bodyLossOut}
            suffix="dB"
            type="number"
            step="any"
            {...register(`${at}.simulatedGear.bodyLossOutDb`, { valueAsNumber: true })}
            error={errors?.simulatedGear?.bodyLossOutDb?.message}
          />
          <Field
            label={phrases.bodyLossBack}
            suffix="dB"
            type="number"
            step="any"
            {...register(`${at}.simulatedGear.bodyLossBackDb`, { valueAsNumber: true })}
            error={errors?.simulatedGear?.bodyLossBackDb?.message}
          />
        </div>
      </More>
    </section>
  );
}
