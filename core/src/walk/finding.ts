import type { Path } from '../geometry/path.ts';
import type { Criterion } from '../grade/criterion.ts';
import type { Direction } from '../grade/direction.ts';
import { effectiveLog } from '../log/effectiveLog.ts';
import type { EndReason, WalkEvent } from '../log/event.ts';
import { joinLogs, type JoinedDevice } from '../log/joinLogs.ts';
import type { DistanceMethod } from '../quantity/distanceMethod.ts';
import { bothWays, outcomesOf, type Outcome, type OutcomeInterval } from './outcome.ts';
import { directionsOf, traceWalk, type Trace } from './trace.ts';
import type { WalkInterval } from './walkInterval.ts';
import { summariseWalk, type WalkSummary } from './walkSummary.ts';

/** What one direction of a walk says. */
export interface DirectionFinding {
  readonly direction: Direction;
  readonly trace: Trace;
  readonly outcomes: readonly Outcome[];
}

/** What a device that joined the walk says. */
export interface SecondFinding extends DirectionFinding {
  readonly joined: JoinedDevice;
}

/** What the audits ask of a log beside its trace. */
export interface Logged {
  readonly entries: number;
  readonly marks: readonly {
    readonly atM: number;
    readonly name: string | undefined;
    readonly method: DistanceMethod;
    readonly atS: number;
  }[];
  /** When something was noticed, called or read. */
  readonly readingsS: readonly number[];
  readonly readBacks: number;
}

/**
 * Everything derived from one log and the path that it was logged on: worked out once, kept with the key of
 * its last entry (see ARITHMETIC), and thrown away when either changes. Plain data.
 */
export interface DerivedWalk {
  /** Each direction that the log speaks of: fixed to mobile and mobile to fixed are different links. */
  readonly directions: readonly DirectionFinding[];
  /** Which of them the walk began with. */
  readonly main: number;
  readonly summary: WalkSummary;
  /**
   * What devices that joined say of a direction that another device watches too: shown beside it, never
   * averaged with it.
   */
  readonly seconds: readonly SecondFinding[];
  readonly logged: Logged;
}

/** Version of what is derived from a log: to be raised whenever the same log gives another DerivedWalk. */
export const ARITHMETIC = 10;

/** A walk with its name and place, and what was derived from its log. */
export interface WalkFinding extends DerivedWalk {
  readonly walkId: string;
  /** Short name, unique within product and path: "1", "2". */
  readonly label: string;
  readonly product: string;
  readonly path: Path;
  /** Of the direction that the walk began with. */
  readonly trace: Trace;
  readonly outcomes: readonly Outcome[];
  /** Absent while the walk goes on. */
  readonly endReason: EndReason | undefined;
}

/** Undefined for a log without a beginning. */
export function deriveWalk(
  log: readonly WalkEvent[],
  path: Pick<Path, 'legs' | 'startOffsetM' | 'fixedEnd' | 'checkpoints' | 'distanceMethod'>,
): DerivedWalk | undefined {
  const find = (direction: Direction, watcher?: string): DirectionFinding[] => {
    const trace = traceWalk(log, { path, direction, watcher });
    return trace ? [{ direction, trace, outcomes: outcomesOf(trace, path) }] : [];
  };
  const own = directionsOf(log).flatMap((direction) => find(direction));
  const others = joinLogs(log).joined.flatMap((joined) =>
    find(joined.direction, joined.deviceId).map((f): SecondFinding => ({ ...f, joined })),
  );
  // A direction that only the joined device watches is its own; where both watch, the walk's own device
  // stands.
  const added = others.filter(
    (o, i) =>
      !own.some((d) => d.direction === o.direction) &&
      others.findIndex((x) => x.direction === o.direction) === i,
  );
  const directions = [...own, ...added.map(({ joined: _, ...f }) => f)];
  const begun = directions.findIndex((d) => d.direction === d.trace.begin.body.direction);
  const main = directions[Math.max(0, begun)];
  return (
    main && {
      directions,
      main: Math.max(0, begun),
      summary: summariseWalk(main.trace),
      seconds: others.filter((o) => !added.includes(o)),
      logged: loggedOf(log),
    }
  );
}

const READINGS = new Set<WalkEvent['kind']>([
  'grade',
  'call',
  'hits',
  'readBack',
  'rung',
  'measured',
  'tried',
  'dropoutBegin',
  'dropoutEnd',
  'reconnected',
]);

function loggedOf(log: readonly WalkEvent[]): Logged {
  const events = effectiveLog(log);
  return {
    entries: log.length,
    marks: events.flatMap((e) =>
      e.kind === 'mark' && e.body.reading
        ? [
            {
              atM: e.body.reading.travelledM,
              name: e.body.name,
              method: e.body.reading.method,
              atS: e.time.walkS,
            },
          ]
        : [],
    ),
    readingsS: events.filter((e) => READINGS.has(e.kind)).map((e) => e.time.walkS),
    readBacks: log.filter((e) => e.kind === 'readBack').length,
  };
}

/** A derived walk under its name. */
export function nameWalk<T extends Pick<WalkFinding, 'walkId' | 'label' | 'product' | 'path'>>(
  derived: DerivedWalk,
  named: T,
): T & WalkFinding {
  const { trace, outcomes } = derived.directions[derived.main] as DirectionFinding;
  return { ...named, ...derived, trace, outcomes, endReason: trace.endReason };
}

/** Both at once: what one log says, under its name. Undefined for a log without a beginning. */
export function findWalk({
  log,
  ...named
}: Pick<WalkFinding, 'walkId' | 'label' | 'product' | 'path'> & {
  readonly log: readonly WalkEvent[];
}): WalkFinding | undefined {
  const derived = deriveWalk(log, named.path);
  return derived && nameWalk(derived, named);
}

export const SIDES = ['mobile-to-fixed', 'fixed-to-mobile', 'both ways'] as const;
/** One direction, or both ways: the lesser. */
export type Side = (typeof SIDES)[number];

/**
 * Outcome of one direction, or of both; without a wish, that of whatever directions were walked. Absent
 * directions say so.
 */
export function outcomeOf(finding: WalkFinding, criterion: Criterion, side?: Side): Outcome {
  const own = finding.directions
    .filter((d) => side === undefined || side === 'both ways' || d.direction === side)
    .map((d) => d.outcomes.find((o) => o.criterion === criterion) as Outcome);
  const missing =
    side === 'both ways' && own.length < 2
      ? `only ${finding.directions[0]?.direction ?? 'one direction'} was looked at`
      : own.length === 0
        ? `${side ?? 'this direction'} was not looked at`
        : undefined;
  if (missing !== undefined)
    return { criterion, interval: undefined, absent: missing, bent: false, between: undefined };
  return own.length === 1 ? (own[0] as Outcome) : (bothWays(own) as Outcome);
}

/** The walks that say something about a criterion, as intervals. A walk still under way says nothing yet. */
export function walkIntervals(
  findings: readonly WalkFinding[],
  criterion: Criterion,
  side?: Side,
): (WalkInterval & Pick<OutcomeInterval, 'methods' | 'commonUM'>)[] {
  return findings.flatMap((finding) => {
    const { interval } = outcomeOf(finding, criterion, side);
    return interval && finding.trace.endReason
      ? [{ product: finding.product, path: finding.path.name, walk: finding.label, ...interval }]
      : [];
  });
}
