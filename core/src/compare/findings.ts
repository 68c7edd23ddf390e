import type { Path } from '../path/path.ts';
import type { WalkInterval } from '../range/walkInterval.ts';
import type { Criterion } from '../walk/criterion.ts';
import type { WalkEvent } from '../walk/event.ts';
import { outcomesOf, type Outcome } from '../walk/outcome.ts';
import { traceWalk, type Trace } from '../walk/trace.ts';
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

/** Everything derived from one log. */
export interface WalkFinding extends Omit<WalkRecord, 'log'> {
  readonly trace: Trace;
  readonly outcomes: readonly Outcome[];
  readonly summary: WalkSummary;
}

/** Undefined for a log without a beginning. */
export function findWalk({ log, ...record }: WalkRecord): WalkFinding | undefined {
  const trace = traceWalk(log, { startOffsetM: record.path.startOffsetM });
  return trace && { ...record, trace, outcomes: outcomesOf(trace, record.path), summary: summariseWalk(trace) };
}

export const outcomeOf = (finding: WalkFinding, criterion: Criterion): Outcome =>
  finding.outcomes.find((o) => o.criterion === criterion) as Outcome;

/** The walks that say something about a criterion, as intervals. A walk still under way says nothing yet. */
export function walkIntervals(findings: readonly WalkFinding[], criterion: Criterion): WalkInterval[] {
  return findings.flatMap((finding) => {
    const { interval } = outcomeOf(finding, criterion);
    return interval && finding.trace.endReason ? [{ product: finding.product, path: finding.path.name, walk: finding.label, ...interval }] : [];
  });
}
