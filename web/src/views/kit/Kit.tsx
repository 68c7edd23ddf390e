import { newRig, type Setup } from '@urvek/contract';
import { claimOf, claimText, distanceClaims, OUTRUN } from '@urvek/study';
import { Plus } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { ProductCard } from './ProductCard.tsx';
import { RigDiff } from './RigDiff.tsx';
import { newId } from './form.ts';

const newProduct = (): Setup['products'][number] => {
  const unitId = newId();
  return {
    id: newId(),
    name: '',
    kindId: 'microphone',
    claims: [],
    units: [{ id: unitId, label: 'A', history: '' }],
    rigs: [newRig(newId(), unitId)],
    simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
  };
};

export const Kit = () => <WithWorkspace open>{(workspace) => <KitEditor {...workspace} />}</WithWorkspace>;

function KitEditor({ comparison }: Ready) {
  const { form, save, error, saving } = useSetupForm(comparison, 'Kit');
  const products = useFieldArray({ control: form.control, name: 'products', keyName: 'key' });
  const claims = comparison.setup.products.flatMap((p) =>
    distanceClaims(p).map((c) => ({ atM: claimOf(c).distanceM, label: `${p.name}: ${claimText(c)}` })),
  );
  return (
    <Stage
      title="Kit"
      lead="What is under test, what is said of it, and how each was set up."
      actions={
        <button className="btn" onClick={() => products.append(newProduct())}>
          <Plus aria-hidden size={16} />
          Add a product
        </button>
      }
    >
      {claims.length > 0 && (
        <section className="sheet mb-4 px-4 py-2" aria-label="The claims on the tape">
          <Tape
            title="The claims on the tape"
            ground={{
              lengthM: OUTRUN * Math.max(...claims.map((c) => c.atM)),
              legs: [],
              obstructions: [],
              checkpoints: [],
            }}
            measure="separation"
            claims={claims}
          />
        </section>
      )}
      {products.fields.length === 0 && (
        <Empty title="No product yet">Add two products of one kind to compare them.</Empty>
      )}
      <div className="grid items-start gap-4 xl:grid-cols-2">
        {products.fields.map((field, i) => (
          <ProductCard key={field.key} form={form} index={i} onRemove={() => products.remove(i)} />
        ))}
      </div>
      <RigDiff products={form.watch('products')} />
      <SaveBar
        what="kit"
        dirty={form.formState.isDirty}
        saving={saving}
        error={error}
        onSave={save}
        onDiscard={() => form.reset()}
      />
    </Stage>
  );
}
