import type { Direction } from '../grade/direction.ts';
import { fitClock, type ClockFit } from './clock.ts';
import type { EventOf, WalkEvent } from './event.ts';
import { DEFAULT_DELAY } from './lag.ts';

/** How a second device's log came on the time base of the first. */
export interface JoinedDevice {
  readonly deviceId: string;
  readonly role: 'walker' | 'base';
  /** The direction that it watches. */
  readonly direction: Direction;
  readonly by: 'clocks compared' | 'shared moment' | 'wall clocks';
  readonly uncertaintyS: number;
}

export interface JoinedLog {
  /** All events on the walk's clock, those of other devices moved there. */
  readonly log: readonly WalkEvent[];
  readonly joined: readonly JoinedDevice[];
}

/** What two unadjusted phones differ by, s (common practice: they set themselves by a network). */
const WALL_CLOCK_S = 2;

const monotonicMs = ({ time }: WalkEvent): number => time.originMs + time.inputMs;

/**
 * Brings the events of every device that joined onto the walk's clock. In order of trust: both compared
 * their clocks with the base; both pressed at a shared moment; else their wall clocks are taken, with what
 * phones usually differ by. A device that did not join (a correction at a desk) is left as it is.
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

interface Bridge {
  readonly by: JoinedDevice['by'];
  toOwnMs(theirMs: number): number;
  uncertaintyMs(theirMs: number): number;
}

function bridgeBetween(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge {
  const [a, b] = [clockOf(theirs), clockOf(own)];
  if (a && b) return byClocks(a, b);
  return bySharedMoments(theirs, own) ?? byWallClocks(theirs, own);
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

function byWallClocks(theirs: readonly WalkEvent[], own: readonly WalkEvent[]): Bridge {
  const wall = (events: readonly WalkEvent[]): number => {
    const [first] = events;
    return first ? first.time.wallMs - monotonicMs(first) : 0;
  };
  const offset = wall(theirs) - wall(own);
  return { by: 'wall clocks', toOwnMs: (ms) => ms + offset, uncertaintyMs: () => 1000 * WALL_CLOCK_S };
}
