import type { SetupPath } from '@urvek/study';
import { Plus } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { WithWorkspace, Stage, type Ready } from '../../components/Frame.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { ImportRoute } from './ImportRoute.tsx';
import { OnAir } from './OnAir.tsx';
import { PathCard } from './PathCard.tsx';

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

export const Paths = () => (
  <WithWorkspace open>{(workspace) => <PathsEditor {...workspace} />}</WithWorkspace>
);

function PathsEditor(workspace: Ready) {
  const { comparison } = workspace;
  const { form, save, error, saving } = useSetupForm(comparison, 'Paths');
  const paths = useFieldArray({ control: form.control, name: 'paths', keyName: 'key' });
  return (
    <Stage
      title="Paths"
      lead="Routes away from the fixed end, which is their zero. Look up before you look down: know where kerbs, water and stairs are before the first walk."
      actions={
        <>
          <ImportRoute onPaths={(found) => paths.append(found)} />
          <button className="btn" onClick={() => paths.append(newPath())}>
            <Plus aria-hidden size={16} />
            Add a path
          </button>
        </>
      }
    >
      {paths.fields.length === 0 && (
        <Empty title="No path yet">
          Add a path of at least one and a half times the longest claim, or the result will be a bound.
        </Empty>
      )}
      <div className="grid gap-4">
        {paths.fields.map((field, i) => (
          <PathCard
            key={field.key}
            form={form}
            index={i}
            workspace={workspace}
            onRemove={() => paths.remove(i)}
          />
        ))}
      </div>
      <OnAir form={form} />
      <SaveBar
        what="paths"
        dirty={form.formState.isDirty}
        saving={saving}
        error={error}
        onSave={save}
        onDiscard={() => form.reset()}
      />
    </Stage>
  );
}
