import { standInOf, type Comparison } from '@urvek/contract';
import { effectiveLog, END_REASONS, GRADES, kindOf, lastUndoable, RECONNECT_WAYS, traceWalk, type EventBodies, type EventKind } from '@urvek/core';
import { travelledGround, walkLanes } from '@urvek/draw';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Length } from '../../components/Length.tsx';
import { Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { Ask, Keys, NoteForm, Press, wheelReading, type Actions } from './controls.tsx';
import { Gear, KeptCount, LastEvents } from './status.tsx';
import { subjectOf } from './subject.ts';
import { useStandIn } from './useStandIn.ts';

const RATES = [1, 2, 5, 10, 20];

type Asking = 'reconnected' | 'end' | 'note' | undefined;

/** A walk under way: what is noticed is pressed, what is pressed is kept. */
export function LiveWalk({ comparison, kept }: { comparison: Comparison; kept: KeptWalk }) {
  const navigate = useNavigate();
  const player = useStandIn();
  const log = useFieldLog(() => fieldLog.logOf(kept.id), kept.id);
  const [rate, setRate] = useState(1);
  const [asking, setAsking] = useState<Asking>();
  const [error, setError] = useState<Error>();
  const [sun, setSun] = useState(false);
  const rateNow = useRef(1);
  const started = useRef(false);
  const subject = subjectOf(comparison, kept);

  // On a phone the stages make room for the buttons while one walks.
  useEffect(() => {
    document.body.dataset.walking = '';
    return () => { delete document.body.dataset.walking; };
  }, []);

  const add = useCallback(async <K extends EventKind>(kind: K, body: EventBodies[K], walkS: number, inputMs?: number): Promise<void> => {
    try {
      await fieldLog.append(kept.id, kind, body, eventTime(walkS, rateNow.current, inputMs));
      setError(undefined);
    } catch (cause) {
      setError(new Error('This was not kept: the device refuses to store it. All before it is safe. Free some space, then press again.', { cause }));
    }
    void sync();
  }, [kept.id]);

  useEffect(() => {
    if (started.current || !log || !subject) return;
    started.current = true;
    const begun = log.find((e) => e.kind === 'begin');
    player.play({
      standIn: standInOf(subject.product, subject.rig), path: subject.path, rate: rateNow.current,
      seed: begun?.body.simulatedSeed ?? kept.id,
      fromS: Math.max(0, ...log.map((e) => e.time.walkS)),
      turnedAtS: effectiveLog(log).findLast((e) => e.kind === 'turn')?.time.walkS,
    }, (tick) => void add('mark', { reading: wheelReading(tick) }, tick.tS));
  }, [log, subject, player, add, kept.id]);

  if (!subject || !log) return null;
  const { product, path } = subject;
  const kind = kindOf(product.kindId);
  const trace = traceWalk(log, { path: subject.path });
  const { tick } = player;
  const lost = trace?.stretches.at(-1)?.grade === 1;
  const turned = trace?.turnS !== undefined;
  const graded = trace?.stretches.at(-1)?.grade;
  const post = tick && path.checkpoints.length > 0 ? path.checkpoints.reduce((a, b) => (Math.abs(b.atM - tick.wheelM) < Math.abs(a.atM - tick.wheelM) ? b : a)) : undefined;
  const undoable = lastUndoable(log);

  const press = <K extends EventKind>(k: K, body: EventBodies[K]) => (inputMs: number): void => void add(k, body, player.walkS(inputMs), inputMs);
  const actions: Actions = {
    d: lost ? press('dropoutEnd', {}) : press('dropoutBegin', {}),
    ...Object.fromEntries(GRADES.map((g) => [String(g), g === 1 ? press('dropoutBegin', {}) : press('grade', { grade: g })])),
    m: (inputMs) => {
      if (!tick) return;
      if (post) press('mark', { reading: { travelledM: post.atM, method: path.distanceMethod, pressed: true }, name: post.name })(inputMs);
      else press('mark', { reading: { ...wheelReading(tick), pressed: true } })(inputMs);
    },
    t: (inputMs) => {
      if (!tick || turned) return;
      press('turn', { reading: wheelReading(tick) })(inputMs);
      player.turn();
    },
    r: () => setAsking('reconnected'),
    n: () => setAsking('note'),
    e: () => setAsking('end'),
    u: () => {
      if (undoable) void add('correction', { amends: { deviceId: undoable.deviceId, seq: undoable.seq }, action: 'withdraw', reason: 'undone in the walk' }, undoable.time.walkS);
    },
  };
  const finish = async (reason: EventBodies['end']['reason']): Promise<void> => {
    const walkS = player.walkS(performance.now());
    player.stop();
    await add('end', { reason, ...(tick ? { reading: wheelReading(tick) } : {}) }, Math.max(walkS, ...log.map((e) => e.time.walkS)) + 0.01);
    await navigate(`/c/${comparison.id}/trace/${kept.id}`);
  };

  return (
    <main className={`mx-auto w-full max-w-[1240px] px-3 py-3 ${sun ? 'sun' : ''}`}>
      <Keys actions={asking ? {} : actions} />
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>{product.name}</h1>
        <p>{path.name}, {turned ? 'on the way back' : 'on the way out'}</p>
        <KeptCount walkId={kept.id} />
        <div className="ml-auto flex items-center gap-3">
          <label className="flex items-center gap-1.5"><input type="checkbox" className="size-4" checked={sun} onChange={(e) => setSun(e.target.checked)} />sun</label>
          <label className="flex items-center gap-1.5">speed
            <select className="input w-auto" value={rate} onChange={(e) => { const to = Number(e.target.value); rateNow.current = to; setRate(to); player.setRate(to); }}>{RATES.map((r) => <option key={r} value={r}>{r}×</option>)}</select>
          </label>
        </div>
      </div>
      {error && <Trouble error={error} />}
      <div className="sheet mt-2 px-3 py-1">
        <Tape title="The walk so far, on the tape" ground={travelledGround(path)} measure="travelled" lanes={trace ? walkLanes(trace, 'out', 'live') : []} hereM={tick?.wheelM} />
      </div>
      <div className="mt-2 grid gap-2 md:grid-cols-[300px_1fr]">
        <Gear tick={tick} watched={kind.watched} words={kind.words} />
        {asking === 'reconnected' && <Ask title="Reconnected how?" choices={RECONNECT_WAYS} onChoose={(how) => { setAsking(undefined); press('reconnected', { how })(performance.now()); }} onCancel={() => setAsking(undefined)} />}
        {asking === 'end' && <Ask title="Why does the walk end?" choices={END_REASONS} onChoose={(reason) => { setAsking(undefined); void finish(reason); }} onCancel={() => setAsking(undefined)} />}
        {asking === 'note' && <NoteForm onNote={(text) => { setAsking(undefined); press('note', { text })(performance.now()); }} onCancel={() => setAsking(undefined)} />}
        {!asking && (
          <div className="grid grid-cols-5 gap-2" role="group" aria-label="Log">
            <Press k="d" actions={actions} className={`col-span-5 text-lg ${lost ? 'bg-lost! text-white' : ''}`}>{lost ? 'Dropout ends' : 'Dropout begins'}</Press>
            {GRADES.map((g) => <Press key={g} k={String(g)} actions={actions} pressed={graded === g}><span className="figure text-xl">{g}</span><span className="text-[0.78rem] leading-tight font-normal">{kind.words[g]}</span></Press>)}
            <Press k="m" actions={actions} className="col-span-2" disabled={!tick}>{post ? <>Mark {post.name}<span className="font-normal"><Length m={post.atM} /></span></> : 'Mark the wheel'}</Press>
            <Press k="t" actions={actions} className="col-span-2" disabled={turned}>{turned ? 'Turned' : 'Turn round'}</Press>
            <Press k="n" actions={actions}>Note</Press>
            <Press k="r" actions={actions} className="col-span-2">Reconnected …</Press>
            <Press k="u" actions={actions} disabled={!undoable}>Undo</Press>
            <Press k="e" actions={actions} className="col-span-2">End …</Press>
          </div>
        )}
      </div>
      <LastEvents log={log} />
    </main>
  );
}
