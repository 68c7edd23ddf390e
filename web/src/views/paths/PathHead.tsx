import {
  DISTANCE_METHODS,
  METHOD_UNCERTAINTY,
  PATH_MODELS,
  type DistanceMethod,
  type PathModel,
} from '@urvek/core';
import { Trash2 } from 'lucide-react';
import { Choice, Field } from '../../components/Field.tsx';
import type { SetupForm } from './pathsParts.tsx';
import * as phrases from './phrases.ts';

/** Models of path loss, by what they stand for. */
const MODEL_NAME: Readonly<Record<PathModel, string>> = {
  'free-space': phrases.nothingBetweenFreeSpace,
  'two-ray': phrases.overFlatGroundTwoRays,
  'two-slope': phrases.openThenGroundTwoSlopes,
  indoor: phrases.inABuilding,
};

/** One standard uncertainty, as the method has it. */
const uncertaintyText = (method: DistanceMethod): string => {
  const { independentM, scale } = METHOD_UNCERTAINTY[method];
  return `${Number(independentM.toPrecision(3))} m${scale > 0 ? phrases.andPercent(100 * scale) : ''}`;
};

/** What a path is called, what it is like, and how distances on it are had. */
export function PathHead({
  form,
  index,
  onRemove,
}: {
  form: SetupForm;
  index: number;
  onRemove: () => void;
}) {
  const at = `paths.${index}` as const;
  const name = form.watch(`${at}.name`);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field
        className="w-64"
        label={phrases.nameText}
        {...form.register(`${at}.name`)}
        error={form.formState.errors.paths?.[index]?.name?.message}
      />
      <Choice className="w-40" label={phrases.condition} {...form.register(`${at}.condition`)}>
        <option value="open">{phrases.open}</option>
        <option value="obstructed">{phrases.obstructed}</option>
        <option value="unstated">{phrases.notStated}</option>
      </Choice>
      <Choice className="w-52" label={phrases.distancesBy} {...form.register(`${at}.distanceMethod`)}>
        {DISTANCE_METHODS.map((m) => (
          <option key={m} value={m}>
            {m} (± {uncertaintyText(m)})
          </option>
        ))}
      </Choice>
      <Choice
        className="w-64"
        label={phrases.howTheLevelFallsForPredictions}
        {...form.register(`${at}.model`)}
      >
        {PATH_MODELS.map((m) => (
          <option key={m} value={m}>
            {MODEL_NAME[m]}
          </option>
        ))}
      </Choice>
      <button
        type="button"
        className="btn btn-quiet ml-auto"
        aria-label={phrases.remove(name || phrases.thisPath)}
        onClick={onRemove}
      >
        <Trash2 aria-hidden size={16} />
        {phrases.remove2}
      </button>
    </div>
  );
}
