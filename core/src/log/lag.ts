import type { WalkEvent } from './event.ts';

/** How much later than the happening an event was logged, in real seconds. */
export interface OperatorDelay {
  readonly reactionS: number;
  readonly spreadS: number;
}

/** Common practice until the operator's own is measured. */
export const DEFAULT_DELAY: OperatorDelay = { reactionS: 0.6, spreadS: 0.2 };

export interface Lag {
  readonly lagS: number;
  readonly uncertaintyS: number;
}

/**
 * Lag of an event on the walk's clock. What is noticed is logged after the reaction and the rig's playout
 * delay; marks are anticipated: no delay, the same spread. When simulated gear plays at a rate, a second of
 * reaction is `rate` seconds of walk.
 */
export function lagOf(event: WalkEvent, playoutDelayS: number, delay: OperatorDelay = DEFAULT_DELAY): Lag {
  const { rate } = event.time;
  switch (event.kind) {
    case 'grade':
    case 'dropoutBegin':
    case 'dropoutEnd':
    case 'reconnected':
      return { lagS: delay.reactionS * rate + playoutDelayS, uncertaintyS: delay.spreadS * rate };
    case 'begin':
    case 'mark':
    case 'turn':
    case 'end': {
      const reading = event.body.reading;
      return { lagS: 0, uncertaintyS: reading?.pressed ? delay.spreadS * rate : 0 };
    }
    // Logged standing still, or by an instrument: nothing moves meanwhile.
    default:
      return { lagS: 0, uncertaintyS: 0 };
  }
}
