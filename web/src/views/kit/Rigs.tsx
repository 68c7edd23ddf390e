import type { Rig } from '@urvek/contract';
import { ANTENNA_PLACES } from '@urvek/core';
import { Copy, Trash2 } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field, Options } from '../../components/Field.tsx';
import { More } from '../../components/More.tsx';
import { BatteryLine } from './BatteryLine.tsx';
import { Playout } from './Playout.tsx';
import { SettingField } from './SettingField.tsx';
import { UnitChoice } from './UnitChoice.tsx';
import { newId, type SetupForm } from './form.ts';
import { MAIN_SETTINGS, MORE_SETTINGS } from './settings.ts';
import * as phrases from './phrases.ts';

export function Rigs({ form, index }: { form: SetupForm; index: number }) {
  const product = `products.${index}` as const;
  const units = useFieldArray({ control: form.control, name: `${product}.units`, keyName: 'key' });
  const rigs = useFieldArray({ control: form.control, name: `${product}.rigs`, keyName: 'key' });
  const errors = form.formState.errors.products?.[index];
  const elsewhere = form
    .watch('products')
    .flatMap((p, i) => (i === index ? [] : p.rigs.map((rig) => ({ product: p.name, rig }))));
  const values = form.watch(`${product}.rigs`);
  const unitId = form.watch(`${product}.units.0.id`);
  const copy = (rig: Rig, own: boolean): void =>
    rigs.append({
      ...rig,
      id: newId(),
      name: phrases.copy(rig.name),
      ...(own ? {} : { unitFixedId: unitId, unitMobileId: unitId }),
    });
  return (
    <>
      <fieldset className="mt-3 border-t border-rule pt-2">
        <div className="flex items-center">
          <legend className="float-left flex-1 font-bold">{phrases.units}</legend>
          <button
            type="button"
            className="btn btn-quiet"
            onClick={() =>
              units.append({ id: newId(), label: String.fromCharCode(65 + units.fields.length), history: '' })
            }
          >
            {phrases.addAUnit}
          </button>
        </div>
        {units.fields.map((field, i) => (
          <div key={field.key} className="mt-1 grid grid-cols-[1fr_3fr] gap-3">
            <Field
              label={phrases.unit(i + 1)}
              {...form.register(`${product}.units.${i}.label`)}
              error={errors?.units?.[i]?.label?.message}
            />
            <Field
              label={phrases.history}
              placeholder={phrases.boughtLentRepairedDropped}
              {...form.register(`${product}.units.${i}.history`)}
            />
          </div>
        ))}
      </fieldset>
      <fieldset className="mt-3 border-t border-rule pt-2">
        <div className="flex items-center gap-2">
          <legend className="float-left flex-1 font-bold">{phrases.rigs}</legend>
          {elsewhere.length > 0 && (
            <Choice
              hideLabel
              label={phrases.copyARigFromAnotherProduct}
              value=""
              onChange={(e) => {
                const from = elsewhere[Number(e.target.value)];
                if (from) copy(from.rig, false);
              }}
            >
              <option value="">{phrases.copyOneFrom}</option>
              {elsewhere.map((x, i) => (
                <option key={x.rig.id} value={i}>
                  {x.product}: {x.rig.name}
                </option>
              ))}
            </Choice>
          )}
        </div>
        {rigs.fields.map((field, i) => (
          <div key={field.key} className="mt-2">
            <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-6">
              <Field
                className="col-span-2"
                label={phrases.rig}
                {...form.register(`${product}.rigs.${i}.name`)}
                error={errors?.rigs?.[i]?.name?.message}
              />
              <UnitChoice {...{ form, index, rig: i }} end="unitFixedId" label={phrases.atTheFixedEnd} />
              <UnitChoice {...{ form, index, rig: i }} end="unitMobileId" label={phrases.atTheMobileEnd} />
              <div className="col-span-2 flex justify-end">
                <button
                  type="button"
                  className="btn btn-quiet"
                  onClick={() => values[i] && copy(values[i], true)}
                >
                  <Copy aria-hidden size={15} />
                  {phrases.copy2}
                </button>
                {rigs.fields.length > 1 && (
                  <button
                    type="button"
                    className="btn btn-quiet"
                    aria-label={phrases.removeRig(values[i]?.name ?? i + 1)}
                    onClick={() => rigs.remove(i)}
                  >
                    <Trash2 aria-hidden size={16} />
                  </button>
                )}
              </div>
              {MAIN_SETTINGS.map((setting) => (
                <SettingField key={setting.field} form={form} index={index} rig={i} setting={setting} />
              ))}
            </div>
            <More what={phrases.antennaPowerFirmwareBatteryAndThe}>
              <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-6">
                <Choice
                  className="col-span-2"
                  label={phrases.antennaStands}
                  {...form.register(`${product}.rigs.${i}.antennaPlace`, {
                    setValueAs: (v: unknown) => (v === '' ? undefined : v),
                  })}
                >
                  <option value="">{phrases.notStated2}</option>
                  <Options of={ANTENNA_PLACES} />
                </Choice>
                {MORE_SETTINGS.map((setting) => (
                  <SettingField key={setting.field} form={form} index={index} rig={i} setting={setting} />
                ))}
                <Playout
                  onMeasured={(delayS) =>
                    form.setValue(`${product}.rigs.${i}.playoutDelayS`, delayS, { shouldDirty: true })
                  }
                />
              </div>
            </More>
            {values[i] && <BatteryLine rig={values[i]} />}
          </div>
        ))}
      </fieldset>
    </>
  );
}
