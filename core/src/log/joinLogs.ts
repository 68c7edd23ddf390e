import type { Direction } from '../grade/direction.ts';
import { fitClock, type ClockFit } from './clock.ts';
import type { EventOf, WalkEvent } from './event.ts';
import { median } from '../numeric/median.ts';
import { DEFAULT_DELAY } from './lag.ts';

/** How a second device's log came on the time base of the first. */
export interface JoinedDevice {
  readonly deviceId: string;
  readonly role: 'walker' | 'base';
  /** The direction that it watches. */
  readonly direction: Direction;
  readonly by: 'clocks compared' | 'shared moment' | 'beacon' | 'wall clocks';
  readonly uncertaintyS: number;
}

export interface JoinedLog {
  /** All events on the walk's clock, those of other devices moved there. */
  readonly log: readonly WalkEvent[];
  readonly joined: readonly JoinedDevice[];
}

/** What two unadjusted phones differ by, s (common practice: they set themselves by a network). */
const WALL_CLOCK_S = 2;
/** A picture comes no later than this through a link, s (common practice). */
const MOST_LATE_S = 1;

const monotonicMs = ({ time }: WalkEvent): number => time.originMs + time.inputMs;

/**
 * Brings the events of every device that joined onto the walk's clock. In order of trust: both compared their clocks
 * with the base; both pressed at a shared moment; one read the beacon that the other showed, late by what nobody knows;
 * else their wall clocks are taken, with what phones usually differ by. A device that did not join (a correction at a
 * desk) is left as it is.
 */
export function joinLogs(log: readonly WalkEvent[]): JoinedLog {
  const begin = log.find((e) => e.kind === 'begin');
  const joins = log.filter(
    (e): e is EventOf<'joined'> => e.kind === 'joined' && e.deviceId !== begin?.deviceId,
  );
  if (!begin || joins.length === 0) return { log, joined: [] };
  const of = (deviceId: string): WalkEvent[] => log.filter((e) => e.deviceId === deviceId);
  const own = of(begin.deviceId);
  const walkClock = walkClockOf(own);
  const moved = new Map(
    joins.map((join) => {
      const theirs = of(join.deviceId);
      const bridge = bridgeBetween(theirs, own);
      const at = (event: WalkEvent): WalkEvent => ({
        ...event,
        time: { ...event.time, ...walkClock(bridge.toOwnMs(monotonicMs(event))) },
      });
      const uncertaintyS = Math.max(...theirs.map((e) => bridge.uncertaintyMs(monotonicMs(e)))) / 1000;
      return [
        join.deviceId,
        {
          events: theirs.map(at),
          joined: {
            deviceId: join.deviceId,
            role: join.body.role,
            direction: join.body.direction,
            by: bridge.by,
            uncertaintyS,
          },
        },
      ] as const;
    }),
  );
  return {
    log: [...log.filter((e) => !moved.has(e.deviceId)), ...[...moved.values()].flatMap((m) => m.events)],
    joined: [...moved.values()].map((m) => m.joined),
  };
}

/**
 * From a device's monotonic clock to the walk's: linear between its own events, by the last one's rate
 * beyond, and not before its beginning. With the rate, by which a second of reaction is told in seconds of
 * the walk.
 */
function walkClockOf(own: readonly WalkEvent[]): (ms: number) => { walkS: number; rate: number } {
  const points = own
    .map((e) => ({ ms: monotonicMs(e), walkS: e.time.walkS, rate: e.time.rate }))
    .sort((a, b) => a.ms - b.ms);
  const leastS = points[0]?.walkS ?? 0;
  return (ms) => {
    const after = points.findIndex((p) => p.ms > ms);
    const before = points[
      after === -1 ? points.length - 1 : Math.max(0, after - 1)
    ] as (typeof points)[number];
    const next = after > 0 ? points[after] : undefined;
    const walkS =
      next && next.ms > before.ms
        ? before.walkS + ((next.walkS - before.walkS) * (ms - before.ms)) / (next.ms - before.ms)
        : before.walkS + (before.rate * (ms - before.ms)) / 1000;
    return { walkS: Math.max(leastS, walkS), rate: before.rate };
  };
}

/** What is known of a device's clock, and of the walk's that began on it. */
export const WALK_CLOCK_KINDS = ['begin', 'clock', 'shared'] as const;

/** The walk's clock, as a device knows it that did not begin the walk. */
export interface WalkClockThere {
  readonly by: JoinedDevice['by'];
  /** @param ms of that device's monotonic clock, counted from its origin */
  at(ms: number): { readonly walkS: number; readonly uncertaintyS: number };
}

/**
 * The walk's clock at a device that joined, while one walks.
 * @param own what is known of the device that began the walk: its beginning, comparisons of its clock, shared moments
 * @returns undefined without a beginning
 */
export function walkClockThere(
  theirs: readonly WalkEvent[],
  own: readonly WalkEvent[],
): WalkClockThere | undefined {
  if (!own.some((e) => e.kind === 'begin')) return undefined;
  const [bridge, walkClock] = [bridgeBetween(theirs, own), walkClockOf(own)];
  return {
    by: bridge.by,
    at: (ms) => ({
      walkS: walkClock(bridge.toOwnMs(ms)).walkS,
      uncertaintyS: bridge.uncertaintyMs(ms) / 1000,
    }),
  };
}

interface Bridge {
  readonly by: JoinedDevice['by'];
  toOwnMs(theirMs: number): number;
  uncertaintyMs(theirMs: number): number;
}

function bridgeBetween(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge {
  const [a, b] = [clockOf(theirs), clockOf(own)];
  if (a && b) return byClocks(a, b);
  return bySharedMoments(theirs, own) ?? byBeacon(theirs, own) ?? byWallClocks(theirs, own);
}

const clockOf = (events: readonly WalkEvent[]): ClockFit | undefined =>
  fitClock(
    events.flatMap((e) =>
      e.kind === 'clock'
        ? [{ deviceMs: monotonicMs(e), baseMs: e.body.baseMs, halfRttMs: e.body.halfRttMs }]
        : [],
    ),
  );

function byClocks(a: ClockFit, b: ClockFit): Bridge {
  const toOwnMs = (theirMs: number): number => {
    const baseMs = theirMs + a.offsetAt(theirMs).offsetMs;
    // Near enough to look up the offset there: drift changes it by less than a tenth of a millisecond a
    // second.
    const rough = baseMs - b.meanOffsetMs;
    return baseMs - b.offsetAt(rough).offsetMs;
  };
  return {
    by: 'clocks compared',
    toOwnMs,
    uncertaintyMs: (ms) => Math.hypot(a.offsetAt(ms).uncertaintyMs, b.offsetAt(toOwnMs(ms)).uncertaintyMs),
  };
}

/** Both press at a count: the same count on both is one moment, known to both presses' scatter. */
function bySharedMoments(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge | undefined {
  const counts = (events: readonly WalkEvent[]): Map<number, number> =>
    new Map(events.flatMap((e) => (e.kind === 'shared' ? [[e.body.count, monotonicMs(e)] as const] : [])));
  const [a, b] = [counts(theirs), counts(own)];
  const pairs = [...a].flatMap(([count, ms]) =>
    b.has(count) ? [{ ms, offset: (b.get(count) as number) - ms }] : [],
  );
  if (pairs.length === 0) return undefined;
  const offset = pairs.reduce((sum, p) => sum + p.offset, 0) / pairs.length;
  const pressMs = (1000 * DEFAULT_DELAY.spreadS * Math.SQRT2) / Math.sqrt(pairs.length);
  const near = (ms: number): number => Math.min(...pairs.map((p) => Math.abs(ms - p.ms)));
  return {
    by: 'shared moment',
    toOwnMs: (ms) => ms + offset,
    uncertaintyMs: (ms) => Math.hypot(pressMs, near(ms) * 2 * 100e-6),
  };
}

/** That each was late by something is in the uncertainty, as a rectangle; the median, for a sender's clock may step. */
function byBeacon(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge | undefined {
  const [first] = own;
  if (!first) return undefined;
  const offsets = theirs.flatMap((e) =>
    e.kind === 'beacon'
      ? [monotonicMs(first) + 1000 * (e.body.sentS - first.time.walkS) - monotonicMs(e)]
      : [],
  );
  if (offsets.length === 0) return undefined;
  const offset = median(offsets) + 500 * MOST_LATE_S;
  const uncertaintyMs = (1000 * MOST_LATE_S) / Math.sqrt(12);
  return { by: 'beacon', toOwnMs: (ms) => ms + offset, uncertaintyMs: () => uncertaintyMs };
}

function byWallClocks(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge {
  const wall = (events: readonly WalkEvent[]): number => {
    const [first] = events;
    return first ? first.time.wallMs - monotonicMs(first) : 0;
  };
  const offset = wall(theirs) - wall(own);
  return { by: 'wall clocks', toOwnMs: (ms) => ms + offset, uncertaintyMs: () => 1000 * WALL_CLOCK_S };
}
