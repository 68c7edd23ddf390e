import { Usual } from './usual.ts';

/** So many intervals tell what is usual. */
const LEARN_INTERVALS = 12;
/** Frames come regularly where nineteen intervals in twenty are shorter than so many times the usual one. */
const [MOST, REGULAR] = [0.95, 1.3];
/** An interval of so many times the usual one lacks a frame. */
const LACKS = 1.6;

/** A time in which frames should have come. */
export interface Hole {
  /** When the first of them should have come, s. */
  readonly fromS: number;
  readonly usualS: number;
  readonly frames: number;
}

/** The times of a film's frames: how often one comes, and where some did not. Constant memory. */
export class FrameTimes {
  private readonly intervals = new Usual();

  /** The next frame, s after the one before. @returns where frames lack between the two, if they come regularly */
  push(lastS: number, atS: number): Hole | undefined {
    const intervalS = atS - lastS;
    const usualS = this.usualS;
    // A film whose rate falls is irregular first, and then it is what is usual.
    this.intervals.remember(intervalS);
    if (usualS === undefined || intervalS < LACKS * usualS) return undefined;
    return { fromS: lastS + usualS, usualS, frames: Math.round(intervalS / usualS) - 1 };
  }

  /** How often a frame comes, s; undefined where they come as they please, or too few came. */
  private get usualS(): number | undefined {
    if (this.intervals.count < LEARN_INTERVALS) return undefined;
    const { median } = this.intervals;
    return (this.intervals.quantile(MOST) ?? Infinity) < REGULAR * median ? median : undefined;
  }
}
