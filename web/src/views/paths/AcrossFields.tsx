import { OBSTRUCTION_KINDS, type ObstructionKind } from '@urvek/core';
import type { SetupPath } from '@urvek/study';
import { Choice, Field } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';
import { MaterialChoice } from './MaterialChoice.tsx';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

const KIND_WORDS: Readonly<Record<ObstructionKind, string>> = {
  'fixed-loss': phrases.lossByEye,
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

/** One obstruction by its figures. */
export function AcrossFields({ form, index, nth }: { form: SetupForm; index: number; nth: number }) {
  const at = `paths.${index}.obstructions.${nth}` as const;
  const errors = form.formState.errors.paths?.[index]?.obstructions?.[nth];
  const value = form.watch(at);
  const become = (kind: ObstructionKind): void => {
    const { label, atM } = value;
    const next = { label, atM, kind, ...(kind === 'foliage' ? { toM: atM + 20 } : FRESH[kind]) };
    form.setValue(at, next as SetupPath['obstructions'][number], { shouldDirty: true });
  };
  const figure = (
    name: 'atM' | 'toM' | 'thicknessM' | 'heightM' | 'lossDb',
    label: string,
    suffix: string,
  ) => (
    <Field
      label={label}
      suffix={suffix}
      className="w-32"
      {...form.register(`${at}.${name}`, suffix === 'm' ? asMetres : asFigure)}
      error={errors?.[name]?.message}
    />
  );
  return (
    <>
      <Field
        label={phrases.what}
        className="w-48"
        {...form.register(`${at}.label`)}
        error={errors?.label?.message}
      />
      <Choice
        label={phrases.kind}
        className="w-36"
        value={value.kind}
        onChange={(e) => become(e.target.value as ObstructionKind)}
      >
        {OBSTRUCTION_KINDS.map((k) => (
          <option key={k} value={k}>
            {KIND_WORDS[k]}
          </option>
        ))}
      </Choice>
      {figure('atM', value.kind === 'foliage' ? phrases.from : phrases.at, 'm')}
      {value.kind === 'foliage' && figure('toM', phrases.to, 'm')}
      {value.kind === 'slab' && <MaterialChoice {...form.register(`${at}.material`)} />}
      {value.kind === 'slab' && figure('thicknessM', phrases.thickness, 'm')}
      {value.kind === 'knife-edge' && figure('heightM', phrases.height, 'm')}
      {value.kind === 'fixed-loss' && figure('lossDb', phrases.lossByEye2, 'dB')}
    </>
  );
}
