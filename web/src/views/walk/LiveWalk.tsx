import { Asked, type Asking } from './Asked.tsx';
import { LiveOptions } from './LiveOptions.tsx';
import { useOptions } from './useOptions.ts';
import { LogKeys } from './LogKeys.tsx';
import type { Comparison } from '@urvek/contract';
import {
  kindOf,
  satelliteReceiver,
  SCRIPT_TEXT,
  scriptStep,
  hopsOf,
  isNearer,
  placedNames,
  type DistanceReading,
  type EventBodies,
  type EventKind,
  type Path,
  type Tick,
} from '@urvek/core';
import { type TapeGround, travelledGround, walkLanes } from '@urvek/draw';
import { simulatedGearOf, type PlannedWalk } from '@urvek/study';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Heading } from '../../components/Heading.tsx';
import { Length } from '../../components/Length.tsx';
import { Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useClockComparison } from '../../field/clocks.ts';
import type { KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { Announce } from './Announce.tsx';
import { Keys } from './Ask.tsx';
import { Letters } from './keyLetters.ts';
import { ClearedUnder } from './ClearedUnder.tsx';
import { Clock } from './Clock.tsx';
import { EndBar } from './EndBar.tsx';
import { Hops } from './Hops.tsx';
import { KeptCount } from './KeptCount.tsx';
import { LastEvents } from './LastEvents.tsx';
import { Saved } from './Saved.tsx';
import { wheelReading } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import { confirmKept, say, useAwake, useGaps, useLocation } from './device.ts';
import { logActions } from './logActions.ts';
import { ModePanel } from './modes.tsx';
import { nextPost } from './nextPost.ts';
import type { Log } from './modesParts.tsx';
import { saveLog } from './saveLog.ts';
import { GearPanel } from './status.tsx';
import { useGear } from './useGear.ts';
import { Unkept } from './Unkept.tsx';
import { useTraceSoon } from './useTraceSoon.ts';
import { useWalkSession } from './useWalkSession.ts';

/** Rarely wanted, and it brings a picture of a code along. */
const SecondDevice = lazy(() => import('./SecondDevice.tsx').then((m) => ({ default: m.SecondDevice })));

/** Its connections and channels come along when it is wanted. */
const Listen = lazy(() => import('./Listen.tsx').then((m) => ({ default: m.Listen })));
const ProbeStrip = lazy(() => import('./ProbeStrip.tsx').then((m) => ({ default: m.ProbeStrip })));

const NOT_KEPT =
  'This was not kept: Urvek failed on it. All before it is safe. Note it, and save the log as a file.';
/** Until the beginning is on the device, it is looked for so often. */
const LOOK_AGAIN_MS = 100;
/** So far ahead of a checkpoint one is told to mark it. */
const PROMPT_M = 2;

/** The kind of a walk of which nothing is known yet: its words are the general ones. */
const UNKNOWN_KIND = 'accessory';

const groundWithout = (farthestM: number): TapeGround => ({
  lengthM: Math.max(50, 1.25 * farthestM),
  legs: [],
  obstructions: [],
  checkpoints: [],
});

/**
 * A walk under way: what is noticed is pressed, what is pressed is kept. `subject` is absent on a walk
 * begun with nothing set up.
 */
export function LiveWalk({
  comparison,
  subject,
  kept,
}: {
  comparison: Comparison | undefined;
  subject: PlannedWalk | undefined;
  kept: KeptWalk;
}) {
  const navigate = useNavigate();
  const { session, log, state, ready, unkept, cleared } = useWalkSession(kept.id);
  // The walk stands on the device a moment before its beginning does.
  const unbegun = ready && !state.begin;
  useEffect(() => {
    if (!unbegun) return;
    const timer = setInterval(() => void session.reread(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [unbegun, session]);
  const [options, setOptions] = useOptions();
  const { sun, sound, speak, guided, locating, keys, leftHand, letters } = options;
  const [asking, setAsking] = useState<Asking>();
  const [error, setError] = useState<Error>();
  const [openCount, setOpenCount] = useState<EventBodies['hits']>();
  const [settled, setSettled] = useState(0);
  const [joining, setJoining] = useState(false);
  const [probing, setProbing] = useState(false);
  const [listening, setListening] = useState(false);
  const [saved, setSaved] = useState<{ what: string; ms: number }>();
  const rateNow = useRef(1);
  const soundNow = useRef(sound);
  useEffect(() => {
    soundNow.current = sound;
  }, [sound]);
  useAwake();

  // The whole page, head and tape too.
  useEffect(() => {
    document.documentElement.classList.toggle('sun', sun);
    return () => document.documentElement.classList.remove('sun');
  }, [sun]);

  // On a phone the stages make room for the buttons while one walks.
  useEffect(() => {
    document.body.dataset.walking = '';
    return () => {
      delete document.body.dataset.walking;
    };
  }, []);

  const add = useCallback(
    async <K extends EventKind>(
      kind: K,
      body: EventBodies[K],
      walkS: number,
      inputMs = performance.now(),
      automatic = false,
    ): Promise<void> => {
      try {
        await session.append(kind, body, eventTime(walkS, rateNow.current, inputMs));
        setError(undefined);
        if (!automatic) {
          setSaved({ what: kind, ms: performance.now() - inputMs });
          confirmKept(soundNow.current);
        }
      } catch (cause) {
        setError(new Error(NOT_KEPT, { cause }));
      }
      void sync();
    },
    [session],
  );
  // On a path with a coordinate the simulated gear has a satellite receiver too.
  const receiver = useMemo(
    () =>
      subject?.path.fixedEnd ? satelliteReceiver(subject.path, subject.path.fixedEnd, kept.id) : undefined,
    [subject, kept.id],
  );
  const onWheel = useCallback(
    (tick: Tick) => {
      void add('mark', { reading: wheelReading(tick) }, tick.tS, undefined, true);
      if (receiver) void add('fix', receiver(tick.travelledM, tick.tS), tick.tS, undefined, true);
    },
    [add, receiver],
  );
  const gear = useGear(ready ? log : undefined, state, subject, onWheel);
  const { tick } = gear;
  useGaps((fromWallMs) => {
    if (!gear.simulated) void add('gap', { fromWallMs }, gear.walkS(performance.now()), undefined, true);
  });
  // Once another device is expected, this one's clock is compared too.
  const compared = joining || state.clocks > 0;
  useClockComparison(
    compared,
    ({ inputMs, ...body }) => void add('clock', body, gear.walkS(inputMs), inputMs, true),
  );
  const location = useLocation(
    locating,
    (fix, inputMs) => void add('fix', fix, gear.walkS(inputMs), inputMs, true),
  );

  const path = subject?.path;
  const trace = useTraceSoon(log, state.entries, path as Path | undefined);
  const lanes = useMemo(() => (trace ? walkLanes(trace, 'out', 'live') : []), [trace]);
  const farthestM = trace?.fixes.reduce((most, f) => Math.max(most, f.travelledM), 0) ?? 0;
  const ground = useMemo(
    () => (path ? travelledGround(path as Path) : groundWithout(farthestM)),
    [path, farthestM],
  );
  const hereM = tick?.wheelM ?? state.marksM.at(-1);
  const { turned } = state;
  const next = path?.checkpoints.find((c) => hereM !== undefined && !turned && c.atM >= hereM - 0.5);
  const due = next && hereM !== undefined && next.atM - hereM <= PROMPT_M ? next : undefined;
  const dueName = due?.name;
  useEffect(() => {
    if (speak && dueName !== undefined) say(`mark ${dueName} now`);
  }, [speak, dueName]);
  const step = guided && ready ? scriptStep(log) : undefined;
  useEffect(() => {
    if (speak && step) say(SCRIPT_TEXT[step]);
  }, [speak, step]);

  if (!ready || !state.begin) return null;
  const kind = kindOf(subject?.product.kindId ?? UNKNOWN_KIND);
  const mode = state.begin.body.mode ?? 'continuous';
  const graded = state.grade;
  const lost = graded === 1;
  const post = path && nextPost(path.checkpoints, { hereM, markedM: state.marksM.at(-1), turned, tick });
  const { undoable, shared } = state;

  const press =
    <K extends EventKind>(k: K, body: EventBodies[K]) =>
    (inputMs: number): void =>
      void add(k, body, gear.walkS(inputMs), inputMs);
  const logNow: Log = (k, body) => press(k, body)(performance.now());
  const mark = (reading: DistanceReading | undefined, name?: string): void =>
    logNow('mark', {
      ...(reading ? { reading: { ...reading, pressed: true } } : {}),
      ...(name === undefined ? {} : { name }),
    });
  const here = state.here;
  /** A distance that falls is asked about; one that is typed at a stand of unknown place gives it its place. */
  const onMark = (reading: DistanceReading | undefined, name?: string): void => {
    const before = state.lastReading;
    if (reading && state.standing && here && !here.body.reading)
      logNow('correction', {
        amends: { deviceId: here.deviceId, seq: here.seq },
        action: 'remeasure',
        reason: 'the distance of this stand, entered while standing there',
        reading: { ...reading, pressed: true },
      });
    else if (reading && before && !turned && !state.begin?.body.inwards && isNearer(before, reading))
      setAsking({ nearer: reading });
    else mark(reading, name);
  };
  const finish = async (reason: EventBodies['end']['reason']): Promise<void> => {
    const walkS = gear.walkS(performance.now());
    gear.stop();
    await add(
      'end',
      { reason, ...(tick ? { reading: wheelReading(tick) } : {}) },
      Math.max(walkS, state.lastS) + 0.01,
    );
    window.scrollTo(0, 0);
    if (comparison) await navigate(`/c/${comparison.id}/walk`, { state: { walked: kept.id } });
    else await navigate(`/file/${kept.id}`);
  };

  /** Marks a post by its place on the path. */
  const markPost = (at: { readonly name: string; readonly atM: number }, inputMs: number): void =>
    press('mark', {
      reading: { travelledM: at.atM, method: path?.distanceMethod ?? 'by eye', pressed: true },
      name: at.name,
    })(inputMs);
  const actions: Actions = {
    ...logActions({ state, now: session.expected, press, ask: setAsking }),
    m: (inputMs) => {
      if (post) markPost(post, inputMs);
      else if (tick) press('mark', { reading: { ...wheelReading(tick), pressed: true } })(inputMs);
      else setAsking('mark');
    },
    s: (inputMs) => {
      if (state.standing) press('goOn', {})(inputMs);
      else
        press('mark', {
          stand: true,
          ...(tick ? { reading: { ...wheelReading(tick), pressed: true } } : {}),
        })(inputMs);
    },
    t: (inputMs) => {
      if (turned) return;
      press('turn', tick ? { reading: wheelReading(tick) } : {})(inputMs);
      gear.turn();
    },
    j: (inputMs) => {
      void (async () => {
        if (!lost) await add('dropoutBegin', {}, gear.walkS(inputMs), inputMs);
        await finish('link failed');
      })();
    },
    u: () => {
      void session
        .undo((walkS) => eventTime(walkS, rateNow.current, performance.now()))
        .then(
          () => setError(undefined),
          (cause: unknown) => setError(new Error(NOT_KEPT, { cause })),
        )
        .then(() => sync());
    },
  };
  return (
    <Letters value={letters}>
      <main
        id="work"
        className={`mx-auto w-full max-w-[1240px] px-3 py-2 ${leftHand ? 'left-hand' : ''} ${keys ? '' : 'no-keys'}`}
      >
        <Keys actions={asking || !keys ? {} : actions} />
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <Heading title={`Walking: ${subject?.product.name ?? 'now'}`}>
            {subject?.product.name ?? 'Walk now'}
          </Heading>
          <p>
            {path?.name ?? 'product and path are asked afterwards'},{' '}
            {turned ? 'on the way back' : 'on the way out'}
          </p>
          <KeptCount walkId={kept.id} />
          <Saved saved={unkept === 0 ? saved : undefined} />
          <LiveOptions
            options={options}
            onChange={setOptions}
            onSecondDevice={() => setJoining(true)}
            onProbe={() => setProbing(true)}
            onListen={() => setListening(true)}
            simulated={gear.simulated}
            onRate={(rate) => {
              rateNow.current = rate;
              gear.setRate(rate);
            }}
            location={location.text}
          />
        </div>
        <Announce log={log} unkept={unkept} />
        <Unkept unkept={unkept} header={kept.header} log={log} />
        {cleared && <ClearedUnder header={kept.header} log={log} />}
        {error && (
          <>
            <Trouble error={error} />
            <button type="button" className="btn" onClick={() => saveLog(kept.header, log)}>
              Save the log as a file
            </button>
          </>
        )}
        {joining && (
          <Suspense>
            <SecondDevice
              walkId={kept.id}
              shared={shared}
              onShared={() => logNow('shared', { count: shared + 1 })}
              onClose={() => setJoining(false)}
            />
          </Suspense>
        )}
        {listening && (
          <Suspense>
            <Listen
              session={session}
              add={(kind, body, inputMs, automatic) =>
                void add(kind, body, gear.walkS(inputMs), inputMs, automatic)
              }
            />
          </Suspense>
        )}
        {probing && (
          <Suspense>
            <ProbeStrip
              add={logNow}
              simulated={gear.simulated}
              tick={tick}
              widthMHz={subject?.rig.widthMHz}
              atM={hereM}
              moving={!state.standing}
              driven={mode === 'drive'}
              onClose={() => setProbing(false)}
            />
          </Suspense>
        )}
        <div className="sheet mt-2 px-3 py-1">
          <Tape
            title="The walk so far, on the tape"
            ground={ground}
            measure="travelled"
            lanes={lanes}
            hereM={hereM}
          />
        </div>
        {step && (
          <p role="status" className="mt-1 border-l-4 border-accent pl-3" data-step={step}>
            <strong>{step}:</strong> {SCRIPT_TEXT[step]}
          </p>
        )}
        {due && (
          <p role="status" className="mt-1 border-l-4 border-accent pl-3 font-bold">
            Mark {due.name} now (<Length m={due.atM} />)
          </p>
        )}
        <div className="mt-2 grid gap-2 md:grid-cols-[300px_1fr]">
          {gear.simulated ? (
            <GearPanel
              tick={tick}
              watched={kind.watched}
              words={kind.words}
              simulatedGear={subject && simulatedGearOf(subject.product, subject.rig)}
              bothWays={kind.bothWays}
              onLevel={(value) =>
                logNow('measured', {
                  quantity: 'level',
                  direction: kind.direction,
                  ...(value === undefined ? {} : { value }),
                })
              }
            />
          ) : (
            <Clock
              seconds={gear.clockS}
              hereM={hereM}
              watched={subject ? kind.watched : 'sound, picture or answer'}
            />
          )}
          <div className="grid content-start gap-2">
            <Letters value={undefined}>
              <Asked
                asking={asking}
                kind={kind}
                marksM={state.marksM}
                log={logNow}
                usual={state.lastReading?.method ?? path?.distanceMethod ?? 'by eye'}
                measured={state.lastMeasured}
                points={path ? placedNames(path) : []}
                beside={
                  comparison &&
                  subject && {
                    setup: comparison.setup,
                    walked: { productId: subject.product.id, rigId: subject.rig.id },
                  }
                }
                open={openCount}
                onMark={onMark}
                onTurned={(reading, back) => {
                  if (back) actions.t?.(performance.now());
                  mark(reading);
                }}
                posts={path?.checkpoints.map((c) => c.name) ?? []}
                onPost={(name, inputMs) => {
                  const at = path?.checkpoints.find((c) => c.name === name);
                  if (at) markPost(at, inputMs);
                }}
                onCounted={() => {
                  setOpenCount(undefined);
                  setSettled((n) => n + 1);
                }}
                onEnd={(reason) => void finish(reason)}
                onClose={() => setAsking(undefined)}
              />
            </Letters>
            {/* Kept while a question stands in its place: a count is not lost by a look elsewhere. */}
            <div className="grid content-start gap-2" hidden={asking !== undefined}>
              <div className="contents" data-log>
                <ModePanel
                  key={settled}
                  mode={mode}
                  log={log}
                  path={path}
                  kind={kind}
                  add={logNow}
                  mark={(atM, name) =>
                    mark({ travelledM: atM, method: path?.distanceMethod ?? 'by eye' }, name)
                  }
                  onOpenCount={setOpenCount}
                />
              </div>
              <Hops
                hops={subject ? hopsOf(subject.rig) : []}
                lost={lost}
                onLost={(hop) => logNow('dropoutBegin', hop === undefined ? {} : { hop })}
              />
              <LogKeys
                actions={actions}
                mode={mode}
                words={kind.words}
                grade={graded}
                post={post}
                hasWheel={tick !== undefined}
                turned={turned}
                standing={state.standing}
                hold={options.hold}
                onDropout={press('dropoutBegin', {})}
                onBack={press('dropoutEnd', {})}
                onOtherPost={
                  (path?.checkpoints.length ?? 0) > 1 ? (postMs) => setAsking({ postMs }) : undefined
                }
              />
              <EndBar actions={actions} canUndo={undoable !== undefined} />
            </div>
          </div>
        </div>
        {mode === 'drive' && (
          <p className="mt-1 text-[0.87rem]">
            A passenger logs, or nobody reads while the vehicle moves: one key, spoken prompts.
          </p>
        )}
        <LastEvents log={log} />
      </main>
    </Letters>
  );
}
