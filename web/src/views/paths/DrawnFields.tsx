import type { FeatureKind } from '@urvek/core';
import { Field } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';
import { MaterialChoice } from './MaterialChoice.tsx';
import type { SetupForm } from './pathsParts.tsx';
import { KIND_NAME } from './planTools.ts';
import * as phrases from './phrases.ts';

/** Which figures a kind has. */
const FIGURES: Readonly<Record<FeatureKind, readonly ('thicknessM' | 'heightM' | 'lossDb')[]>> = {
  wall: ['thicknessM', 'heightM', 'lossDb'],
  hedge: ['thicknessM'],
  trees: [],
  vehicle: ['heightM'],
  floor: ['lossDb'],
  steps: [],
};
const FIGURE_WORDS = {
  thicknessM: [phrases.thickness, 'm'],
  heightM: [phrases.height, 'm'],
  lossDb: [phrases.lossIfSet, 'dB'],
} as const;

const outlineText = (outline: readonly (readonly number[])[]): string =>
  outline.map((p) => p.join(' ')).join(', ');

/** "10 -4, 10 6": east and north of each corner; undefined when it is not that. */
function parseOutline(text: string): [number, number][] | undefined {
  const corners = text.split(',').map((corner) => corner.trim().split(/\s+/).map(Number));
  return corners.every((c) => c.length === 2 && c.every(Number.isFinite))
    ? corners.map(([east, north]) => [east as number, north as number])
    : undefined;
}

/** One thing that is drawn on the plan, by its figures: the same data as the plan. */
export function DrawnFields({ form, index, nth }: { form: SetupForm; index: number; nth: number }) {
  const all = `paths.${index}.features` as const;
  const at = `${all}.${nth}` as const;
  const feature = form.watch(at);
  const errors = form.formState.errors.paths?.[index]?.features as
    ({ message?: string } | undefined)[] | undefined;
  if (!feature) return null;
  return (
    <>
      <Field
        label={KIND_NAME[feature.kind]}
        className="w-40"
        {...form.register(`${at}.label`)}
        error={errors?.[nth]?.message}
      />
      {feature.kind === 'wall' && <MaterialChoice {...form.register(`${at}.material`)} />}
      {FIGURES[feature.kind].map((name) => (
        <Field
          key={name}
          label={FIGURE_WORDS[name][0]}
          suffix={FIGURE_WORDS[name][1]}
          inputMode="decimal"
          className="w-32"
          {...form.register(`${at}.${name}`, FIGURE_WORDS[name][1] === 'm' ? asMetres : asFigure)}
        />
      ))}
      <Field
        key={outlineText(feature.outline)}
        label={phrases.cornersEastNorth}
        suffix="m"
        className="w-72"
        defaultValue={outlineText(feature.outline)}
        onBlur={(e) => {
          const outline = parseOutline(e.target.value);
          if (!outline) e.target.value = outlineText(feature.outline);
          else
            form.setValue(
              all,
              (form.getValues(all) ?? []).map((f, k) => (k === nth ? { ...f, outline } : f)),
              { shouldDirty: true },
            );
        }}
      />
    </>
  );
}
