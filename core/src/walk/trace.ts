import type { Direction } from '../grade/kind.ts';
import { stateOf, type Grade, type LinkState } from '../grade/grade.ts';
import { travelledOf, uncertaintyOf } from '../position/method.ts';
import { positionAt, type Fix, type Position } from '../position/track.ts';
import { effectiveLog } from './effectiveLog.ts';
import type { EndReason, EventOf, Reading, ReconnectWay, WalkEvent } from './event.ts';
import { lagOf, type OperatorDelay } from './lag.ts';

/** A stretch of one grade. Positions are absent where no mark tells them. */
export interface Stretch {
  readonly fromS: number;
  readonly toS: number;
  readonly grade: Grade;
  readonly state: LinkState;
  readonly from: Position | undefined;
  readonly to: Position | undefined;
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
  readonly stretches: readonly Stretch[];
  readonly reconnections: readonly Reconnection[];
  readonly notes: readonly { readonly atS: number; readonly text: string }[];
  readonly gaps: number;
  readonly turnS: number | undefined;
  readonly endS: number;
  /** Absent while the walk goes on. */
  readonly endReason: EndReason | undefined;
}

/** Speed at which a person's timing scatter becomes distance. */
const WALKING_MPS = 1.4;

export interface TraceOptions {
  readonly delay?: OperatorDelay;
  /** Travelled distance at the zero of counters (see Path). */
  readonly startOffsetM?: number;
}

/** Undefined until the walk has begun. */
export function traceWalk(log: readonly WalkEvent[], { delay, startOffsetM }: TraceOptions = {}): Trace | undefined {
  const events = effectiveLog(log);
  const begin = events.find((e) => e.kind === 'begin');
  if (!begin) return undefined;
  const end = events.findLast((e) => e.kind === 'end');
  const turn = events.findLast((e) => e.kind === 'turn');
  const lastS = end?.time.walkS ?? Math.max(...events.map((e) => e.time.walkS));
  const fixes = fixesOf(events, delay, startOffsetM);
  const grades = gradeChanges(events, begin, lastS, delay);
  return {
    begin,
    direction: begin.body.direction,
    fixes,
    stretches: stretchesOf(grades.changes, fixes, turn?.time.walkS, lastS),
    reconnections: grades.reconnections.map((r) => ({ ...r, position: positionAt(fixes, r.atS) })),
    notes: events.flatMap((e) => (e.kind === 'note' ? [{ atS: e.time.walkS, text: e.body.text }] : [])),
    gaps: events.filter((e) => e.kind === 'gap').length,
    turnS: turn?.time.walkS,
    endS: lastS,
    endReason: end?.body.reason,
  };
}

function fixesOf(events: readonly WalkEvent[], delay: OperatorDelay | undefined, startOffsetM: number | undefined): Fix[] {
  const fixes = events.flatMap((event) => {
    const reading = readingOf(event);
    if (!reading) return [];
    const timingM = lagOf(event, 0, delay).uncertaintyS * WALKING_MPS;
    return [{ atS: event.time.walkS, travelledM: travelledOf(reading, startOffsetM), uncertaintyM: Math.hypot(uncertaintyOf(reading), timingM) }];
  });
  // Of two readings at one moment the better one counts.
  fixes.sort((a, b) => a.atS - b.atS || a.uncertaintyM - b.uncertaintyM);
  return fixes.filter((f, i) => f.atS !== fixes[i - 1]?.atS);
}

export const readingOf = (event: WalkEvent): Reading | undefined =>
  event.kind === 'begin' || event.kind === 'mark' || event.kind === 'turn' || event.kind === 'end' ? event.body.reading : undefined;

interface Change { readonly atS: number; readonly grade: Grade }

function gradeChanges(events: readonly WalkEvent[], begin: EventOf<'begin'>, lastS: number, delay: OperatorDelay | undefined): { changes: Change[]; reconnections: Omit<Reconnection, 'position'>[] } {
  const startS = begin.time.walkS;
  const changes: Change[] = [{ atS: startS, grade: begin.body.baselineGrade }];
  const reconnections: Omit<Reconnection, 'position'>[] = [];
  let now: Grade = begin.body.baselineGrade;
  let beforeLoss: Grade = now;
  let lostS: number | undefined;
  const become = (atS: number, grade: Grade): void => {
    if (grade === now) return;
    if (grade === 1) [beforeLoss, lostS] = [now, atS];
    now = grade;
    changes.push({ atS, grade });
  };
  for (const event of events) {
    const atS = Math.min(lastS, Math.max(startS, event.time.walkS - lagOf(event, begin.body.playoutDelayS, delay).lagS));
    if (event.kind === 'grade') become(atS, event.body.grade);
    else if (event.kind === 'dropoutBegin') become(atS, 1);
    else if (event.kind === 'dropoutEnd' && now === 1) become(atS, restored(beforeLoss));
    else if (event.kind === 'reconnected') {
      reconnections.push({ atS, how: event.body.how, afterS: now === 1 && lostS !== undefined ? atS - lostS : undefined });
      if (now === 1) become(atS, restored(beforeLoss));
    } else if (event.kind === 'end' && event.body.reason === 'link failed') become(lastS, 1);
  }
  return { changes, reconnections };
}

/** A link that was silent from the start has no grade to go back to: what is known is that something comes through. */
const restored = (before: Grade): Grade => (before === 1 ? 2 : before);

function stretchesOf(changes: readonly Change[], fixes: readonly Fix[], turnS: number | undefined, lastS: number): Stretch[] {
  const cut: Change[] = changes.flatMap((change, i) => {
    const untilS = changes[i + 1]?.atS ?? lastS;
    return turnS !== undefined && change.atS < turnS && turnS < untilS ? [change, { atS: turnS, grade: change.grade }] : [change];
  });
  return cut.map((change, i) => {
    const toS = cut[i + 1]?.atS ?? lastS;
    return {
      fromS: change.atS, toS,
      grade: change.grade,
      state: stateOf(change.grade),
      from: positionAt(fixes, change.atS),
      to: positionAt(fixes, toS),
      returning: turnS !== undefined && change.atS >= turnS,
    };
  });
}
