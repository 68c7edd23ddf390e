import type { Path } from '../geometry/path.ts';
import { separationRangeM } from '../geometry/separation.ts';
import {
  type Criterion,
  type OutwardCriterion,
  endsLastStretch,
  LEAST_GOOD_GRADE,
  OUTWARD_CRITERIA,
  RETURN_CRITERIA,
} from '../grade/criterion.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import type { Stretch, Trace } from './trace.ts';
import type { Fix, Position } from './track.ts';

/**
 * What one walk says about one criterion: an interval of separation in metres. `failedM` absent: "more than";
 * `heldM` 0: "less than". No interval: the event was not there to be seen, and `absent` says why.
 */
export interface Outcome {
  readonly criterion: Criterion;
  readonly interval: { readonly heldM: number; readonly failedM: number | undefined } | undefined;
  readonly absent: string | undefined;
  /**
   * Separation is not monotonic over the interval (a bent path): it holds the least and the greatest met
   * there.
   */
  readonly bent: boolean;
}

/** Coverage of the widening for position: two standard uncertainties to each side. */
const COVERAGE = 2;

export function outcomesOf(trace: Trace, path: Pick<Path, 'legs'>, delay?: OperatorDelay): Outcome[] {
  const context = { trace, path, delay };
  return [
    ...OUTWARD_CRITERIA.map((criterion) => outward(context, criterion)),
    ...RETURN_CRITERIA.map((criterion) => onReturn(context, criterion)),
  ];
}

interface Context {
  trace: Trace;
  path: Pick<Path, 'legs'>;
  delay: OperatorDelay | undefined;
}

const none = (criterion: Criterion, absent: string): Outcome => ({
  criterion,
  interval: undefined,
  absent,
  bent: false,
});

function outward(context: Context, criterion: OutwardCriterion): Outcome {
  const { trace } = context;
  const out = trace.stretches.filter((s) => !s.returning);
  const good = (s: Stretch): boolean => s.grade >= LEAST_GOOD_GRADE[criterion];
  const first = out[0];
  if (!first) return none(criterion, 'nothing was logged on the way out');
  const failing = endsLastStretch(criterion) ? endOfLast(out, good) : out.findIndex((s) => !good(s));
  if (failing === -1) return heldThroughout(context, criterion);
  if (failing === 0) return failedFromTheStart(context, criterion, first);
  return between(context, criterion, (out[failing] as Stretch).lookedBefore, (out[failing] as Stretch).from);
}

/** Index of the stretch that ends the last good one; 0 when none is good, -1 when it is good to the end. */
function endOfLast(out: readonly Stretch[], good: (s: Stretch) => boolean): number {
  const last = out.findLastIndex(good);
  return last === out.length - 1 ? -1 : last + 1;
}

/** Right-censored at the greatest separation that is surely reached. */
function heldThroughout({ trace, path }: Context, criterion: Criterion): Outcome {
  const reached = outwardFixes(trace).map(
    (f) => separationRangeM(path, Math.max(0, f.travelledM - COVERAGE * f.uncertaintyM), f.travelledM).leastM,
  );
  const heldM = Math.max(0, ...reached);
  if (heldM === 0) return none(criterion, 'held to the end, but no mark tells how far that was');
  return { criterion, interval: { heldM, failedM: undefined }, absent: undefined, bent: false };
}

const outwardFixes = (trace: Trace): readonly Fix[] =>
  trace.fixes.filter((f) => f.atS <= (trace.turnS ?? trace.endS));

function failedFromTheStart({ path }: Context, criterion: Criterion, first: Stretch): Outcome {
  if (!first.from) return none(criterion, 'failed from the start, at no known distance');
  const failedM = separationRangeM(
    path,
    0,
    first.from.travelledM + COVERAGE * first.from.uncertaintyM,
  ).greatestM;
  if (first.from.travelledM < 1)
    return none(criterion, 'failed at the zero point: check cable, battery and channel before it counts');
  return { criterion, interval: { heldM: 0, failedM }, absent: undefined, bent: false };
}

/**
 * Joins the good and the bad point, each widened by its own uncertainty and that of the operator's timing.
 */
function between(
  { trace, path, delay }: Context,
  criterion: Criterion,
  goodAt: Position | undefined,
  badAt: Position | undefined,
): Outcome {
  if (!goodAt || !badAt) return none(criterion, 'a failed point with no distance: no mark around it');
  const timingS = Math.hypot(
    lagOf({ ...trace.begin, kind: 'dropoutBegin', body: {} }, 0, trace.begin.body.delay ?? delay)
      .uncertaintyS,
    trace.clockUncertaintyS,
  );
  const widened = (p: Position): [number, number] => {
    const by = COVERAGE * Math.hypot(p.uncertaintyM, timingS * p.speedMps);
    return [p.travelledM - by, p.travelledM + by];
  };
  const ends = [...widened(goodAt), ...widened(badAt)];
  const range = separationRangeM(path, Math.min(...ends), Math.max(...ends));
  return {
    criterion,
    interval: { heldM: range.leastM, failedM: range.greatestM },
    absent: undefined,
    bent: !range.monotonic,
  };
}

function onReturn(context: Context, criterion: Criterion): Outcome {
  const { trace } = context;
  const back = trace.stretches.filter((s) => s.returning);
  const first = back[0];
  if (!first) return none(criterion, 'no way back was walked');
  if (first.state !== 'lost') return none(criterion, 'never lost at the turn');
  const reset = trace.reconnections.find((r) => r.how !== 'by itself' && r.atS >= first.fromS);
  if (criterion === 'reconnect after a reset') {
    return reset
      ? between(context, criterion, reset.position, reset.position)
      : none(criterion, 'no reset was made');
  }
  const clear = back.findIndex((s) => s.state === 'clear');
  const byItself = clear !== -1 && !(reset && reset.atS <= (back[clear] as Stretch).fromS);
  if (byItself)
    return between(
      context,
      criterion,
      (back[clear] as Stretch).from,
      (back.slice(0, clear).findLast((s) => s.state === 'lost') as Stretch).to,
    );
  return notRegained(context, criterion, reset?.position ?? back.findLast((s) => s.state === 'lost')?.to);
}

/** Left-censored: not back by itself down to the nearest place where it was still lost. */
function notRegained({ path }: Context, criterion: Criterion, nearest: Position | undefined): Outcome {
  if (!nearest) return none(criterion, 'not regained, at no known distance');
  const { greatestM } = separationRangeM(
    path,
    nearest.travelledM,
    nearest.travelledM + COVERAGE * nearest.uncertaintyM,
  );
  if (greatestM === 0) return none(criterion, 'not regained on the whole way back');
  return { criterion, interval: { heldM: 0, failedM: greatestM }, absent: undefined, bent: false };
}

/**
 * Both ways, per walk: the least of the holds and the least of the fails, a side without a fail counting as
 * none.
 */
export function bothWays(outcomes: readonly Outcome[]): Outcome | undefined {
  const [first] = outcomes;
  const intervals = outcomes.flatMap((o) => o.interval ?? []);
  if (!first || intervals.length < outcomes.length) return outcomes.find((o) => !o.interval);
  const fails = intervals.flatMap((i) => i.failedM ?? []);
  return {
    criterion: first.criterion,
    absent: undefined,
    bent: outcomes.some((o) => o.bent),
    interval: {
      heldM: Math.min(...intervals.map((i) => i.heldM)),
      failedM: fails.length > 0 ? Math.min(...fails) : undefined,
    },
  };
}
