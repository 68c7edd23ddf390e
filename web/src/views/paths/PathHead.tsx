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

/** Models of path loss, by what they stand for. */
const MODEL_NAME: Readonly<Record<PathModel, string>> = {
  'free-space': 'nothing between (free space)',
  'two-ray': 'over flat ground (two rays)',
  'two-slope': 'open, then ground (two slopes)',
  indoor: 'in a building',
};

/** One standard uncertainty, as the method has it. */
const uncertaintyText = (method: DistanceMethod): string => {
  const { independentM, scale } = METHOD_UNCERTAINTY[method];
  return `${Number(independentM.toPrecision(3))} m${scale > 0 ? ` and ${100 * scale} %` : ''}`;
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
        label="Name"
        {...form.register(`${at}.name`)}
        error={form.formState.errors.paths?.[index]?.name?.message}
      />
      <Choice className="w-40" label="Condition" {...form.register(`${at}.condition`)}>
        <option value="open">open</option>
        <option value="obstructed">obstructed</option>
        <option value="unstated">not stated</option>
      </Choice>
      <Choice className="w-52" label="Distances by" {...form.register(`${at}.distanceMethod`)}>
        {DISTANCE_METHODS.map((m) => (
          <option key={m} value={m}>
            {m} (± {uncertaintyText(m)})
          </option>
        ))}
      </Choice>
      <Choice className="w-64" label="How the level falls, for predictions" {...form.register(`${at}.model`)}>
        {PATH_MODELS.map((m) => (
          <option key={m} value={m}>
            {MODEL_NAME[m]}
          </option>
        ))}
      </Choice>
      <button
        type="button"
        className="btn btn-quiet ml-auto"
        aria-label={`Remove ${name || 'this path'}`}
        onClick={onRemove}
      >
        <Trash2 aria-hidden size={16} />
        Remove
      </button>
    </div>
  );
}
