import type { Setup } from '@urvek/contract';
import { FEATURE_KINDS, planPoints, SLAB_MATERIALS, type FeatureKind, type PlanPoint } from '@urvek/core';
import { Trash2 } from 'lucide-react';
import type { UseFormReturn } from 'react-hook-form';
import { Choice, Field } from '../../components/Field.tsx';
import { asFigure, asMetres } from '../../components/figures.ts';

import { KIND_NAME, newFeature } from './SitePlan.tsx';

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
  thicknessM: ['Thickness', 'm'],
  heightM: ['Height', 'm'],
  lossDb: ['Loss, if set', 'dB'],
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

/** What is drawn, by its figures: the same data as the plan. */
export function Features({ form, index }: { form: UseFormReturn<Setup>; index: number }) {
  const at = `paths.${index}.features` as const;
  const features = form.watch(at) ?? [];
  const errors = form.formState.errors.paths?.[index]?.features as
    ({ message?: string } | undefined)[] | undefined;
  const replace = (next: typeof features): void => form.setValue(at, next, { shouldDirty: true });
  const add = (kind: FeatureKind): void => {
    const [a, b] = planPoints(form.getValues(`paths.${index}`));
    const [east, north] = b ? [(Number(a?.[0]) + b[0]) / 2, (Number(a?.[1]) + b[1]) / 2] : [10, 10];
    const outline: PlanPoint[] =
      kind === 'wall' || kind === 'hedge'
        ? [
            [east - 5, north],
            [east + 5, north],
          ]
        : [
            [east - 5, north - 2],
            [east + 5, north - 2],
            [east + 5, north + 2],
            [east - 5, north + 2],
          ];
    replace([
      ...features,
      newFeature(
        kind,
        outline,
        features.filter((f) => f.kind === kind).length + 1,
      ) as (typeof features)[number],
    ]);
  };
  return (
    <fieldset className="mt-2">
      <div className="flex items-center border-b border-ink">
        <legend className="float-left flex-1 font-bold">On the plan</legend>
        <Choice
          hideLabel
          label="Add to the plan by figures"
          value=""
          onChange={(e) => add(e.target.value as FeatureKind)}
        >
          <option value="">add by figures …</option>
          {FEATURE_KINDS.map((k) => (
            <option key={k} value={k}>
              {KIND_NAME[k]}
            </option>
          ))}
        </Choice>
      </div>
      {features.length === 0 && (
        <p className="mt-1 text-faint">
          Nothing is drawn yet. What is drawn acts where the line between the two ends meets it.
        </p>
      )}
      {features.map((feature, i) => (
        <div
          key={feature.id}
          className="mt-1 grid grid-cols-[1.2fr_0.8fr_0.8fr_0.8fr_0.8fr_1.6fr_auto] items-end gap-2 border-b border-rule pb-1"
        >
          <Field
            label={KIND_NAME[feature.kind]}
            {...form.register(`${at}.${i}.label`)}
            error={errors?.[i]?.message}
          />
          {feature.kind === 'wall' ? (
            <Choice label="Material" {...form.register(`${at}.${i}.material`)}>
              {Object.keys(SLAB_MATERIALS).map((m) => (
                <option key={m} value={m}>
                  {m}
                </option>
              ))}
            </Choice>
          ) : (
            <span />
          )}
          {(['thicknessM', 'heightM', 'lossDb'] as const).map((name) =>
            FIGURES[feature.kind].includes(name) ? (
              <Field
                key={name}
                label={FIGURE_WORDS[name][0]}
                suffix={FIGURE_WORDS[name][1]}
                inputMode="decimal"
                {...form.register(`${at}.${i}.${name}`, FIGURE_WORDS[name][1] === 'm' ? asMetres : asFigure)}
              />
            ) : (
              <span key={name} />
            ),
          )}
          <Field
            key={outlineText(feature.outline)}
            label="Corners, east north"
            suffix="m"
            defaultValue={outlineText(feature.outline)}
            onBlur={(e) => {
              const outline = parseOutline(e.target.value);
              if (outline) replace(features.map((f, k) => (k === i ? { ...f, outline } : f)));
              else e.target.value = outlineText(feature.outline);
            }}
          />
          <button
            type="button"
            className="btn btn-quiet"
            aria-label={`Remove ${feature.label}`}
            onClick={() => replace(features.filter((_, k) => k !== i))}
          >
            <Trash2 aria-hidden size={16} />
          </button>
        </div>
      ))}
    </fieldset>
  );
}
