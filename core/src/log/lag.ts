import type { WalkEvent } from './event.ts';

/** How much later than the happening an event was logged, in real seconds. */
export interface OperatorDelay {
  readonly reactionS: number;
  readonly spreadS: number;
  /** From so many answers it was learned; absent: it was taken from elsewhere. */
  readonly answers?: number;
}

/** Common practice until the operator's own is measured. */
export const DEFAULT_DELAY: OperatorDelay = { reactionS: 0.6, spreadS: 0.2 };

/** Error of an operator's mean that nobody trained, s (common practice). */
const UNTRAINED_MEAN_S = 0.2;

/** How well the mean itself is known: an error common to all presses of an operator. */
export const meanErrorS = ({ spreadS, answers }: OperatorDelay = DEFAULT_DELAY): number =>
  // Without spread nobody pressed: it was written down, or read off a frame that stands still.
  answers === undefined && spreadS > 0 ? UNTRAINED_MEAN_S : spreadS / Math.sqrt(answers ?? 1);

export interface Lag {
  readonly lagS: number;
  readonly uncertaintyS: number;
}

/**
 * Lag of an event on the walk's clock. What is noticed is logged after the reaction and the rig's playout
 * delay; marks are anticipated: no delay, the same spread. When simulated gear plays at a rate, a second of
 * reaction is `rate` seconds of walk. At a frame that stands still nobody reacts: it is known to half of it.
 */
export function lagOf(event: WalkEvent, playoutDelayS: number, delay: OperatorDelay = DEFAULT_DELAY): Lag {
  const { rate, frameS } = event.time;
  switch (event.kind) {
    case 'grade':
    case 'dropoutBegin':
    case 'dropoutEnd':
    case 'reconnected':
      return frameS === undefined
        ? { lagS: delay.reactionS * rate + playoutDelayS, uncertaintyS: delay.spreadS * rate }
        : { lagS: playoutDelayS, uncertaintyS: frameS / 2 };
    // A door is seen coming; a hand-over is noticed on what an instrument shows, which plays nothing out.
    case 'landmark':
      return event.body.what === 'hand-over' && frameS === undefined
        ? { lagS: delay.reactionS * rate, uncertaintyS: delay.spreadS * rate }
        : { lagS: 0, uncertaintyS: frameS === undefined ? 0 : frameS / 2 };
    case 'begin':
    case 'mark':
    case 'turn':
    case 'end': {
      if (frameS !== undefined) return { lagS: 0, uncertaintyS: frameS / 2 };
      const reading = event.body.reading;
      return { lagS: 0, uncertaintyS: reading?.pressed ? delay.spreadS * rate : 0 };
    }
    // Logged standing still, or by an instrument: nothing moves meanwhile.
    default:
      return { lagS: 0, uncertaintyS: 0 };
  }
}
