import type { Grade } from '../grade/grade.ts';
import type { EventOf, ReconnectWay, WalkEvent } from '../log/event.ts';
import { lagOf, type OperatorDelay } from '../log/lag.ts';
import type { Look } from './look.ts';
import { standAt, type Stand } from './stand.ts';

/** A change of grade, when it happened. */
export interface Change {
  readonly atS: number;
  readonly grade: Grade;
  /** The last moment before it at which one looked. */
  readonly lookedBeforeS: number;
  /** Somebody said so; false of a beginning that nobody graded. */
  readonly stated: boolean;
  /** Logged at a frame that stands still, of this length, s. */
  readonly frameS?: number;
}

/** A link that was lost and came back. */
export interface Regained {
  readonly atS: number;
  readonly how: ReconnectWay;
  /** Seconds since the loss it ended; absent when none was logged. */
  readonly afterS: number | undefined;
}

interface Noticing {
  readonly events: readonly WalkEvent[];
  readonly begin: EventOf<'begin'>;
  readonly endS: number;
  readonly delay: OperatorDelay | undefined;
  readonly stands: readonly Stand[];
  /** What is pressed belongs to this direction. */
  readonly watched: boolean;
  /** Looks made in passing on a walk that is watched all the time. */
  readonly looks: readonly Look[];
}

/** What a press "lost" presupposes of a beginning that nobody graded: that something came through. */
const PRESENT: Grade = 2;

/** Grades over time, from what was pressed, each press set back by its lag. */
export function changesOf({ events, begin, endS, delay, stands, watched, looks }: Noticing): {
  changes: Change[];
  reconnections: Regained[];
} {
  const startS = begin.time.walkS;
  const baseline = begin.body.baselineGrade;
  let now: Grade = baseline ?? PRESENT;
  let beforeLoss = now;
  let lostS: number | undefined;
  const changes: Change[] = [
    { atS: startS, grade: now, lookedBeforeS: startS, stated: baseline !== undefined },
  ];
  const reconnections: Regained[] = [];
  const become = (atS: number, grade: Grade, lookedBeforeS = atS, frameS?: number): void => {
    if (grade === now && changes.at(-1)?.stated) return;
    if (grade === 1) [beforeLoss, lostS] = [now, atS];
    now = grade;
    changes.push({
      ...{ atS, grade, lookedBeforeS, stated: true },
      ...(frameS === undefined ? {} : { frameS }),
    });
  };
  const pressed = (event: WalkEvent, grade: Grade): void => {
    const atS = happenedS(event);
    become(atS, grade, atS, event.time.frameS);
  };
  /** At a stand nothing moves while one reacts. */
  const happenedS = (event: WalkEvent): number => {
    const lagged = event.time.walkS - lagOf(event, begin.body.playoutDelayS ?? 0, delay).lagS;
    const since = standAt(stands, event.time.walkS)?.fromS ?? startS;
    // What was logged at a frame that stands has no lag, what was pressed in play has: neither overtakes the other.
    const before = changes.at(-1)?.atS ?? startS;
    return Math.min(endS, Math.max(startS, since, before, lagged));
  };
  const seen = new Map(looks.map((l) => [l.atS, l]));
  let lookedS = startS;
  for (const event of events) {
    const look = seen.size === 0 ? undefined : seen.get(event.time.walkS);
    if (look) {
      become(look.atS, look.worst, lookedS);
      lookedS = look.atS;
      continue;
    }
    if (!watched) continue;
    if (event.kind === 'grade') pressed(event, event.body.grade);
    else if (event.kind === 'dropoutBegin') pressed(event, 1);
    else if (event.kind === 'dropoutEnd' && now === 1) pressed(event, restored(beforeLoss));
    else if (event.kind === 'reconnected') {
      const atS = happenedS(event);
      reconnections.push({
        atS,
        how: event.body.how,
        afterS: now === 1 && lostS !== undefined ? atS - lostS : undefined,
      });
      if (now === 1) pressed(event, restored(beforeLoss));
    } else if (event.kind === 'end' && event.body.reason === 'link failed')
      become(endS, 1, looks.length > 0 ? lookedS : endS);
  }
  return { changes, reconnections };
}

/**
 * A link that was silent from the start has no grade to go back to: what is known is that something comes
 * through.
 */
const restored = (before: Grade): Grade => (before === 1 ? PRESENT : before);
