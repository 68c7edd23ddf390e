import { FEATURE_KINDS, isLine, planPoints, type FeatureKind, type PlanPoint } from '@urvek/core';
import { Choice } from '../../components/Field.tsx';
import type { SetupForm } from './pathsParts.tsx';
import { KIND_NAME, newFeature } from './planTools.ts';
import * as phrases from './phrases.ts';

/** Puts a thing on the plan without drawing it: beside the middle of the first leg, to be moved by its figures. */
export function AddDrawn({
  form,
  index,
  onAdded,
}: {
  form: SetupForm;
  index: number;
  onAdded: (nth: number) => void;
}) {
  const at = `paths.${index}.features` as const;
  const add = (kind: FeatureKind): void => {
    const features = form.getValues(at) ?? [];
    const [from, to] = planPoints(form.getValues(`paths.${index}`));
    const [east, north] = from && to ? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] : [10, 10];
    const line: PlanPoint[] = [
      [east - 5, north],
      [east + 5, north],
    ];
    const outline: PlanPoint[] = isLine(kind)
      ? line
      : [
          [east - 5, north - 2],
          [east + 5, north - 2],
          [east + 5, north + 2],
          [east - 5, north + 2],
        ];
    const number = features.filter((f) => f.kind === kind).length + 1;
    const made = newFeature(kind, outline, number) as (typeof features)[number];
    form.setValue(at, [...features, made], { shouldDirty: true });
    onAdded(features.length);
  };
  return (
    <Choice
      hideLabel
      label={phrases.addToThePlanByFigures}
      value=""
      onChange={(e) => add(e.target.value as FeatureKind)}
    >
      <option value="">{phrases.addByFigures}</option>
      {FEATURE_KINDS.map((k) => (
        <option key={k} value={k}>
          {KIND_NAME[k]}
        </option>
      ))}
    </Choice>
  );
}
