import { asFigure, asMetres } from '../../components/figures.ts';
import { type ObstructionKind, OBSTRUCTION_KINDS, SLAB_MATERIALS } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { useFieldArray } from 'react-hook-form';
import { Choice, Field } from '../../components/Field.tsx';
import { RemoveRow } from './RemoveRow.tsx';
import { Rows } from './Rows.tsx';
import type { SetupForm } from './pathsParts.tsx';

const KIND_WORDS: Readonly<Record<ObstructionKind, string>> = {
  'fixed-loss': 'loss by eye',
  slab: 'wall',
  foliage: 'foliage',
  'knife-edge': 'edge',
};
/** Figures of another kind are dropped: a wall has no depth of leaves. */
const FRESH: Readonly<Record<ObstructionKind, Partial<SetupPath['obstructions'][number]>>> = {
  'fixed-loss': { lossDb: 3 },
  slab: { material: 'brick', thicknessM: 0.1 },
  foliage: {},
  'knife-edge': { heightM: 3 },
};

export function Obstructions({ form, index }: { form: SetupForm; index: number }) {
  const at = `paths.${index}.obstructions` as const;
  const obstructions = useFieldArray({ control: form.control, name: at, keyName: 'key' });
  const errors = form.formState.errors.paths?.[index]?.obstructions;
  const values = form.watch(at);
  const become = (i: number, kind: ObstructionKind): void => {
    const { label, atM } = values[i] as SetupPath['obstructions'][number];
    obstructions.update(i, { label, atM, kind, ...(kind === 'foliage' ? { toM: atM + 20 } : FRESH[kind]) });
  };
  return (
    <Rows
      title="Obstructions"
      add={
        <button
          type="button"
          className="btn btn-quiet"
          onClick={() => obstructions.append({ label: '', kind: 'fixed-loss', atM: 10, lossDb: 3 })}
        >
          Add an obstruction
        </button>
      }
    >
      {obstructions.fields.length === 0 && <p className="text-faint">Nothing stands in the way.</p>}
      {obstructions.fields.map((field, i) => {
        const kind = values[i]?.kind ?? 'fixed-loss';
        const figure = (
          name: 'atM' | 'toM' | 'thicknessM' | 'heightM' | 'lossDb',
          label: string,
          suffix: string,
        ) => (
          <Field
            label={label}
            suffix={suffix}
            {...form.register(`${at}.${i}.${name}`, suffix === 'm' ? asMetres : asFigure)}
            error={errors?.[i]?.[name]?.message}
          />
        );
        return (
          <div
            key={field.key}
            className="grid grid-cols-[1.2fr_1.1fr_auto] items-end gap-2 border-b border-rule pb-1"
          >
            <Field label="What" {...form.register(`${at}.${i}.label`)} error={errors?.[i]?.label?.message} />
            <Choice label="Kind" value={kind} onChange={(e) => become(i, e.target.value as ObstructionKind)}>
              {OBSTRUCTION_KINDS.map((k) => (
                <option key={k} value={k}>
                  {KIND_WORDS[k]}
                </option>
              ))}
            </Choice>
            <RemoveRow what={`obstruction ${i + 1}`} onClick={() => obstructions.remove(i)} />
            <div className="col-span-3 grid grid-cols-3 gap-2">
              {figure('atM', kind === 'foliage' ? 'From' : 'At', 'm')}
              {kind === 'foliage' && figure('toM', 'To', 'm')}
              {kind === 'slab' && (
                <Choice label="Material" {...form.register(`${at}.${i}.material`)}>
                  {Object.keys(SLAB_MATERIALS).map((m) => (
                    <option key={m} value={m}>
                      {m}
                    </option>
                  ))}
                </Choice>
              )}
              {kind === 'slab' && figure('thicknessM', 'Thickness', 'm')}
              {kind === 'knife-edge' && figure('heightM', 'Height', 'm')}
              {kind === 'fixed-loss' && figure('lossDb', 'Loss (by eye)', 'dB')}
            </div>
          </div>
        );
      })}
    </Rows>
  );
}
