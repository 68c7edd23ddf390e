import type { Path } from '../geometry/path.ts';
import type { Criterion } from '../grade/criterion.ts';
import type { Direction } from '../grade/direction.ts';
import type { WalkEvent } from '../log/event.ts';
import { joinLogs, type JoinedDevice } from '../log/joinLogs.ts';
import { bothWays, outcomesOf, type Outcome } from './outcome.ts';
import { directionsOf, traceWalk, type Trace } from './trace.ts';
import type { WalkInterval } from './walkInterval.ts';
import { summariseWalk, type WalkSummary } from './walkSummary.ts';

/** One walk's log with what it was a walk of. */
export interface WalkRecord {
  readonly walkId: string;
  /** Short name, unique within product and path: "1", "2". */
  readonly label: string;
  readonly product: string;
  readonly path: Path;
  readonly log: readonly WalkEvent[];
}

/** What one direction of a walk says. */
export interface DirectionFinding {
  readonly direction: Direction;
  readonly trace: Trace;
  readonly outcomes: readonly Outcome[];
}

/** Everything derived from one log. */
export interface WalkFinding extends Omit<WalkRecord, 'log'> {
  /** Of the direction that the walk began with. */
  readonly trace: Trace;
  readonly outcomes: readonly Outcome[];
  readonly summary: WalkSummary;
  /** Each direction that the log speaks of: fixed to mobile and mobile to fixed are different links. */
  readonly directions: readonly DirectionFinding[];
  /** What devices that joined say of a direction that another device watches too: shown beside it, never averaged with it. */
  readonly seconds: readonly SecondFinding[];
}

/** What a device that joined the walk says. */
export interface SecondFinding extends DirectionFinding {
  readonly joined: JoinedDevice;
}

/** Undefined for a log without a beginning. */
export function findWalk({ log, ...record }: WalkRecord): WalkFinding | undefined {
  const { path } = record;
  const find = (direction: Direction, watcher?: string): DirectionFinding[] => {
    const trace = traceWalk(log, { path, direction, watcher });
    return trace ? [{ direction, trace, outcomes: outcomesOf(trace, path) }] : [];
  };
  const own = directionsOf(log).flatMap((direction) => find(direction));
  const others = joinLogs(log).joined.flatMap((joined) =>
    find(joined.direction, joined.deviceId).map((f): SecondFinding => ({ ...f, joined })),
  );
  // A direction that only the joined device watches is its own; where both watch, the walk's own device stands.
  const added = others.filter(
    (o, i) =>
      !own.some((d) => d.direction === o.direction) &&
      others.findIndex((x) => x.direction === o.direction) === i,
  );
  const directions = [...own, ...added.map(({ joined: _, ...f }) => f)];
  const main = directions.find((d) => d.direction === d.trace.begin.body.direction) ?? directions[0];
  return (
    main && {
      ...record,
      trace: main.trace,
      outcomes: main.outcomes,
      summary: summariseWalk(main.trace),
      directions,
      seconds: others.filter((o) => !added.includes(o)),
    }
  );
}

export const SIDES = ['mobile-to-fixed', 'fixed-to-mobile', 'both ways'] as const;
/** One direction, or both ways: the lesser. */
export type Side = (typeof SIDES)[number];

/**
 * Outcome of one direction, or of both; without a wish, that of whatever directions were walked. Absent directions say
 * so.
 */
export function outcomeOf(finding: WalkFinding, criterion: Criterion, side?: Side): Outcome {
  const own = finding.directions
    .filter((d) => side === undefined || side === 'both ways' || d.direction === side)
    .map((d) => d.outcomes.find((o) => o.criterion === criterion) as Outcome);
  const missing =
    side === 'both ways' && own.length < 2
      ? 'one direction only was walked'
      : own.length === 0
        ? `the direction ${side ?? ''} was not walked`
        : undefined;
  if (missing !== undefined) return { criterion, interval: undefined, absent: missing, bent: false };
  return own.length === 1 ? (own[0] as Outcome) : (bothWays(own) as Outcome);
}

/** The walks that say something about a criterion, as intervals. A walk still under way says nothing yet. */
export function walkIntervals(
  findings: readonly WalkFinding[],
  criterion: Criterion,
  side?: Side,
): WalkInterval[] {
  return findings.flatMap((finding) => {
    const { interval } = outcomeOf(finding, criterion, side);
    return interval && finding.trace.endReason
      ? [{ product: finding.product, path: finding.path.name, walk: finding.label, ...interval }]
      : [];
  });
}
