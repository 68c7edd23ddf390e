import type { Grade } from '../grade/grade.ts';
import type { EventKind, EventBodies } from '../log/event.ts';
import { DEFAULT_DELAY, type OperatorDelay } from '../log/lag.ts';
import type { Random } from '../random/seeded.ts';
import { TICK_S, type SimulatedGearWalk, type Tick } from './simulatedGear.ts';

/** What a simulated person logs, with the moment on the walk's clock. */
export type LoggedAction = {
  [K in EventKind]: { readonly atS: number; readonly kind: K; readonly body: EventBodies[K] };
}[EventKind];

export interface OperatorHabits {
  readonly delay: OperatorDelay;
  /** Turns after this long in silence; at the end of the path otherwise. */
  readonly turnAfterLostS: number;
  /** The wheel writes its reading this often. */
  readonly wheelEveryS: number;
  /** A change is logged when it lasts this long. */
  readonly settleS: number;
}

export const DEFAULT_HABITS: OperatorHabits = {
  delay: DEFAULT_DELAY,
  turnAfterLostS: 15,
  wheelEveryS: 5,
  settleS: 0.5,
};

/** Walks out and back with a simulated rig, and logs as a person would: late, and only what lasts. */
export function operate(
  walk: SimulatedGearWalk,
  random: Random,
  habits: OperatorHabits = DEFAULT_HABITS,
): { log: LoggedAction[]; ticks: Tick[] } {
  const log: LoggedAction[] = [];
  const ticks: Tick[] = [];
  const reacted = (atS: number): number =>
    atS + Math.max(0.2, habits.delay.reactionS + habits.delay.spreadS * random.normal());
  let logged: Grade = 5;
  let [changedS, lostS, returning, sinceWheelS] = [0, 0, false, 0];
  let heard: Grade = 5;
  for (;;) {
    const tick = walk.step();
    ticks.push(tick);
    if (tick.grade !== heard) [heard, changedS] = [tick.grade, tick.tS];
    if (heard !== logged && tick.tS - changedS >= habits.settleS) {
      log.push(...gradeActions(logged, heard, reacted(changedS)));
      logged = heard;
    }
    lostS = heard === 1 ? lostS + TICK_S : 0;
    sinceWheelS += TICK_S;
    if (sinceWheelS >= habits.wheelEveryS) {
      log.push({ atS: tick.tS, kind: 'mark', body: { reading: wheel(tick) } });
      sinceWheelS = 0;
    }
    if (!returning && (lostS >= habits.turnAfterLostS || tick.standing)) {
      walk.turn();
      returning = true;
      log.push({ atS: tick.tS, kind: 'turn', body: { reading: wheel(tick) } });
    } else if (returning && tick.standing) {
      log.push({
        atS: Math.max(tick.tS, ...log.map((a) => a.atS)) + TICK_S,
        kind: 'end',
        body: { reason: 'path ended', reading: wheel(tick) },
      });
      return { log, ticks };
    }
  }
}

export const wheel = (tick: Tick): { travelledM: number; method: 'wheel'; pressed: false } => ({
  travelledM: Math.max(0, tick.wheelM),
  method: 'wheel',
  pressed: false,
});

function gradeActions(from: Grade, to: Grade, atS: number): LoggedAction[] {
  if (to === 1) return [{ atS, kind: 'dropoutBegin', body: {} }];
  const graded: LoggedAction = {
    atS: from === 1 ? atS + TICK_S / 2 : atS,
    kind: 'grade',
    body: { grade: to },
  };
  return from === 1 ? [{ atS, kind: 'dropoutEnd', body: {} }, graded] : [graded];
}
