import { coordinatesOf, placeOnRoute } from '../geometry/fromCoordinates.ts';
import type { Path } from '../geometry/path.ts';
import type { Direction } from '../grade/direction.ts';
import { stateOf, type Grade, type LinkState } from '../grade/grade.ts';
import { effectiveLog } from '../log/effectiveLog.ts';
import type { EndReason, EventBodies, EventOf, Reading, ReconnectWay, WalkEvent } from '../log/event.ts';
import { joinLogs } from '../log/joinLogs.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import {
  satelliteUncertaintyM,
  travelledOf,
  uncertaintyOf,
  type DistanceMethod,
} from '../quantity/distanceMethod.ts';
import { WALKING_MPS } from '../quantity/pace.ts';
import { observationsOf } from './observation.ts';
import { positionAt, type Fix, type Position } from './track.ts';

/** A stretch of one grade. Positions are absent where no mark tells them. */
export interface Stretch {
  readonly fromS: number;
  readonly toS: number;
  readonly grade: Grade;
  readonly state: LinkState;
  readonly from: Position | undefined;
  readonly to: Position | undefined;
  /**
   * The last place before it at which one looked: `from` itself in a continuous walk, the stand before when
   * calling.
   */
  readonly lookedBefore: Position | undefined;
  /** On the way back. */
  readonly returning: boolean;
}

export interface Reconnection {
  readonly atS: number;
  readonly how: ReconnectWay;
  /** Seconds since the loss it ended; absent when none was logged. */
  readonly afterS: number | undefined;
  readonly position: Position | undefined;
}

/** A walk, worked out from its log: derived, never stored. */
export interface Trace {
  readonly begin: EventOf<'begin'>;
  readonly direction: Direction;
  readonly fixes: readonly Fix[];
  /** How well the watching device's clock is known on the walk's: 0 where it is the one that began. */
  readonly clockUncertaintyS: number;
  /** By which methods the marks were come by. */
  readonly methods: readonly DistanceMethod[];
  readonly stretches: readonly Stretch[];
  readonly reconnections: readonly Reconnection[];
  readonly notes: readonly { readonly atS: number; readonly text: string }[];
  readonly gaps: number;
  readonly turnS: number | undefined;
  readonly endS: number;
  /** Absent while the walk goes on. */
  readonly endReason: EndReason | undefined;
  /** What instruments read at stands, presses and answers, each where it was. */
  readonly measured: readonly (EventBodies['measured'] & Placed)[];
  readonly hits: readonly (EventBodies['hits'] & Placed)[];
  readonly calls: readonly (EventBodies['call'] & Placed)[];
}

interface Placed {
  readonly atS: number;
  readonly position: Position | undefined;
}

export interface TraceOptions {
  /** The path: its counters' zero, and its coordinates where device locations are to be placed. */
  readonly path?: Pick<Path, 'legs' | 'startOffsetM' | 'fixedEnd' | 'checkpoints'>;
  /** Which way is traced; that of the begin event otherwise. */
  readonly direction?: Direction;
  /** Only for what the log itself does not say. */
  readonly delay?: OperatorDelay;
  /** Whose ear or eye: a device that joined; the one that began the walk otherwise. */
  readonly watcher?: string;
}

/** Logged by whoever watches; with two devices, each has its own. */
const WATCHED = new Set<WalkEvent['kind']>(['grade', 'dropoutBegin', 'dropoutEnd', 'reconnected']);

/**
 * The events of each kind, in their order, sorted out in one pass: a log is long, and most of it is of one
 * kind.
 */
function byKind(
  events: readonly WalkEvent[],
): <K extends WalkEvent['kind']>(kind: K) => readonly EventOf<K>[] {
  const lists = new Map<string, WalkEvent[]>();
  for (const event of events) {
    const list = lists.get(event.kind);
    if (list) list.push(event);
    else lists.set(event.kind, [event]);
  }
  return <K extends WalkEvent['kind']>(kind: K) =>
    (lists.get(kind) ?? []) as unknown as readonly EventOf<K>[];
}

/** Undefined until the walk has begun. */
export function traceWalk(
  given: readonly WalkEvent[],
  { path, direction: wanted, delay: usual, watcher }: TraceOptions = {},
): Trace | undefined {
  const { log, joined } = joinLogs(given);
  const beganOn = log.find((e) => e.kind === 'begin')?.deviceId;
  const others = new Set(joined.map((j) => j.deviceId));
  const heard = (e: WalkEvent): boolean =>
    !WATCHED.has(e.kind) ||
    (watcher === undefined || watcher === beganOn ? !others.has(e.deviceId) : e.deviceId === watcher);
  const events =
    others.size === 0 && watcher === undefined ? effectiveLog(log) : effectiveLog(log).filter(heard);
  const of = byKind(events);
  const [begin] = of('begin');
  if (!begin) return undefined;
  const delay = begin.body.delay ?? usual;
  const direction = wanted ?? begin.body.direction;
  const [end, turn] = [of('end').at(-1), of('turn').at(-1)];
  // In order of the walk's clock: the last event is the latest.
  const lastS = end?.time.walkS ?? (events.at(-1) as WalkEvent).time.walkS;
  const fixes = fixesOf(
    [...of('begin'), ...of('mark'), ...of('turn'), ...of('end'), ...of('fix')],
    delay,
    path,
  );
  const grades = gradeChanges(
    events,
    begin,
    lastS,
    delay,
    direction,
    watcher !== undefined || direction === begin.body.direction,
  );
  const placed = <K extends 'measured' | 'hits' | 'call'>(kind: K) =>
    (of(kind) as readonly WalkEvent[]).map((e) => ({
      ...(e.body as EventBodies[K]),
      atS: e.time.walkS,
      position: positionAt(fixes, e.time.walkS),
    }));
  return {
    begin,
    direction,
    fixes,
    clockUncertaintyS: joined.find((j) => j.deviceId === watcher)?.uncertaintyS ?? 0,
    methods: [
      ...new Set([...of('mark'), ...of('turn'), ...of('end')].flatMap((e) => readingOf(e)?.method ?? [])),
      ...(of('fix').length > 0 ? ['satellite' as const] : []),
    ].filter((m, i, all) => all.indexOf(m) === i),
    stretches: stretchesOf(grades.changes, fixes, turn?.time.walkS, lastS),
    reconnections: grades.reconnections.map((r) => ({ ...r, position: positionAt(fixes, r.atS) })),
    notes: of('note').map((e) => ({ atS: e.time.walkS, text: e.body.text })),
    gaps: of('gap').length,
    turnS: turn?.time.walkS,
    endS: lastS,
    endReason: end?.body.reason,
    measured: placed('measured'),
    hits: placed('hits'),
    calls: placed('call').filter((c) => c.direction === direction),
  };
}

/**
 * The directions that a log speaks of: that of its begin event, and every other in which something was
 * called or read.
 */
export function directionsOf(given: readonly WalkEvent[]): Direction[] {
  const { log, joined } = joinLogs(given);
  const others = new Set(joined.map((j) => j.deviceId));
  const events = effectiveLog(log).filter((e) => !others.has(e.deviceId) || !WATCHED.has(e.kind));
  const begin = events.find((e) => e.kind === 'begin');
  if (!begin) return [];
  const seen = observationsOf(events, begin.body.direction).map((o) => o.direction);
  // Where a joined device watches it, silence of the first is not a clean link: it only says where one is.
  const watched =
    events.some((e) => e.kind === 'grade' || e.kind === 'dropoutBegin') ||
    (seen.length === 0 && !joined.some((j) => j.direction === begin.body.direction));
  return [...new Set([...(watched ? [begin.body.direction] : []), ...seen])];
}

/**
 * A satellite fix counts as a mark only when it is better than the step between checkpoints (or this,
 * without any).
 */
const USUAL_STEP_M = 20;

function fixesOf(
  events: readonly WalkEvent[],
  delay: OperatorDelay | undefined,
  path: TraceOptions['path'],
): Fix[] {
  const located = path && locator(path);
  const fixes = events.flatMap((event): Fix[] => {
    if (event.kind === 'fix') return located?.(event) ?? [];
    const reading = readingOf(event);
    if (!reading) return [];
    const timingM = lagOf(event, 0, delay).uncertaintyS * WALKING_MPS;
    return [
      {
        atS: event.time.walkS,
        travelledM: travelledOf(reading, path?.startOffsetM),
        uncertaintyM: Math.hypot(uncertaintyOf(reading), timingM),
      },
    ];
  });
  // Of two readings at one moment the better one counts.
  fixes.sort((a, b) => a.atS - b.atS || a.uncertaintyM - b.uncertaintyM);
  return fixes.filter((f, i) => f.atS !== fixes[i - 1]?.atS);
}

/** Snaps device locations to the route; those too coarse, or off it, are left out. */
function locator({
  legs,
  fixedEnd,
  checkpoints,
}: NonNullable<TraceOptions['path']>): ((event: EventOf<'fix'>) => Fix[]) | undefined {
  if (!fixedEnd) return undefined;
  const route = coordinatesOf({ legs }, fixedEnd);
  const gaps = checkpoints
    .slice(1)
    .map((c, i) => c.atM - (checkpoints[i]?.atM ?? 0))
    .filter((m) => m > 0);
  const stepM = gaps.length > 0 ? Math.min(...gaps) : USUAL_STEP_M;
  return ({ body, time }) => {
    const uncertaintyM = satelliteUncertaintyM(body.accuracyM);
    const { travelledM, offM } = placeOnRoute(route, body);
    return uncertaintyM <= stepM && offM <= 3 * uncertaintyM
      ? [{ atS: time.walkS, travelledM, uncertaintyM }]
      : [];
  };
}

export const readingOf = (event: WalkEvent): Reading | undefined =>
  event.kind === 'begin' || event.kind === 'mark' || event.kind === 'turn' || event.kind === 'end'
    ? event.body.reading
    : undefined;

interface Change {
  readonly atS: number;
  readonly grade: Grade;
  readonly lookedBeforeS: number;
}

function gradeChanges(
  events: readonly WalkEvent[],
  begin: EventOf<'begin'>,
  lastS: number,
  delay: OperatorDelay | undefined,
  direction: Direction,
  watched: boolean,
): { changes: Change[]; reconnections: Omit<Reconnection, 'position'>[] } {
  const startS = begin.time.walkS;
  const changes: Change[] = [{ atS: startS, grade: begin.body.baselineGrade, lookedBeforeS: startS }];
  const reconnections: Omit<Reconnection, 'position'>[] = [];
  let now: Grade = begin.body.baselineGrade;
  let beforeLoss: Grade = now;
  let lostS: number | undefined;
  const become = (atS: number, grade: Grade, lookedBeforeS = atS): void => {
    if (grade === now) return;
    if (grade === 1) [beforeLoss, lostS] = [now, atS];
    now = grade;
    changes.push({ atS, grade, lookedBeforeS });
  };
  // What is noticed while walking belongs to the direction that its device watches.
  const seen = new Map(
    observationsOf(events, begin.body.direction)
      .filter((o) => o.direction === direction)
      .map((o) => [o.atS, o]),
  );
  let lookedS = startS;
  for (const event of events) {
    const observation = seen.size === 0 ? undefined : seen.get(event.time.walkS);
    if (observation && (event.kind === 'call' || event.kind === 'hits' || event.kind === 'measured')) {
      become(observation.atS, observation.grade, lookedS);
      lookedS = observation.atS;
      continue;
    }
    if (!watched || (event.kind === 'grade' && event.body.grade === now)) continue;
    const atS = Math.min(
      lastS,
      Math.max(startS, event.time.walkS - lagOf(event, begin.body.playoutDelayS, delay).lagS),
    );
    if (event.kind === 'grade') become(atS, event.body.grade);
    else if (event.kind === 'dropoutBegin') become(atS, 1);
    else if (event.kind === 'dropoutEnd' && now === 1) become(atS, restored(beforeLoss));
    else if (event.kind === 'reconnected') {
      reconnections.push({
        atS,
        how: event.body.how,
        afterS: now === 1 && lostS !== undefined ? atS - lostS : undefined,
      });
      if (now === 1) become(atS, restored(beforeLoss));
    } else if (event.kind === 'end' && event.body.reason === 'link failed')
      become(lastS, 1, seen.size > 0 ? lookedS : lastS);
  }
  return { changes, reconnections };
}

/**
 * A link that was silent from the start has no grade to go back to: what is known is that something comes
 * through.
 */
const restored = (before: Grade): Grade => (before === 1 ? 2 : before);

function stretchesOf(
  changes: readonly Change[],
  fixes: readonly Fix[],
  turnS: number | undefined,
  lastS: number,
): Stretch[] {
  const cut: Change[] = changes.flatMap((change, i) => {
    const untilS = changes[i + 1]?.atS ?? lastS;
    return turnS !== undefined && change.atS < turnS && turnS < untilS
      ? [change, { atS: turnS, grade: change.grade, lookedBeforeS: turnS }]
      : [change];
  });
  return cut.map((change, i) => {
    const toS = cut[i + 1]?.atS ?? lastS;
    return {
      fromS: change.atS,
      toS,
      grade: change.grade,
      state: stateOf(change.grade),
      from: positionAt(fixes, change.atS),
      to: positionAt(fixes, toS) ?? lastMarked(fixes, change.atS, toS),
      lookedBefore: positionAt(fixes, change.lookedBeforeS),
      returning: turnS !== undefined && change.atS >= turnS,
    };
  });
}

/** What ends beyond the last mark is known up to that mark. */
function lastMarked(fixes: readonly Fix[], fromS: number, toS: number): Position | undefined {
  const last = fixes.findLast((f) => f.atS >= fromS && f.atS <= toS);
  return last && positionAt(fixes, last.atS);
}
