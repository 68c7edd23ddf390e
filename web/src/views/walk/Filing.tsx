import { EMPTY_SETUP, type Comparison, newRig, type Setup, type WalkHeader } from '@urvek/contract';
import { KINDS, traceWalk, kindOf } from '@urvek/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useComparison, useComparisons, useFieldLog } from '../../api/queries.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Frame.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { OtherEnd } from './OtherEnd.tsx';

const NEW = 'new';

export function Filing({ kept }: { kept: KeptWalk }) {
  const navigate = useNavigate();
  const { data: comparisons } = useComparisons();
  const [comparisonId, setComparisonId] = useState(NEW);
  const { data: chosen } = useComparison(comparisonId, comparisonId !== NEW);
  const [productId, setProductId] = useState(NEW);
  const [pathId, setPathId] = useState(NEW);
  const [kindId, setKindId] = useState('microphone');
  const [name, setName] = useState('');
  const [error, setError] = useState<Error>();
  const log = useFieldLog(() => fieldLog.logOf(kept.id), kept.id);
  const farthestM = Math.max(10, ...((log && traceWalk(log)?.fixes.map((f) => f.travelledM)) ?? []));
  const setup = comparisonId === NEW ? EMPTY_SETUP : chosen?.setup;
  const file = async (): Promise<void> => {
    try {
      const comparison =
        comparisonId === NEW
          ? await base.create({
              id: crypto.randomUUID(),
              title: name.trim() || 'Walks not yet sorted',
              question: '',
            })
          : (chosen as Comparison);
      const { setup: next, ...ids } = place(comparison.setup, {
        productId,
        pathId,
        kindId,
        name: name.trim(),
        farthestM,
      });
      if (next !== comparison.setup)
        await base.update(comparison.id, {
          title: comparison.title,
          question: comparison.question,
          setup: next,
          revision: comparison.revision,
        });
      await fieldLog.file(kept.id, { ...kept.header, ...ids, comparisonId: comparison.id });
      void sync();
      await navigate(`/c/${comparison.id}/trace/${kept.id}`);
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <Stage
      title="File the walk"
      lead="It is kept on this device. Say what it was a walk of; what you do not know can be said later."
    >
      <div className="sheet grid max-w-2xl gap-3 p-4">
        <Choice
          label="Under"
          value={comparisonId}
          onChange={(e) => {
            setComparisonId(e.target.value);
            setProductId(NEW);
            setPathId(NEW);
          }}
        >
          <option value={NEW}>a new comparison</option>
          {comparisons?.map((c) => (
            <option key={c.id} value={c.id}>
              {c.title}
            </option>
          ))}
        </Choice>
        <Choice label="Product" value={productId} onChange={(e) => setProductId(e.target.value)}>
          <option value={NEW}>one that is not entered yet</option>
          {setup?.products.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Choice>
        {productId === NEW && (
          <div className="grid grid-cols-2 gap-3">
            <Field label="Its name, if you know it" value={name} onChange={(e) => setName(e.target.value)} />
            <Choice label="Kind" value={kindId} onChange={(e) => setKindId(e.target.value)}>
              {KINDS.map((k) => (
                <option key={k.id} value={k.id}>
                  {k.name}
                </option>
              ))}
            </Choice>
          </div>
        )}
        <Choice label="Path" value={pathId} onChange={(e) => setPathId(e.target.value)}>
          <option value={NEW}>one that is not entered yet</option>
          {setup?.paths.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Choice>
        {error && <Trouble error={error} />}
        <div>
          <button className="btn btn-main" disabled={!setup || !log} onClick={() => void file()}>
            File it
          </button>
        </div>
      </div>
      <OtherEnd kept={kept} />
    </Stage>
  );
}

/**
 * The set-up with what was unknown added under the name "unknown", and the ids of the walk's product, rig
 * and path.
 */
function place(
  setup: Setup,
  {
    productId,
    pathId,
    kindId,
    name,
    farthestM,
  }: { productId: string; pathId: string; kindId: string; name: string; farthestM: number },
): Pick<WalkHeader, 'productId' | 'rigId' | 'pathId'> & { setup: Setup } {
  const free = (wanted: string, taken: readonly string[]): string =>
    taken.includes(wanted) ? free(`${wanted} again`, taken) : wanted;
  const id = (): string => crypto.randomUUID().slice(0, 8);
  const unitId = id();
  const product = setup.products.find((p) => p.id === productId) ?? {
    id: id(),
    name: free(
      name || 'Unknown product',
      setup.products.map((p) => p.name),
    ),
    kindId: kindOf(kindId).id,
    claims: [],
    units: [{ id: unitId, label: 'A', history: '' }],
    rigs: [{ ...newRig(id(), unitId), name: 'Unknown rig' }],
    simulatedGear: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
  };
  const path = setup.paths.find((p) => p.id === pathId) ?? {
    id: id(),
    name: free(
      'Unknown path',
      setup.paths.map((p) => p.name),
    ),
    condition: 'unstated' as const,
    model: 'two-slope' as const,
    distanceMethod: 'by eye' as const,
    hazards: '',
    permission: '',
    legs: [{ lengthM: Math.ceil(farthestM), bearingDeg: 0, riseM: 0, exposure: 'open' as const }],
    obstructions: [],
    checkpoints: [],
  };
  const known = setup.products.includes(product) && setup.paths.includes(path);
  return {
    productId: product.id,
    rigId: product.rigs[0]?.id ?? '',
    pathId: path.id,
    setup: known
      ? setup
      : {
          ...setup,
          products: setup.products.includes(product) ? setup.products : [...setup.products, product],
          paths: setup.paths.includes(path) ? setup.paths : [...setup.paths, path],
        },
  };
}
