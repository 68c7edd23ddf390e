import type { Detected } from './detected.ts';
import * as phrases from './phrases.ts';

/** Repeats follow each other in a row, s. */
const NEAR_S = 0.5;
/** What changes by more than this share of the usual is no repeat, but moves little. */
const AS_IT_WAS = 0.1;
/** More in a row are the film's own way: it has fewer frames a second than its recording. */
const MOST = 6;

/**
 * Frames that were shown once more, too briefly to be a freeze. Of a film of 25 frames a second that was recorded at 60
 * nothing is told. Streaming, in constant memory but for what is found.
 */
export class RepeatedFrames {
  /** How many stood in a row, and those that are repeats. */
  private stood = 0;
  private row: Detected<'repeated frame'>[] = [];
  private rowToS = -Infinity;
  private readonly found: Detected<'repeated frame'>[] = [];

  /** So many frames that stood, from when to when, s, and by what share of the usual they changed at most. */
  push(fromS: number, toS: number, frames: number, share: number): void {
    if (fromS - this.rowToS > NEAR_S) this.close();
    this.rowToS = toS;
    this.stood++;
    if (share > AS_IT_WAS || this.stood > MOST) return;
    this.row.push({
      kind: 'repeated frame',
      ...{ fromS, toS, open: false, certainty: 0.5 },
      figure: phrases.onceMore(phrases.countedFrames(frames)),
    });
  }

  /** It repeated more than can be by chance until now, s. */
  isHabit(atS: number): boolean {
    return this.stood > MOST && atS - this.rowToS < NEAR_S;
  }

  end(): readonly Detected<'repeated frame'>[] {
    this.close();
    return this.found;
  }

  private close(): void {
    if (this.stood <= MOST) this.found.push(...this.row);
    this.stood = 0;
    this.row = [];
  }
}
