import type { Path } from '../geometry/path.ts';
import type { Direction } from '../grade/direction.ts';
import { stateOf, type Grade, type LinkState } from '../grade/grade.ts';
import { effectiveLog } from '../log/effectiveLog.ts';
import {
  STOPPING_MODES,
  type EndReason,
  type EventBodies,
  type EventOf,
  type WalkEvent,
} from '../log/event.ts';
import { joinLogs } from '../log/joinLogs.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import type { DistanceMethod } from '../quantity/distanceMethod.ts';
import { beaconLates, type BeaconLate } from './beaconLate.ts';
import { fixesOf, markedPlace } from './fixes.ts';
import { lookedDirections, looksOf, type Look } from './look.ts';
import { namedPointsOf, withKnownNames, type NamedPoint } from './namedPoint.ts';
import { changesOf, type Change, type Regained } from './noticed.ts';
import { isAtStand, standsOf, type Stand } from './stand.ts';
import { placeAt, positionAt, type Fix, type Position, type Track } from './track.ts';
import { courseOf } from './turn.ts';

/**
 * A stretch of one grade; at a stand, where between two looks nothing is known, a post: both its ends are at
 * the stand. Positions are absent where no mark tells them.
 */
export interface Stretch {
  readonly fromS: number;
  readonly toS: number;
  readonly grade: Grade;
  readonly state: LinkState;
  /** Somebody graded it; false before the first press of a walk whose beginning was not graded. */
  readonly stated: boolean;
  readonly from: Position | undefined;
  readonly to: Position | undefined;
  /**
   * The last moment before it at which one looked: its own beginning in a continuous walk, the stand before
   * when calling.
   */
  readonly lookedBeforeS: number;
  /** On the way back. */
  readonly returning: boolean;
  /** Its beginning was logged at a frame of a recording that stands still, of this length, s. */
  readonly frameS?: number;
}

/** A look with its place. */
export interface PlacedLook extends Look {
  readonly place: Position | undefined;
  readonly returning: boolean;
}

export interface Reconnection extends Regained {
  readonly position: Position | undefined;
}

/** A walk, worked out from its log: derived, never stored. */
export interface Trace extends Track {
  readonly begin: EventOf<'begin'>;
  readonly direction: Direction;
  readonly fixes: readonly Fix[];
  readonly stands: readonly Stand[];
  /** How well the watching device's clock is known on the walk's: 0 where it is the one that began. */
  readonly clockUncertaintyS: number;
  /** By which methods the marks were come by. */
  readonly methods: readonly DistanceMethod[];
  /** One looked at stands only: between them nothing is known. */
  readonly byStands: boolean;
  readonly looks: readonly PlacedLook[];
  /** In order of time: posts where one looked at stands only. */
  readonly stretches: readonly Stretch[];
  /** The same as it was pressed, whether one stood or walked: what dropouts are counted from. */
  readonly noticed: readonly Stretch[];
  readonly reconnections: readonly Reconnection[];
  readonly notes: readonly { readonly atS: number; readonly text: string }[];
  readonly named: readonly NamedPoint[];
  /** Where the walker saw the link change its band, cell or access point, and to what, where that was said. */
  readonly handOvers: readonly (Placed & { readonly to: string | undefined })[];
  readonly gaps: number;
  /** Of each loss that was pressed, the hop that was lost; absent: nobody said, or there is one only. */
  readonly lostHops: readonly (string | undefined)[];
  readonly turnS: number | undefined;
  /** The turn was not logged: distances that fall tell of it. */
  readonly turnInferred: boolean;
  /** Begun out of reach, and walked towards the fixed end. */
  readonly inwards: boolean;
  /** Where the fixed end stood on the path, and since when; the path's own to begin with. */
  readonly fixedEnds: readonly { readonly atS: number; readonly atM: number }[];
  readonly endS: number;
  /** Absent while the walk goes on. */
  readonly endReason: EndReason | undefined;
  /** What instruments read at stands, presses and answers, each where it was. */
  readonly measured: readonly (EventBodies['measured'] & Placed & Lasting)[];
  readonly hits: readonly (EventBodies['hits'] & Placed)[];
  readonly calls: readonly (EventBodies['call'] & Placed)[];
  readonly rungs: readonly (EventBodies['rung'] & Placed)[];
  /** The outing that somebody put it to; its day otherwise. */
  readonly outing?: string;
  /** Why the walk is in no result. */
  readonly leftOut?: string;
  /** How late the beacon came at the other end, each moment where the mobile end was. */
  readonly late: readonly (BeaconLate & Placed)[];
  /** What was said of it beside walks of others. */
  readonly against: readonly EventBodies['against'][];
}

interface Placed {
  readonly atS: number;
  readonly position: Position | undefined;
}

/** Taken on the move: from where to where. Its position is the middle. */
interface Lasting {
  readonly span?: { readonly fromM: number; readonly toM: number };
}

export interface TraceOptions {
  /** The path: its counters' zero, and its coordinates where device locations are to be placed. */
  readonly path?: Pick<Path, 'legs' | 'startOffsetM' | 'fixedEnd' | 'checkpoints' | 'distanceMethod'>;
  /** Which way is traced; that of the begin event otherwise. */
  readonly direction?: Direction;
  /** Only for what the log itself does not say. */
  readonly delay?: OperatorDelay;
  /** Whose ear or eye: a device that joined; the one that began the walk otherwise. */
  readonly watcher?: string;
}

/** Logged by whoever watches; with two devices, each has its own. */
const WATCHED = new Set<WalkEvent['kind']>(['grade', 'dropoutBegin', 'dropoutEnd', 'reconnected']);
const isNoticed = (e: WalkEvent): boolean => e.kind === 'grade' || e.kind === 'dropoutBegin';

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
  const standing = withKnownNames(effectiveLog(log), path);
  const events = others.size === 0 && watcher === undefined ? standing : standing.filter(heard);
  const of = byKind(events);
  const [begin] = of('begin');
  if (!begin) return undefined;
  const delay = begin.body.delay ?? usual;
  const direction = wanted ?? begin.body.direction;
  const mode = begin.body.mode ?? 'continuous';
  const end = of('end').at(-1);
  // In order of the walk's clock: the last event is the latest.
  const endS = end?.time.walkS ?? (events.at(-1) as WalkEvent).time.walkS;
  const places = { offsetM: path?.startOffsetM, delay };
  const marks = [...of('begin'), ...of('mark'), ...of('turn'), ...of('end')];
  const stands = standsOf(events, mode, (reading, event) => markedPlace(reading, event, places));
  const fixes = fixesOf(marks, of('fix'), stands, path, places);
  const track = { fixes, stands };
  const course = courseOf(begin, of('turn').at(-1), marks, track, places);
  const { turnS } = course;
  const returning = (atS: number): boolean => turnS !== undefined && atS >= turnS;
  // What is noticed while walking belongs to the direction that its device watches.
  const watched = watcher !== undefined || direction === begin.body.direction;
  const found = looksOf(events, stands, begin.body.direction, direction);
  const byStands =
    STOPPING_MODES.includes(mode) || (found.length > 0 && !(watched && events.some(isNoticed)));
  const noticing = { events, begin, endS, delay, stands, watched };
  const { changes, reconnections } = changesOf({ ...noticing, looks: byStands ? [] : found });
  const noticed = stretchesOf(changes, track, turnS, endS);
  const looks = (byStands ? withSilent(found, { ...noticing, changes, direction, end }) : found).map((l) => ({
    ...l,
    place: placeAt(track, l.atS),
    returning: returning(l.atS),
  }));
  const placed = <K extends 'measured' | 'hits' | 'call' | 'rung'>(kind: K) =>
    (of(kind) as readonly WalkEvent[]).map((e) => ({
      ...(e.body as EventBodies[K]),
      atS: e.time.walkS,
      position: placeAt(track, e.time.walkS),
    }));
  return {
    begin,
    direction,
    ...track,
    clockUncertaintyS: joined.find((j) => j.deviceId === watcher)?.uncertaintyS ?? 0,
    methods: [
      ...new Set([
        ...marks.filter((e) => e.kind !== 'begin').flatMap((e) => e.body.reading?.method ?? []),
        ...(of('fix').length > 0 ? ['satellite' as const] : []),
      ]),
    ],
    byStands,
    looks,
    stretches: byStands ? looks.map((l, i) => postOf(l, looks[i - 1], endS)) : noticed,
    noticed,
    reconnections: reconnections.map((r) => ({ ...r, position: placeAt(track, r.atS) })),
    notes: of('note').map((e) => ({ atS: e.time.walkS, text: e.body.text })),
    named: namedPointsOf(of('mark'), of('landmark'), of('call')),
    handOvers: of('landmark')
      .filter((e) => e.body.what === 'hand-over')
      .map((e) => {
        const atS = e.time.walkS - lagOf(e, 0, delay).lagS;
        return { atS, to: e.body.name, position: placeAt(track, atS) };
      }),
    gaps: of('gap').length,
    lostHops: of('dropoutBegin').map((e) => e.body.hop),
    ...course,
    fixedEnds: of('fixedEnd').map((e) => ({ atS: e.time.walkS, atM: e.body.reading.travelledM })),
    endS,
    endReason: end?.body.reason,
    measured: placed('measured').map((m) => ({ ...m, ...onTheMove(track, m) })),
    hits: placed('hits'),
    calls: placed('call').filter((c) => c.direction === direction),
    rungs: placed('rung').filter((c) => c.direction === direction),
    late: beaconLates(of('beacon'), joined).map((l) => ({ ...l, position: placeAt(track, l.atS) })),
    ...outingIn(of('outing')),
    ...leftOutIn(of('leftOut')),
    against: of('against').map((e) => e.body),
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
  const seen = lookedDirections(events, begin.body.direction);
  // Where a joined device watches it, silence of the first is not a clean link: it only says where one is.
  const watched =
    events.some(isNoticed) ||
    (seen.length === 0 && !joined.some((j) => j.direction === begin.body.direction));
  return [...new Set([...(watched ? [begin.body.direction] : []), ...seen])];
}

/** What was said last, by the clocks of those who said it. */
const latest = <E extends WalkEvent>(said: readonly E[]): E | undefined =>
  said.reduce<E | undefined>((a, b) => (a && a.time.wallMs > b.time.wallMs ? a : b), undefined);

/** A reading that lasted while one moved: its middle, and what it spans; nothing for one at a stand. */
function onTheMove(
  track: Track,
  { atS, lastedS, moving }: EventBodies['measured'] & Placed,
): Partial<Pick<Placed, 'position'>> & Lasting {
  const [from, to] = [placeAt(track, atS - (lastedS ?? 0)), placeAt(track, atS)];
  if (!moving || lastedS === undefined || !from || !to) return {};
  return {
    position: {
      travelledM: (from.travelledM + to.travelledM) / 2,
      // Anywhere on its way alike (JCGM 100, 4.3.7, from memory).
      uncertaintyM: Math.hypot(
        Math.max(from.uncertaintyM, to.uncertaintyM),
        (to.travelledM - from.travelledM) / Math.sqrt(12),
      ),
      speedMps: to.speedMps,
    },
    span: { fromM: from.travelledM, toM: to.travelledM },
  };
}

const outingIn = (said: readonly EventOf<'outing'>[]): Pick<Trace, 'outing'> => {
  const last = latest(said);
  return last ? { outing: last.body.name } : {};
};

const leftOutIn = (said: readonly EventOf<'leftOut'>[]): Pick<Trace, 'leftOut'> => {
  const reason = latest(said)?.body.reason;
  return reason === undefined ? {} : { leftOut: reason };
};

interface AtStands {
  readonly events: readonly WalkEvent[];
  readonly begin: EventOf<'begin'>;
  readonly end: EventOf<'end'> | undefined;
  readonly stands: readonly Stand[];
  readonly watched: boolean;
  readonly changes: readonly Change[];
  readonly direction: Direction;
}

/**
 * The looks that were not logged as such: the graded beginning; what was noticed by ear or eye at a stand;
 * where nothing was called or read at all, also the stands at which nothing had to be pressed; and a walk
 * that ended because the link failed.
 */
function withSilent(
  found: readonly Look[],
  { events, begin, end, stands, watched, changes, direction }: AtStands,
): Look[] {
  const listening = watched && (found.length === 0 || events.some(isNoticed));
  const silenceSpeaks = watched && found.length === 0;
  const looks = stands.flatMap((stand): Look[] => {
    const own = found.filter((l) => l.stand === stand);
    const pressed = listening ? changes.slice(1).filter((c) => isAtStand(stand, c.atS)) : [];
    const before = changes.findLast((c) => c.atS <= stand.fromS);
    const grades: Grade[] = [
      ...own.flatMap((l) => [l.worst, l.best]),
      ...pressed.map((c) => c.grade),
      ...(silenceSpeaks && before?.stated && stand.fromS > begin.time.walkS ? [before.grade] : []),
    ];
    if (grades.length === 0) return [];
    const [worst, best] = [Math.min(...grades) as Grade, Math.max(...grades) as Grade];
    return [{ atS: own[0]?.atS ?? pressed[0]?.atS ?? stand.fromS, direction, worst, best, stand }];
  });
  const baseline = begin.body.baselineGrade;
  const beginning: Look[] =
    baseline === undefined || looks.some((l) => l.atS === begin.time.walkS) || !watched
      ? []
      : [{ atS: begin.time.walkS, direction, worst: baseline, best: baseline, stand: undefined }];
  const all = [...beginning, ...looks, ...found.filter((l) => l.stand === undefined)].sort(
    (a, b) => a.atS - b.atS,
  );
  return watched ? [...all, ...failedEnd(all, end, stands, direction)] : all;
}

/** Ended because the link failed: at the last stand, unless it held there; then beyond it, nobody knows where. */
function failedEnd(
  looks: readonly Look[],
  end: EventOf<'end'> | undefined,
  stands: readonly Stand[],
  direction: Direction,
): Look[] {
  if (end?.body.reason !== 'link failed' || looks.at(-1)?.best === 1) return [];
  const last = stands.at(-1);
  const there = last && !looks.some((l) => l.stand === last) ? last : undefined;
  const nowhere: Stand = { fromS: end.time.walkS, untilS: undefined, place: undefined, name: undefined };
  return [{ atS: there?.fromS ?? end.time.walkS, direction, worst: 1, best: 1, stand: there ?? nowhere }];
}

/** A look as it is drawn: a post at its stand, for as long as one stood there. */
const postOf = (look: PlacedLook, before: PlacedLook | undefined, endS: number): Stretch => ({
  fromS: look.stand?.fromS ?? look.atS,
  toS: Math.min(endS, look.stand ? (look.stand.untilS ?? endS) : look.atS),
  grade: look.worst,
  state: stateOf(look.worst),
  stated: true,
  from: look.place,
  to: look.place,
  lookedBeforeS: before?.atS ?? look.atS,
  returning: look.returning,
});

function stretchesOf(
  changes: readonly Change[],
  track: Track,
  turnS: number | undefined,
  lastS: number,
): Stretch[] {
  const cut: Change[] = changes.flatMap((change, i) => {
    const untilS = changes[i + 1]?.atS ?? lastS;
    return turnS !== undefined && change.atS < turnS && turnS < untilS
      ? [change, { ...change, frameS: undefined, atS: turnS, lookedBeforeS: turnS }]
      : [change];
  });
  return cut.map((change, i) => {
    const toS = cut[i + 1]?.atS ?? lastS;
    return {
      fromS: change.atS,
      toS,
      grade: change.grade,
      state: stateOf(change.grade),
      stated: change.stated,
      from: placeAt(track, change.atS),
      to: placeAt(track, toS) ?? lastMarked(track.fixes, change.atS, toS),
      lookedBeforeS: change.lookedBeforeS,
      returning: turnS !== undefined && change.atS >= turnS,
      ...(change.frameS === undefined ? {} : { frameS: change.frameS }),
    };
  });
}

/** What ends beyond the last mark is known up to that mark. */
function lastMarked(fixes: readonly Fix[], fromS: number, toS: number): Position | undefined {
  const last = fixes.findLast((f) => f.atS >= fromS && f.atS <= toS);
  return last && positionAt(fixes, last.atS);
}
