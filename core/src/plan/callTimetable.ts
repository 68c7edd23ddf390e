import { WALKING_MPS } from '../quantity/pace.ts';
import * as phrases from './phrases.ts';

export interface CallOptions {
  /** Standing still before the first call of a point, s. */
  readonly settleS: number;
  readonly tries: number;
  /** Waiting for an answer to one call, s. */
  readonly timeoutS: number;
}

/**
 * What two people need to call each other at every point without a second channel. Seconds since the walk
 * began.
 */
export interface CallRow {
  readonly checkpoint: string;
  readonly atM: number;
  readonly arriveS: number;
  /** The walker calls first; the fixed end listens from here. */
  readonly walkerSendsS: number;
  readonly baseSendsS: number;
  /** Whatever was heard, the walker moves on: the fixed end knows. */
  readonly leaveS: number;
}

export const USUAL_CALLS: CallOptions = { settleS: 20, tries: 3, timeoutS: 15 };

/**
 * Who sends, when, how many tries, and when to move on; a fixed end that hears nothing keeps to it all the
 * same. @throws RangeError
 */
export function callTimetable(
  checkpoints: readonly { readonly name: string; readonly atM: number }[],
  { settleS, tries, timeoutS }: CallOptions = USUAL_CALLS,
): CallRow[] {
  if (!(settleS >= 0)) throw new RangeError(phrases.invalidSettles(settleS));
  if (!(Number.isInteger(tries) && tries >= 1)) throw new RangeError(phrases.invalidTries(tries));
  if (!(timeoutS > 0)) throw new RangeError(phrases.invalidTimeouts(timeoutS));
  let [clockS, lastM] = [0, 0];
  return [...checkpoints]
    .sort((a, b) => a.atM - b.atM)
    .map(({ name, atM }) => {
      const arriveS = clockS + (atM - lastM) / WALKING_MPS;
      const walkerSendsS = arriveS + settleS;
      const baseSendsS = walkerSendsS + tries * timeoutS;
      const leaveS = baseSendsS + tries * timeoutS;
      [clockS, lastM] = [leaveS, atM];
      return { checkpoint: name, atM, arriveS, walkerSendsS, baseSendsS, leaveS };
    });
}

/** "12:40", minutes and seconds since the walk began. */
export const sinceStart = (seconds: number): string => {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};
