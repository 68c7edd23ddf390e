import { newRig, type Setup } from '@urvek/contract';
import { kitLines, rigSheet } from '@urvek/study';
import { Plus } from 'lucide-react';
import { useFieldArray } from 'react-hook-form';
import { Link } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { SaveBar } from '../../components/SaveBar.tsx';
import { Empty } from '../../components/States.tsx';
import { Term } from '../../components/Term.tsx';
import { useSetupForm } from '../../components/useSetupForm.ts';
import { Views } from '../../components/Views.tsx';
import { useSelect, useSelected } from '../../state/lens.ts';
import { newId } from './form.ts';
import { KitList } from './KitList.tsx';
import { ProductCard } from './ProductCard.tsx';
import { RigSheet } from './RigSheet.tsx';
import * as phrases from './phrases.ts';

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

/** Products in lines, claims on one tape, and the one that is selected. */
export function KitEditor({ comparison }: Ready) {
  const { form, bar } = useSetupForm(comparison, phrases.kit);
  const fields = useFieldArray({ control: form.control, name: 'products', keyName: 'key' });
  const [wanted, select] = useSelected('product');
  const choose = useSelect();
  const products = form.watch('products');
  const wrong = new Set(
    products.flatMap((_, i) => (form.formState.errors.products?.[i] === undefined ? [] : [i])),
  );
  // What needs correcting is shown first; else what was chosen.
  const chosen = products.findIndex((p) => p.id === wanted);
  const [firstWrong] = wrong;
  const at = wrong.has(chosen) ? chosen : (firstWrong ?? Math.max(0, chosen));
  const product = products[at];
  const add = (): void => {
    const made = newProduct();
    fields.append(made);
    choose({ product: made.id, show: undefined });
  };
  const differing = rigSheet({ products }, product?.kindId).filter((c) => c.differences.size > 0).length;
  return (
    <Stage
      title={phrases.kit}
      lead={
        <>
          {phrases.whatIsUnderTestAndAre}
          <Term of="rig">{phrases.rigs2}</Term>
          {phrases.setUpAlike}
        </>
      }
      actions={
        <>
          {comparison.setup.plan.blind === true && (
            <Link className="btn" to={`/c/${comparison.id}/history`}>
              {phrases.historyWithTheNames}
            </Link>
          )}
          <button className="btn" onClick={add}>
            <Plus aria-hidden size={16} />
            {phrases.addAProduct}
          </button>
        </>
      }
    >
      {products.length === 0 && <Empty title={phrases.noProductYet}>{phrases.addTwoProductsOfOneKind}</Empty>}
      {product && (
        <>
          <KitList lines={kitLines({ products })} wrong={wrong} selected={product.id} onSelect={select} />
          <Views
            views={[
              {
                id: 'product',
                name: product.name === '' ? phrases.newProduct : product.name,
                draw: () => (
                  <ProductCard
                    // New when the form is set back: a field that nobody stated would keep what was typed.
                    key={fields.fields[at]?.key}
                    form={form}
                    index={at}
                    onRemove={() => {
                      fields.remove(at);
                      select(undefined);
                    }}
                  />
                ),
              },
              {
                id: 'sheet',
                name:
                  differing === 0 ? phrases.rigSheet : phrases.rigSheet2(phrases.countedDiffer(differing)),
                draw: () => (
                  <RigSheet
                    key={fields.fields.map((f) => f.key).join()}
                    form={form}
                    kindId={product.kindId}
                  />
                ),
              },
            ]}
          />
        </>
      )}
      <SaveBar what={phrases.kit2} {...bar} />
    </Stage>
  );
}
