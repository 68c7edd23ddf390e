import { EMPTY_SETUP, newRig, tidyCode, type Comparison, type Setup, type WalkHeader } from '@urvek/contract';
import { DIRECTIONS, kindOf, KINDS, traceWalk, type Direction } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { base } from '../../api/client.ts';
import { useComparison, useComparisons, useFieldLog } from '../../api/queries.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Stage } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { fieldLog, UNFILED, type KeptWalk } from '../../field/fieldLog.ts';
import { delayInForce } from '../../field/operator.ts';
import { sync } from '../../field/sync.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import { LiveWalk } from './LiveWalk.tsx';
import { Unfinished } from './Unfinished.tsx';
import { OneTab } from './Walk.tsx';

/** Begins a walk of which nothing is known yet; nothing is asked in mid-walk that can be asked after. */
async function begin(): Promise<void> {
  const header: WalkHeader = {
    id: crypto.randomUUID(),
    comparisonId: UNFILED,
    productId: '',
    rigId: '',
    pathId: '',
    startedMs: nowMs(),
  };
  await fieldLog.adopt(header, 1);
  await fieldLog.append(
    header.id,
    'begin',
    {
      baselineGrade: 5,
      direction: 'mobile-to-fixed',
      reading: { travelledM: 0, method: 'by eye', pressed: true },
      playoutDelayS: 0,
      mode: 'continuous',
      ...(await delayInForce()),
    },
    eventTime(0, 1),
  );
}

export const WalkNow = () => (
  <OneTab>
    <Now />
  </OneTab>
);

function Now() {
  const open = useFieldLog(() => fieldLog.walks.where('underWay').equals(1).toArray(), 'under-way');
  const [live, setLive] = useState(false);
  const [error, setError] = useState<Error>();
  const begun = useRef(false);
  const found = open?.[0];
  useEffect(() => {
    if (!open || found || begun.current) return;
    begun.current = true;
    setLive(true);
    void begin().catch((cause: unknown) =>
      setError(
        new Error(
          'This device does not keep data for Urvek (private window, or storage full). Nothing was logged. Free some space or use a normal window, then begin again.',
          { cause },
        ),
      ),
    );
  }, [open, found]);
  if (error) return <Trouble error={error} />;
  if (!found) return <Loading what="the log" />;
  if (found.comparisonId !== UNFILED)
    return (
      <Stage title="Walk now">
        <Empty title="A planned walk is not finished">
          Finish it first:{' '}
          <Link className="underline" to={`/c/${found.comparisonId}/walk`}>
            go to it
          </Link>
          .
        </Empty>
      </Stage>
    );
  return live ? (
    <LiveWalk comparison={undefined} subject={undefined} kept={found} />
  ) : (
    <Unfinished comparison={undefined} kept={found} onResume={() => setLive(true)} />
  );
}

const NEW = 'new';

/** What was not asked before the walk is asked now; what stays unknown is shown as unknown. */
export function FileWalk() {
  const { walkId = '' } = useParams();
  const kept = useFieldLog(() => fieldLog.walks.get(walkId), `walk-${walkId}`);
  if (!kept) return <Loading what="the walk" />;
  return kept.comparisonId === UNFILED ? (
    <Filing kept={kept} />
  ) : (
    <Stage title="File the walk">
      <Empty title="It is filed">
        <Link className="underline" to={`/c/${kept.comparisonId}/trace/${kept.id}`}>
          Look at its trace
        </Link>
        .
      </Empty>
    </Stage>
  );
}

function Filing({ kept }: { kept: KeptWalk }) {
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

/** Two ends without a network: each logged alone, and pressed at shared moments. */
function OtherEnd({ kept }: { kept: KeptWalk }) {
  const navigate = useNavigate();
  const [code, setCode] = useState('');
  const [direction, setDirection] = useState<Direction>('mobile-to-fixed');
  const [error, setError] = useState<Error>();
  const join = async (): Promise<void> => {
    try {
      const header = await base.join(tidyCode(code));
      await fieldLog.goOver(kept.id, header, { role: 'base', direction });
      void sync();
      await navigate(`/c/${header.comparisonId}/trace/${header.id}`);
    } catch (cause) {
      setError(cause as Error);
    }
  };
  return (
    <form
      className="sheet mt-4 grid max-w-2xl gap-3 p-4"
      onSubmit={(e) => {
        e.preventDefault();
        void join();
      }}
    >
      <h2>Or it is what the other end logged</h2>
      <p className="text-[0.85rem] text-faint">
        Of a walk that another device made and has sent. The two logs are joined at the moments that both
        pressed; without one, by their wall clocks, poorly.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Code of that walk"
          value={code}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(e) => setCode(e.target.value)}
        />
        <Choice
          label="It watched"
          value={direction}
          onChange={(e) => setDirection(e.target.value as Direction)}
        >
          {DIRECTIONS.map((d) => (
            <option key={d}>{d}</option>
          ))}
        </Choice>
      </div>
      {error && <Trouble error={error} />}
      <div>
        <button className="btn" disabled={tidyCode(code).length !== 6}>
          Join the two logs
        </button>
      </div>
    </form>
  );
}

/** The set-up with what was unknown added under the name "unknown", and the ids of the walk's product, rig and path. */
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
    bandMHz: 2400,
    powerMw: 10,
    claims: [],
    units: [{ id: unitId, label: 'A', history: '' }],
    rigs: [{ ...newRig(id(), unitId), name: 'Unknown rig' }],
    standIn: { requiredDbm: -88, bodyLossOutDb: 8, bodyLossBackDb: 2 },
  };
  const path = setup.paths.find((p) => p.id === pathId) ?? {
    id: id(),
    name: free(
      'Unknown path',
      setup.paths.map((p) => p.name),
    ),
    condition: 'open' as const,
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
