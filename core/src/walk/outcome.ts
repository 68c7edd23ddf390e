import type { Path } from '../geometry/path.ts';
import { separationRangeM, separationsOf } from '../geometry/separation.ts';
import {
  type Criterion,
  type OutwardCriterion,
  endsLastStretch,
  LEAST_GOOD_GRADE,
  OUTWARD_CRITERIA,
} from '../grade/criterion.ts';
import { lagOf, meanErrorS, type OperatorDelay } from '../log/lag.ts';
import type { DistanceMethod } from '../quantity/distanceMethod.ts';
import { standAt } from './stand.ts';
import type { PlacedLook, Stretch, Trace } from './trace.ts';
import { marksAround, placeAt, type Fix, type Position } from './track.ts';

/** What one walk says about one criterion: an interval of separation in metres. */
export interface OutcomeInterval {
  /** The last place that held; 0: "less than". */
  readonly heldM: number;
  /**
   * The first place that failed; absent: "more than". The same as `heldM` where the moment itself was
   * noticed.
   */
  readonly failedM: number | undefined;
  /** Independent standard uncertainty of the two places; absent: none is known of. */
  readonly heldUM?: number;
  readonly failedUM?: number;
  /**
   * It failed, and nobody knows where: between the last place known to hold and the farthest one reached,
   * where that is known. Never "held".
   */
  readonly unplaced?: true;
  /**
   * Of what was noticed on the move, the error of the operator's mean at the speed of that moment, m: common to
   * all that he presses.
   */
  readonly commonUM?: number;
  /** By which methods its two places were come by, which can be others than the rest of the walk's. */
  readonly methods?: readonly DistanceMethod[];
}

export interface Outcome {
  readonly criterion: Criterion;
  readonly interval: OutcomeInterval | undefined;
  /** Why there is none. */
  readonly absent: string | undefined;
  /**
   * Separation is not monotonic over the interval (a bent path): it holds the least and the greatest met
   * there.
   */
  readonly bent: boolean;
  /** Names of the points it lies between, where they have names: an outcome without metres. */
  readonly between: { readonly held: string | undefined; readonly failed: string | undefined } | undefined;
}

/** Where something was found, in travelled distance, and how it is called. */
interface Point {
  readonly atS: number;
  readonly place: Position | undefined;
  readonly name: string | undefined;
}

interface Context {
  readonly trace: Trace;
  readonly path: Pick<Path, 'legs'>;
  readonly delay: OperatorDelay | undefined;
  readonly separationM: ReturnType<typeof separationsOf>;
  /** The walk as it was seen, and how far it was walked outwards: the same for every criterion. */
  readonly seen: readonly Seen[];
  readonly reached: End | undefined;
}

export function outcomesOf(trace: Trace, path: Pick<Path, 'legs'>, delay?: OperatorDelay): Outcome[] {
  const separationM = separationsOf(path);
  const at = { trace, separationM };
  const context = { ...at, path, delay, seen: seenOf(trace), reached: reachedBy(at) };
  return [
    ...OUTWARD_CRITERIA.map((c) =>
      trace.inwards
        ? none(c, 'it was walked inwards: only where it was first reached can be told')
        : outward(context, c),
    ),
    selfRegain(context),
    afterReset(context),
    firstReached(context),
  ].map(beyondZero);
}

const AT_ZERO = 'failed at the zero point: check cable, battery and channel before it counts';

/** What holds or fails at the zero point, a press in the first moment say, tells no distance. */
function beyondZero(outcome: Outcome): Outcome {
  const { criterion, interval: found, between } = outcome;
  if (!found || (found.failedM ?? found.heldM) > 0) return outcome;
  return none(criterion, found.failedM === undefined ? 'it held at the zero point alone' : AT_ZERO, between);
}

const none = (criterion: Criterion, absent: string, between?: Outcome['between']): Outcome => ({
  criterion,
  interval: undefined,
  absent,
  bent: false,
  between,
});

/** A stretch or a look in order: what was found, the last moment it was found, the first. */
interface Seen {
  readonly worst: number;
  readonly best: number;
  readonly first: Point;
  /** The last moment before it at which one looked. */
  readonly lookedBefore: Point;
  readonly stated: boolean;
  readonly returning: boolean;
}

/** The walk as a row of things seen: looks at stands, or stretches between presses. */
function seenOf(trace: Trace): Seen[] {
  const at = (atS: number): Point => ({ atS, place: placeAt(trace, atS), name: undefined });
  if (!trace.byStands)
    return trace.stretches.map((s) => ({
      worst: s.grade,
      best: s.grade,
      first: at(s.fromS),
      lookedBefore: at(s.lookedBeforeS),
      stated: s.stated,
      returning: s.returning,
    }));
  const pointOf = (l: PlacedLook): Point => ({
    atS: l.atS,
    place: l.place,
    name: l.stand?.name ?? nameAt(trace, l.atS),
  });
  return trace.looks.map((l, i) => ({
    worst: l.worst,
    best: l.best,
    first: pointOf(l),
    lookedBefore: pointOf(trace.looks[i - 1] ?? l),
    stated: true,
    returning: l.returning,
  }));
}

/** What a named point of the same moment, or the last one before it, is called. */
const nameAt = (trace: Trace, atS: number): string | undefined =>
  trace.named.findLast((n) => n.atS <= atS)?.name;
const nextName = (trace: Trace, atS: number): string | undefined =>
  trace.named.find((n) => n.atS >= atS)?.name;

function outward(context: Context, criterion: OutwardCriterion): Outcome {
  const least = LEAST_GOOD_GRADE[criterion];
  const atEnd = endsLastStretch(criterion);
  const out = context.seen.filter((s) => !s.returning && (s.stated || least <= 2));
  const good = (s: Seen): boolean => (atEnd ? s.best : s.worst) >= least;
  if (out.length === 0) return none(criterion, 'nothing was logged on the way out');
  const failing = atEnd ? endOfLast(out, good) : out.findIndex((s) => !good(s));
  if (failing === -1) return heldThroughout(context, criterion, out);
  const before = (out[failing] as Seen).lookedBefore;
  const held = context.trace.byStands
    ? out
        .slice(0, failing)
        .filter(good)
        .map((s) => s.first)
    : failing > 0
      ? [before.place ? before : (lastMarkBefore(context.trace, before.atS) ?? before)]
      : [];
  const failed = out
    .slice(failing)
    .filter((s) => !good(s))
    .map((s) => s.first);
  const placed = held.findLast((p) => p.place) ?? held.at(-1);
  const outcome = joined(context, criterion, placed, failed, failing === 0);
  const heldAt = held.at(-1)?.name;
  // By its name the last good stand is known, also where its distance is not.
  return context.trace.byStands && outcome.between && heldAt !== undefined
    ? { ...outcome, between: { ...outcome.between, held: heldAt } }
    : outcome;
}

/** Index of what ends the last good one; 0 when none is good, -1 when it is good to the end. */
function endOfLast(out: readonly Seen[], good: (s: Seen) => boolean): number {
  const last = out.findLastIndex(good);
  return last === out.length - 1 ? -1 : last + 1;
}

/** Right-censored at the greatest separation at which it was seen to hold. */
function heldThroughout(context: Context, criterion: Criterion, out: readonly Seen[]): Outcome {
  const { trace } = context;
  const reached = trace.byStands
    ? farthestOf(
        out.map((s) => s.first),
        context,
      )
    : context.reached;
  if (!reached || reached.separationM === 0)
    return none(criterion, 'held to the end, but no mark tells how far that was', {
      held: out.at(-1)?.first.name ?? nameAt(trace, trace.endS),
      failed: undefined,
    });
  return {
    criterion,
    interval: { heldM: reached.separationM, failedM: undefined, ...knownOf({ held: reached }) },
    absent: undefined,
    bent: false,
    between: undefined,
  };
}

/** How far a walk was walked outwards. */
const reachedBy = (context: Pick<Context, 'trace' | 'separationM'>): End | undefined =>
  farthestOf(
    outwardFixes(context.trace).map((f) => ({ atS: f.atS, place: { ...f, speedMps: 0 }, name: undefined })),
    context,
  );

const farthestOf = (
  points: readonly Point[],
  context: Pick<Context, 'trace' | 'separationM'>,
): End | undefined =>
  points
    .flatMap((p) => (p.place ? [endOf(context, p.place, p.atS)] : []))
    .reduce<End | undefined>((best, e) => (best && best.separationM >= e.separationM ? best : e), undefined);

const outwardFixes = (trace: Trace): readonly Fix[] =>
  trace.fixes.filter((f) => f.atS <= (trace.turnS ?? trace.endS));

/** Nearer than this is the zero point, m. */
const ZERO_POINT_M = 1;

/**
 * The interval between the last place that held and the first that failed. A failure whose place nobody
 * knows lies before the next known bad place, or the farthest place that was reached after it.
 */
function joined(
  context: Context,
  criterion: Criterion,
  held: Point | undefined,
  failed: readonly Point[],
  fromTheStart: boolean,
): Outcome {
  const { trace } = context;
  const [first] = failed as [Point];
  const around = { held: held?.name, failed: first.name };
  const between = trace.byStands
    ? around
    : { held: nameAt(trace, first.atS), failed: nextName(trace, first.atS) };
  if (first.place) {
    if (fromTheStart && first.place.travelledM < ZERO_POINT_M) return none(criterion, AT_ZERO, between);
    return interval(context, criterion, held, { ...first, place: first.place }, between);
  }
  const last = held?.place ? held : lastMarkBefore(trace, first.atS);
  const later = failed.find((p) => p.place) ?? farthestAfter(trace, first.atS);
  if (!last && !later) return none(criterion, 'it failed, at no known distance: no mark around it', between);
  return unplaced(context, criterion, last, later, between);
}

/** On a walk that is watched all the time, it held where the last mark was. */
function lastMarkBefore(trace: Trace, atS: number): Point | undefined {
  if (trace.byStands) return undefined;
  const fix = trace.fixes.findLast((f) => f.atS <= atS);
  return fix && { atS: fix.atS, place: { ...fix, speedMps: 0 }, name: undefined };
}

function farthestAfter(trace: Trace, atS: number): Point | undefined {
  const fix = trace.fixes
    .filter((f) => f.atS >= atS)
    .reduce<Fix | undefined>((best, f) => (best && best.travelledM >= f.travelledM ? best : f), undefined);
  return fix && { atS: fix.atS, place: { ...fix, speedMps: 0 }, name: undefined };
}

/** To a micrometre: two brackets that adjoin at a stand must meet there to the last digit. */
const rounded = (m: number): number => Math.round(m * 1e6) / 1e6;

interface End {
  readonly separationM: number;
  readonly uM: number;
  /** Of the stand, or of the marks around it. */
  readonly methods: readonly DistanceMethod[];
}

/** Separation at a place, from where the fixed end stood then, with its independent uncertainty. */
function endOf(
  { trace, separationM }: Pick<Context, 'trace' | 'separationM'>,
  place: Position,
  atS: number,
  timingS = 0,
): End {
  const fixedM = trace.fixedEnds.findLast((f) => f.atS <= atS)?.atM;
  return {
    separationM: rounded(separationM(place.travelledM, fixedM)),
    uM: Math.hypot(place.uncertaintyM, timingS * place.speedMps),
    methods: methodsAt(trace, place, atS),
  };
}

function methodsAt({ fixes, stands }: Trace, { travelledM }: Position, atS: number): DistanceMethod[] {
  const stand = standAt(stands, atS);
  if (stand) return [stand.place?.method ?? 'satellite'];
  const { before, after } = marksAround(fixes, atS);
  const around = [before, after].flatMap((f) => (f ? [f] : []));
  // At a mark itself the other one says nothing.
  const own = around.filter((f) => f.travelledM === travelledM);
  return (own.length > 0 ? own : around).map((f) => f.method);
}

/** What is known of the two places of an interval. */
const knownOf = ({
  held,
  failed,
}: {
  held?: End | undefined;
  failed?: End | undefined;
}): Pick<OutcomeInterval, 'heldUM' | 'failedUM' | 'methods'> => ({
  ...(held && held.uM > 0 ? { heldUM: held.uM } : {}),
  ...(failed && failed.uM > 0 ? { failedUM: failed.uM } : {}),
  methods: [...new Set([...(held?.methods ?? []), ...(failed?.methods ?? [])])],
});

/** Length of the frame at which a change was logged, s; undefined where it was pressed while time went on. */
const frameAt = ({ noticed }: Trace, atS: number): number | undefined =>
  noticed.find((s) => s.fromS === atS)?.frameS;

/** How well the moment of a press is known, s. */
function timingOf({ trace, delay }: Context, atS: number): number {
  const frameS = frameAt(trace, atS);
  const time = { ...trace.begin.time, ...(frameS === undefined ? {} : { frameS }) };
  return Math.hypot(
    lagOf({ ...trace.begin, time, kind: 'dropoutBegin', body: {} }, 0, trace.begin.body.delay ?? delay)
      .uncertaintyS,
    trace.clockUncertaintyS,
  );
}

/** The error of the operator's mean, in metres at a place; nobody reacts to a frame that stands still. */
const commonOf = (
  { trace, delay }: Context,
  { speedMps }: Position,
  atS: number,
): Pick<OutcomeInterval, 'commonUM'> =>
  trace.byStands || !(speedMps > 0) || frameAt(trace, atS) !== undefined
    ? {}
    : { commonUM: meanErrorS(trace.begin.body.delay ?? delay) * trace.begin.time.rate * speedMps };

function unplaced(
  context: Context,
  criterion: Criterion,
  last: Point | undefined,
  later: Point | undefined,
  between: Outcome['between'],
): Outcome {
  const low = last?.place && endOf(context, last.place, last.atS);
  const high = later?.place && endOf(context, later.place, later.atS);
  const heldM = low?.separationM ?? 0;
  const failedM = high && high.separationM > heldM ? high.separationM : undefined;
  if (heldM === 0 && failedM === undefined)
    return none(criterion, 'it failed, at a place that nobody knows', between);
  return {
    criterion,
    interval: {
      heldM,
      failedM,
      unplaced: true,
      ...knownOf({ held: low || undefined, failed: failedM === undefined ? undefined : high || undefined }),
    },
    absent: undefined,
    bent: false,
    between,
  };
}

/** Both ends known; on a walk that is watched all the time they are one moment. */
function interval(
  context: Context,
  criterion: Criterion,
  heldAt: Point | undefined,
  failedAt: Point & { readonly place: Position },
  between: Outcome['between'],
): Outcome {
  const { trace, path } = context;
  const timingS = trace.byStands ? 0 : timingOf(context, failedAt.atS);
  const [good, bad] = stepped(trace, heldAt, failedAt);
  if (!good?.place) {
    const failed = endOf(context, bad.place, bad.atS, timingS);
    return {
      criterion,
      interval: {
        heldM: 0,
        failedM: failed.separationM,
        ...knownOf({ failed }),
        ...commonOf(context, bad.place, bad.atS),
      },
      absent: undefined,
      bent: false,
      between,
    };
  }
  const [low, high] = [
    endOf(context, good.place, good.atS, timingS),
    endOf(context, bad.place, bad.atS, timingS),
  ];
  const moved = trace.fixedEnds.some((f) => f.atS <= bad.atS);
  const range = moved
    ? {
        leastM: Math.min(low.separationM, high.separationM),
        greatestM: Math.max(low.separationM, high.separationM),
        monotonic: low.separationM <= high.separationM,
      }
    : separationRangeM(path, good.place.travelledM, bad.place.travelledM);
  return {
    criterion,
    interval: {
      heldM: rounded(range.leastM),
      failedM: rounded(range.greatestM),
      ...knownOf({ held: low, failed: high }),
      ...commonOf(context, bad.place, bad.atS),
    },
    absent: undefined,
    bent: !range.monotonic,
    between,
  };
}

/** Between two readings of an odometer, which steps, no press tells where: the interval is the step. */
function stepped<B extends Point & { readonly place: Position }>(
  trace: Trace,
  good: Point | undefined,
  bad: B,
): [Point | undefined, Point & { readonly place: Position }] {
  if (trace.byStands || !good || good.atS !== bad.atS) return [good, bad];
  const { before, after } = marksAround(trace.fixes, bad.atS);
  if (before?.method !== 'odometer' || after?.method !== 'odometer') return [good, bad];
  const at = (f: Fix) => ({ atS: f.atS, place: { ...f, speedMps: 0 }, name: undefined });
  return [at(before), at(after)];
}

/** Where a look, or the end of a stretch, is. */
const endPoint = (trace: Trace, s: Stretch | undefined): Point | undefined =>
  s && { atS: s.toS, place: s.to, name: nameAt(trace, s.toS) };
const startPoint = (trace: Trace, s: Stretch): Point => ({
  atS: s.fromS,
  place: s.from,
  name: nameAt(trace, s.fromS),
});

/** Walking back: the nearest place still lost, and the first that was clear again by itself. */
function selfRegain(context: Context): Outcome {
  const { trace } = context;
  const criterion = 'self-regain';
  const back = wayBack(trace);
  if (typeof back === 'string') return none(criterion, back);
  const reset = resetOf(trace, back);
  const clear = back.findIndex((s) => s.state === 'clear');
  const first = back[clear];
  const lost = (clear === -1 ? back : back.slice(0, clear)).findLast((s) => s.state === 'lost');
  const byItself = first !== undefined && !(reset && reset.atS <= first.fromS);
  const [held, last] = [first && startPoint(trace, first), endPoint(trace, lost)];
  const between = { held: held?.name, failed: last?.name };
  if (byItself)
    return held?.place && last?.place
      ? interval(context, criterion, held, { ...last, place: last.place }, between)
      : none(criterion, 'regained at no known distance: no mark around it', between);
  // Not back by itself down to the nearest place where it was still lost.
  const nearest = reset?.position ? { atS: reset.atS, place: reset.position, name: undefined } : last;
  if (!nearest?.place) return none(criterion, 'not regained, at no known distance', between);
  const failed = endOf(context, nearest.place, nearest.atS);
  const failedM = failed.separationM;
  if (failedM === 0) return none(criterion, 'not regained on the whole way back', between);
  return {
    criterion,
    interval: { heldM: 0, failedM, ...knownOf({ failed }) },
    absent: undefined,
    bent: false,
    between,
  };
}

function afterReset(context: Context): Outcome {
  const { trace } = context;
  const criterion = 'reconnect after a reset';
  const back = wayBack(trace);
  if (typeof back === 'string') return none(criterion, back);
  const reset = resetOf(trace, back);
  if (!reset) return none(criterion, 'no reset was made');
  const at = { atS: reset.atS, place: reset.position, name: nameAt(trace, reset.atS) };
  return at.place
    ? interval(context, criterion, at, { ...at, place: at.place }, undefined)
    : none(criterion, 'reconnected at no known distance: no mark around it');
}

const resetOf = (trace: Trace, [first]: readonly Stretch[]) =>
  trace.reconnections.find((r) => r.how !== 'by itself' && r.atS >= (first?.fromS ?? 0));

/** The way back, lost at its beginning; or why there is nothing to regain. */
function wayBack(trace: Trace): readonly Stretch[] | string {
  const back = trace.stretches.filter((s) => s.returning);
  if (back.length === 0) return 'no way back was walked';
  if (back[0]?.state === 'lost') return back;
  // At stands, the last look before the turn tells what it was there.
  const before = trace.byStands ? trace.stretches.findLast((s) => !s.returning) : undefined;
  return before?.state === 'lost' ? [before, ...back] : 'never lost at the turn';
}

/** Coming in: the last place that was out of reach, and the first that is usable. */
function firstReached(context: Context): Outcome {
  const criterion = 'first reached';
  if (!context.trace.inwards) return none(criterion, 'it did not begin out of reach');
  const seen = context.seen.filter((s) => s.stated);
  const reached = seen.findIndex((s) => s.best >= LEAST_GOOD_GRADE['last usable']);
  if (reached === -1) return none(criterion, 'never reached on the way in');
  if (reached === 0) return none(criterion, 'it was usable where the walk began: begin farther out');
  const { first, lookedBefore } = seen[reached] as Seen;
  if (!first.place || !lookedBefore.place)
    return none(criterion, 'reached at no known distance: no mark around it');
  return interval(
    context,
    criterion,
    first,
    { ...lookedBefore, place: lookedBefore.place },
    { held: first.name, failed: lookedBefore.name },
  );
}

const commonOfBoth = (
  held: OutcomeInterval,
  failed: OutcomeInterval | undefined,
): Pick<OutcomeInterval, 'commonUM'> => {
  const commonUM = Math.max(held.commonUM ?? 0, failed?.commonUM ?? 0);
  return commonUM > 0 ? { commonUM } : {};
};

/**
 * Both ways, per walk: the least of the holds and the least of the fails, a side without a fail counting as
 * none.
 */
export function bothWays(outcomes: readonly Outcome[]): Outcome | undefined {
  const [first] = outcomes;
  const intervals = outcomes.flatMap((o) => o.interval ?? []);
  if (!first || intervals.length < outcomes.length) return outcomes.find((o) => !o.interval);
  const held = intervals.reduce((a, b) => (b.heldM < a.heldM ? b : a));
  const failing = intervals.filter((i) => i.failedM !== undefined);
  const failed = failing.reduce<OutcomeInterval | undefined>(
    (a, b) => (a && (a.failedM as number) <= (b.failedM as number) ? a : b),
    undefined,
  );
  return {
    criterion: first.criterion,
    absent: undefined,
    bent: outcomes.some((o) => o.bent),
    between: (outcomes.find((o) => o.interval === (failed ?? held)) ?? first).between,
    interval: {
      heldM: held.heldM,
      failedM: failed?.failedM,
      ...(held.heldUM === undefined ? {} : { heldUM: held.heldUM }),
      ...(failed?.failedUM === undefined ? {} : { failedUM: failed.failedUM }),
      ...((failed ?? intervals.find((i) => i.unplaced))?.unplaced ? { unplaced: true as const } : {}),
      ...commonOfBoth(held, failed),
      methods: [...new Set([held, failed].flatMap((i) => i?.methods ?? []))],
    },
  };
}
