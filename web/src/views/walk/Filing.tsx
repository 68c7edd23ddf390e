import { EMPTY_SETUP, type Comparison } from '@urvek/contract';
import { KINDS, traceWalk } from '@urvek/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useComparison, useComparisons, useFieldLog } from '../../api/queries.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Stage.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { OtherEnd } from './OtherEnd.tsx';
import { placeUnfiled } from './placeUnfiled.ts';
import * as phrases from './phrases.ts';

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
              title: name.trim() || phrases.walksNotYetSorted,
              question: '',
            })
          : (chosen as Comparison);
      const { setup: next, ...ids } = placeUnfiled(comparison.setup, {
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
    <Stage title={phrases.fileTheWalk} lead={phrases.itIsKeptOnThisDevice}>
      <div className="sheet grid max-w-2xl gap-3 p-4">
        <Choice
          label={phrases.under}
          value={comparisonId}
          onChange={(e) => {
            setComparisonId(e.target.value);
            setProductId(NEW);
            setPathId(NEW);
          }}
        >
          <option value={NEW}>{phrases.aNewComparison}</option>
          {comparisons?.map((c) => (
            <option key={c.id} value={c.id}>
              {c.title}
            </option>
          ))}
        </Choice>
        <Choice label={phrases.product} value={productId} onChange={(e) => setProductId(e.target.value)}>
          <option value={NEW}>{phrases.oneThatIsNotEnteredYet}</option>
          {setup?.products.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Choice>
        {productId === NEW && (
          <div className="grid grid-cols-2 gap-3">
            <Field
              label={phrases.itsNameIfYouKnowIt}
              value={name}
              onChange={(e) => setName(e.target.value)}
            />
            <Choice label={phrases.kind} value={kindId} onChange={(e) => setKindId(e.target.value)}>
              {KINDS.map((k) => (
                <option key={k.id} value={k.id}>
                  {k.name}
                </option>
              ))}
            </Choice>
          </div>
        )}
        <Choice label={phrases.path} value={pathId} onChange={(e) => setPathId(e.target.value)}>
          <option value={NEW}>{phrases.oneThatIsNotEnteredYet}</option>
          {setup?.paths.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Choice>
        {error && <Trouble error={error} />}
        <div>
          <button className="btn btn-main" disabled={!setup || !log} onClick={() => void file()}>
            {phrases.fileIt}
          </button>
        </div>
      </div>
      <OtherEnd kept={kept} />
    </Stage>
  );
}
