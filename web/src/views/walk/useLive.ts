import type { Comparison } from '@urvek/contract';
import {
  kindOf,
  satelliteReceiver,
  type DistanceReading,
  type EventBodies,
  type Kind,
  type LiveState,
  type Tick,
  type WalkEvent,
  type WalkMode,
} from '@urvek/core';
import type { PlannedWalk } from '@urvek/study';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useClockComparison } from '../../field/clocks.ts';
import type { KeptWalk } from '../../field/fieldLog.ts';
import type { WalkSession } from '../../field/walkSession.ts';
import type { Asking } from './Asked.tsx';
import { wheelReading } from './controls.tsx';
import { useAwake, useGaps, useLocation } from './device.ts';
import type { PressAt } from './logActions.ts';
import type { Log } from './modesParts.tsx';
import { useEntries, type Entries } from './useEntries.ts';
import { useGear, type Gear } from './useGear.ts';
import { useOptions, type Options } from './useOptions.ts';
import { useWalkSession } from './useWalkSession.ts';
import { whereNow } from './whereNow.ts';

/** The kind of a walk of which nothing is known yet: its words are the general ones. */
const UNKNOWN_KIND = 'accessory';
/** Until the beginning is on the device, it is looked for so often. */
const LOOK_AGAIN_MS = 100;

/** What stands beside the keys when it is wanted. */
export type Extra = 'second device' | 'probe' | 'listen' | 'watch' | 'serial';

/** A walk under way, as its screen needs it. */
export interface Live {
  readonly comparison: Comparison | undefined;
  /** Absent on a walk begun with nothing set up. */
  readonly subject: PlannedWalk | undefined;
  readonly kept: KeptWalk;
  readonly session: WalkSession;
  readonly log: readonly WalkEvent[];
  readonly state: LiveState;
  /** Its beginning was read. */
  readonly begun: boolean;
  readonly unkept: number;
  readonly cleared: boolean;
  readonly kind: Kind;
  readonly mode: WalkMode;
  readonly gear: Gear;
  readonly location: string;
  readonly where: ReturnType<typeof whereNow>;
  readonly options: Options;
  change(by: Partial<Options>): void;
  readonly entries: Entries;
  /** Logs at the moment of an input, or now. */
  readonly press: PressAt;
  readonly logNow: Log;
  /** Marks the place where one stands. */
  mark(reading: DistanceReading | undefined, name?: string): void;
  /** Marks a post by its place on the path. */
  markPost(post: { readonly name: string; readonly atM: number }, inputMs: number): void;
  end(reason: EventBodies['end']['reason']): Promise<void>;
  readonly asking: Asking;
  ask(asking: Asking): void;
  readonly extras: ReadonlySet<Extra>;
  open(extra: Extra): void;
  close(extra: Extra): void;
}

export function useLive(
  comparison: Comparison | undefined,
  subject: PlannedWalk | undefined,
  kept: KeptWalk,
): Live {
  const navigate = useNavigate();
  const { session, log, state, ready, unkept, cleared } = useWalkSession(kept.id);
  // The walk stands on the device a moment before its beginning does.
  const unbegun = ready && !state.begin;
  useEffect(() => {
    if (!unbegun) return;
    const timer = setInterval(() => void session.reread(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [unbegun, session]);
  const [options, change] = useOptions();
  const [asking, ask] = useState<Asking>();
  const [extras, setExtras] = useState<ReadonlySet<Extra>>(new Set());
  const entries = useEntries(session, options.sound);
  const { add } = entries;
  useAwake();

  const path = subject?.path;
  // On a path with a coordinate the simulated gear has a satellite receiver too.
  const receiver = useMemo(
    () => (path?.fixedEnd ? satelliteReceiver(path, path.fixedEnd, kept.id) : undefined),
    [path, kept.id],
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
  useClockComparison(
    extras.has('second device') || state.clocks > 0,
    ({ inputMs, ...body }) => void add('clock', body, gear.walkS(inputMs), inputMs, true),
  );
  const location = useLocation(
    options.locating,
    (fix, inputMs) => void add('fix', fix, gear.walkS(inputMs), inputMs, true),
  );

  const press: PressAt = (kind, body) => (inputMs) => void add(kind, body, gear.walkS(inputMs), inputMs);
  const logNow: Log = (kind, body) => press(kind, body)(performance.now());
  return {
    ...{ comparison, subject, kept, session, log, state, unkept, cleared, gear, entries, press, logNow },
    ...{ options, change, asking, ask, extras },
    begun: ready && state.begin !== undefined,
    kind: kindOf(subject?.product.kindId ?? UNKNOWN_KIND),
    mode: state.begin?.body.mode ?? 'continuous',
    location: location.text,
    where: whereNow(path, state, tick),
    open: (extra) => setExtras((now) => new Set([...now, extra])),
    close: (extra) => setExtras((now) => new Set([...now].filter((e) => e !== extra))),
    mark: (reading, name) =>
      logNow('mark', {
        ...(reading ? { reading: { ...reading, pressed: true } } : {}),
        ...(name === undefined ? {} : { name }),
      }),
    markPost: (at, inputMs) =>
      press('mark', {
        reading: { travelledM: at.atM, method: path?.distanceMethod ?? 'by eye', pressed: true },
        name: at.name,
      })(inputMs),
    end: async (reason) => {
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
    },
  };
}
