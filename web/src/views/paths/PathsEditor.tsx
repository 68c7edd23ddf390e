import { pathSchema } from '@urvek/contract';
import type { SetupPath } from '@urvek/study';
import { Plus } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Later } from '../../components/Later.tsx';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { useSelect, useSelected } from '../../state/lens.ts';
import { ImportRoute } from './ImportRoute.tsx';
import { OnAir } from './OnAir.tsx';
import { PathCard } from './PathCard.tsx';
import { PathList } from './PathList.tsx';
import * as phrases from './phrases.ts';

const newPath = (): SetupPath => ({
  id: crypto.randomUUID().slice(0, 8),
  name: '',
  condition: 'open',
  model: 'two-slope',
  distanceMethod: 'marked line',
  hazards: '',
  permission: '',
  legs: [{ lengthM: 150, bearingDeg: 0, riseM: 0, exposure: 'open' }],
  obstructions: [],
  checkpoints: [],
});

/** As far as it can be drawn: one without a name yet can. */
const drawnOf = (path: SetupPath): SetupPath | undefined =>
  pathSchema.isValidSync({ ...path, name: path.name || 'new' }) ? path : undefined;

/** All paths on one scale, and the one that is selected. */
export function PathsEditor(workspace: Ready) {
  const { comparison } = workspace;
  const { form, bar } = useSetupForm(comparison, phrases.paths);
  const paths = useFieldArray({ control: form.control, name: 'paths', keyName: 'key' });
  const [wanted] = useSelected('path');
  const change = useSelect();
  // The part in hand is one of the path before.
  const select = (id: string | undefined): void => change({ path: id, part: undefined });
  const all = form.watch('paths');
  const wrong = new Set(all.flatMap((_, i) => (form.formState.errors.paths?.[i] === undefined ? [] : [i])));
  // What needs correcting is shown first; else what was chosen.
  const chosen = all.findIndex((p) => p.id === wanted);
  const [firstWrong] = wrong;
  const at = wrong.has(chosen) ? chosen : (firstWrong ?? Math.max(0, chosen));
  const path = all[at];
  return (
    <Stage
      title={phrases.paths}
      lead={phrases.whatLiesBetweenTheEndsKnow}
      actions={
        <>
          <ImportRoute
            onPaths={(found) => {
              paths.append(found);
              select(found[0]?.id);
            }}
          />
          <button
            className="btn"
            onClick={() => {
              const made = newPath();
              paths.append(made);
              select(made.id);
            }}
          >
            <Plus aria-hidden size={16} />
            {phrases.addAPath}
          </button>
        </>
      }
    >
      {paths.fields.length === 0 && <Empty title={phrases.noPathYet}>{phrases.addAPathOfAtLeast}</Empty>}
      {path && (
        <>
          <PathList
            paths={all.map((p) => ({ id: p.id, name: p.name, drawn: drawnOf(p) }))}
            wrong={wrong}
            selected={path.id}
            onSelect={select}
          />
          <Later>
            {() => (
              <PathCard
                // New when the form is set back: a field that nobody stated would keep what was typed.
                key={paths.fields[at]?.key}
                form={form}
                index={at}
                workspace={workspace}
                onRemove={() => {
                  paths.remove(at);
                  select(undefined);
                }}
              />
            )}
          </Later>
        </>
      )}
      <Later>{() => <OnAir form={form} />}</Later>
      <SaveBar what={phrases.paths2} {...bar} />
    </Stage>
  );
}
