import {
  effectiveLog,
  isAutomatic,
  kindOf,
  liveStateOf,
  placedNames,
  placeAt,
  type Detected,
  type DistanceReading,
  type DropoutKind,
  type EventBodies,
  type EventKind,
  type EventOf,
  type Path,
} from '@urvek/core';
import { travelledGround, walkLanes } from '@urvek/draw';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import type { Ready } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { eventText } from '../../state/eventText.ts';
import { Announce } from '../walk/Announce.tsx';
import { Keys } from '../walk/Ask.tsx';
import { Asked, type Asking } from '../walk/Asked.tsx';
import type { Actions } from '../walk/controlsParts.tsx';
import { EndBar } from '../walk/EndBar.tsx';
import { LastEvents } from '../walk/LastEvents.tsx';
import { logActions } from '../walk/logActions.ts';
import { LogKeys } from '../walk/LogKeys.tsx';
import { useTraceSoon } from '../walk/useTraceSoon.ts';
import { useWalkSession } from '../walk/useWalkSession.ts';
import { Beside } from './Beside.tsx';
import { FilmFiles } from './FilmFiles.tsx';
import { FindLosses } from './FindLosses.tsx';
import { PlayerView } from './PlayerView.tsx';
import { digestOf } from './frames.ts';
import { secondsOf, type Reel } from './reel.ts';
import { usePlayer } from './usePlayer.ts';

/** An edge that was found is known to half of this either way, s: 5 ms, as the detectors are held to. */
const FOUND_S = 0.01;
const NOT_KEPT = 'This was not kept: Urvek failed on it. All before it is safe.';

/** The walk’s keys, on the recording’s clock. */
export function FilmLog({
  workspace,
  walkId,
  reel,
  fromS,
}: {
  workspace: Ready;
  walkId: string;
  reel: Reel;
  fromS: number;
}) {
  const { comparison, id } = workspace;
  const kept = useFieldLog(async () => (await fieldLog.walks.get(walkId)) ?? null, `walk ${walkId}`);
  const { session, log, state, ready, unkept } = useWalkSession(walkId);
  const player = usePlayer(reel, fromS);
  const [asking, setAsking] = useState<Asking>();
  const [error, setError] = useState<Error>();
  const product = comparison.setup.products.find((p) => p.id === kept?.header.productId);
  const path = comparison.setup.paths.find((p) => p.id === kept?.header.pathId);
  const trace = useTraceSoon(log, state.entries, path as Path | undefined);
  const lanes = useMemo(() => (trace ? walkLanes(trace, 'out', 'film') : []), [trace]);
  const standing = useMemo(() => effectiveLog(log), [log, state.entries]); // eslint-disable-line react-hooks/exhaustive-deps
  if (kept === null)
    return (
      <Empty title="This device did not log this walk">
        A recording is logged on from the device that began it.{' '}
        <Link to={`/c/${id}/trace/${walkId}`}>Its trace</Link> takes corrections from everywhere.
      </Empty>
    );
  if (!ready || !kept || !state.begin || !product || !path) return <Loading what="the log" />;
  const kind = kindOf(product.kindId);
  // One goes back in a recording: what stands is what was logged up to here.
  const here = liveStateOf(standing.filter((e) => e.time.walkS <= player.atS));
  const add = async <K extends EventKind>(kind: K, body: EventBodies[K], inputMs: number): Promise<void> => {
    const { atS, frameS, rate } = player.moment(inputMs);
    try {
      await session.append(kind, body, eventTime(atS, rate, inputMs, frameS));
      setError(undefined);
    } catch (cause) {
      setError(new Error(NOT_KEPT, { cause }));
    }
    void sync();
  };
  /** Found, and not pressed: nobody reacted, and the moment is known to the detector's block. */
  const take = async (list: readonly Detected<DropoutKind>[]): Promise<void> => {
    try {
      for (const { fromS, toS, open, kind, figure } of list) {
        // What was lost already when the walk began is lost from its beginning on.
        const beganS = Math.max(fromS, state.begin?.time.walkS ?? 0);
        const found = `${kind}, ${figure}`.slice(0, 200);
        await session.append('dropoutBegin', { found }, eventTime(beganS, 1, undefined, FOUND_S));
        if (!open) await session.append('dropoutEnd', { found }, eventTime(toS, 1, undefined, FOUND_S));
      }
      setError(undefined);
    } catch (cause) {
      setError(new Error(NOT_KEPT, { cause }));
    }
    void sync();
  };
  const join = async (file: File, besideFromS: number): Promise<void> => {
    const seconds = await secondsOf(file);
    logNow('recording', {
      ...{ name: file.name.slice(0, 255), bytes: file.size, digest: await digestOf(file), besideFromS },
      seconds: Number.isFinite(seconds) ? seconds : 0,
    });
  };
  const press =
    <K extends EventKind>(kind: K, body: EventBodies[K]) =>
    (inputMs: number): void =>
      void add(kind, body, inputMs);
  const ask = (next: Asking): void => {
    // What is asked about is what is seen now.
    player.pause();
    setAsking(next);
  };
  const logNow = <K extends EventKind>(k: K, body: EventBodies[K]): void => press(k, body)(performance.now());
  const mark = (reading: DistanceReading | undefined, name?: string): void =>
    logNow('mark', {
      ...(reading ? { reading: { ...reading, pressed: true } } : {}),
      ...(name === undefined ? {} : { name }),
    });
  const finish = (reason: EventBodies['end']['reason']): void => {
    player.pause();
    logNow('end', { reason });
  };
  const actions: Actions = {
    ...logActions({ state: here, press, ask }),
    j: (inputMs) => {
      if (here.grade !== 1) press('dropoutBegin', {})(inputMs);
      finish('link failed');
    },
    u: () => {
      void session
        .undo((walkS) => eventTime(walkS, 1))
        .then(
          () => setError(undefined),
          (cause: unknown) => setError(new Error(NOT_KEPT, { cause })),
        )
        .then(() => sync());
    },
  };
  const ended = standing.find((e) => e.kind === 'end');
  const hereM = trace && placeAt(trace, player.atS)?.travelledM;
  return (
    <>
      <div className="sheet mb-2 px-3 py-1">
        <Tape
          title={`${product.name} on ${path.name}, from the recording`}
          ground={travelledGround(path)}
          measure="travelled"
          lanes={lanes}
          hereM={hereM}
        />
      </div>
      <Announce log={log} unkept={unkept} />
      {error && <Trouble error={error} />}
      <div className="grid gap-3 lg:grid-cols-2">
        <div>
          <PlayerView
            reel={reel}
            player={player}
            markers={standing
              .filter((e) => !isAutomatic(e) && e.kind !== 'recording')
              .map((e) => ({ atS: e.time.walkS, what: eventText(e) }))}
          />
          <FindLosses
            reel={reel}
            fromS={state.begin.time.walkS}
            toS={ended?.time.walkS ?? Infinity}
            onLook={(atS) => player.seek(atS)}
            onAccept={(list) => void take(list)}
          />
          <Beside
            player={player}
            known={standing.filter(
              (e): e is EventOf<'recording'> => e.kind === 'recording' && e.body.besideFromS !== undefined,
            )}
            onJoin={(file, besideFromS) => void join(file, besideFromS)}
          />
        </div>
        <div className="grid content-start gap-2">
          <Keys actions={asking ? {} : actions} />
          <Asked
            asking={asking}
            kind={kind}
            marksM={here.marksM}
            log={logNow}
            usual={here.lastReading?.method ?? path.distanceMethod}
            measured={here.lastMeasured}
            points={placedNames(path)}
            beside={{ setup: comparison.setup, walked: { productId: product.id, rigId: kept.header.rigId } }}
            open={undefined}
            onMark={mark}
            onTurned={() => undefined}
            posts={[]}
            onPost={() => undefined}
            onCounted={() => undefined}
            onEnd={finish}
            onClose={() => setAsking(undefined)}
          />
          {/* Keys beside a film are narrow: their letters have room of their own. */}
          <div className="grid content-start gap-2 [&_.pressable]:px-5" hidden={asking !== undefined}>
            <LogKeys
              actions={actions}
              mode="continuous"
              words={kind.words}
              grade={here.grade}
              post={undefined}
              hasWheel={false}
              turned={here.turned}
              standing={here.standing}
              hold={false}
              onDropout={press('dropoutBegin', {})}
              onBack={press('dropoutEnd', {})}
              onOtherPost={undefined}
            />
            <EndBar actions={actions} canUndo={state.undoable !== undefined} />
          </div>
        </div>
      </div>
      <LastEvents log={log} />
      {ended && (
        <p role="status" className="mt-2 border-l-4 border-accent pl-3">
          {eventText(ended)}, at {ended.time.walkS.toFixed(2)} s.{' '}
          <Link className="underline" to={`/c/${id}/trace/${walkId}`}>
            Its trace
          </Link>
        </p>
      )}
      {trace && <FilmFiles trace={trace} reel={reel} path={path as Path} label={product.name} />}
    </>
  );
}
