import type { Direction } from '../grade/kind.ts';
import type { Path } from '../path/path.ts';
import type { WalkInterval } from '../range/walkInterval.ts';
import type { Criterion } from '../walk/criterion.ts';
import type { WalkEvent } from '../walk/event.ts';
import { bothWays, outcomesOf, type Outcome } from '../walk/outcome.ts';
import { directionsOf, traceWalk, type Trace } from '../walk/trace.ts';
import { summariseWalk, type WalkSummary } from '../walk/walkSummary.ts';

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
}

/** Undefined for a log without a beginning. */
export function findWalk({ log, ...record }: WalkRecord): WalkFinding | undefined {
  const { path } = record;
  const directions = directionsOf(log).flatMap((direction): DirectionFinding[] => {
    const trace = traceWalk(log, { path, direction });
    return trace ? [{ direction, trace, outcomes: outcomesOf(trace, path) }] : [];
  });
  const main = directions[0];
  return main && { ...record, trace: main.trace, outcomes: main.outcomes, summary: summariseWalk(main.trace), directions };
}

export const SIDES = ['mobile-to-fixed', 'fixed-to-mobile', 'both ways'] as const;
/** One direction, or both ways: the lesser. */
export type Side = (typeof SIDES)[number];

/**
 * Outcome of one direction, or of both; without a wish, that of whatever directions were walked. Absent directions say
 * so.
 */
export function outcomeOf(finding: WalkFinding, criterion: Criterion, side?: Side): Outcome {
  const own = finding.directions.filter((d) => side === undefined || side === 'both ways' || d.direction === side).map((d) => d.outcomes.find((o) => o.criterion === criterion) as Outcome);
  const missing = side === 'both ways' && own.length < 2 ? 'one direction only was walked' : own.length === 0 ? `the direction ${side ?? ''} was not walked` : undefined;
  if (missing !== undefined) return { criterion, interval: undefined, absent: missing, bent: false };
  return own.length === 1 ? (own[0] as Outcome) : (bothWays(own) as Outcome);
}

/** The walks that say something about a criterion, as intervals. A walk still under way says nothing yet. */
export function walkIntervals(findings: readonly WalkFinding[], criterion: Criterion, side?: Side): WalkInterval[] {
  return findings.flatMap((finding) => {
    const { interval } = outcomeOf(finding, criterion, side);
    return interval && finding.trace.endReason ? [{ product: finding.product, path: finding.path.name, walk: finding.label, ...interval }] : [];
  });
}
