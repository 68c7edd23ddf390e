import { certaintyOf, type Detected } from './detected.ts';
import { CELL_DOTS, CELLS_ACROSS, LOOKED_AT, type FrameCells } from './frameCells.ts';
import * as phrases from './phrases.ts';

/** A picture is looked at in bands across it, of three rows. */
const ROWS = 3;
const BANDS = LOOKED_AT.height / ROWS;
/** What a band usually changes by is the mean of about so many frames, and known after as many. */
const REMEMBERED = 25;
/** Of a torn frame each part has so many bands at least. */
const LEAST_BANDS = 4;
/** A part stands where its bands change by less than this share of the usual, and the other moves by more than that. */
const [STANDS, MOVES] = [0.25, 0.6];
/** With the next frame the part that stood makes up for it, so many times the usual; more is something else. */
const [MAKES_UP, JUMPS] = [1.25, 4];
/** Bands that usually change by less, in steps of 255, tell nothing: a codec leaves them as they were now and then. */
const STILL = 1;

interface Tear {
  readonly fromS: number;
  readonly toS: number;
  /** The part that stood: its bands. */
  readonly top: number;
  readonly end: number;
}

/**
 * Frames that are put together from two: above or below a line the picture before stands, and with the next frame it
 * makes up for that. A line between two that wanders with every frame is not told, for nothing makes up. Streaming, in
 * constant memory but for what is found.
 */
export class TornFrames {
  private readonly usual = new Float32Array(BANDS);
  private known = 0;
  private tear: Tear | undefined;
  private run: (Tear & { readonly frames: number }) | undefined;
  private readonly found: Detected<'torn frame'>[] = [];

  /** A frame, and from when to when it is shown, s. */
  push(cells: FrameCells, fromS: number, toS: number): void {
    const changes = bandsOf(cells);
    if (this.tear && this.madeUp(changes, this.tear)) this.tell(this.tear);
    const was = this.tear;
    this.tear = this.known >= REMEMBERED ? this.tearIn(changes, fromS, toS) : undefined;
    // Neither a torn frame nor the one that makes up for it is usual.
    if (this.tear || was) return;
    this.known++;
    const share = 1 / Math.min(this.known, REMEMBERED);
    for (let b = 0; b < BANDS; b++) {
      const usual = this.usual[b] as number;
      this.usual[b] = usual + share * ((changes[b] as number) - usual);
    }
  }

  /** The whole picture stands, jumps or is blank: nothing of it is usual. */
  whole(): void {
    this.tear = undefined;
    this.known = 0;
  }

  end(): readonly Detected<'torn frame'>[] {
    this.close();
    return this.found;
  }

  private share(changes: Float32Array, from: number, to: number): number {
    let [sum, usual] = [0, 0];
    for (let b = from; b < to; b++) {
      sum += changes[b] as number;
      usual += this.usual[b] as number;
    }
    return usual < STILL * (to - from) ? Number.NaN : sum / usual;
  }

  /** The line that parts best what stands from what moves. */
  private tearIn(changes: Float32Array, fromS: number, toS: number): Tear | undefined {
    let best: (Tear & { readonly apart: number }) | undefined;
    for (let line = LEAST_BANDS; line <= BANDS - LEAST_BANDS; line++) {
      const [above, below] = [this.share(changes, 0, line), this.share(changes, line, BANDS)];
      const [stands, moves] = above < below ? [above, below] : [below, above];
      if (!(stands < STANDS && moves > MOVES)) continue;
      const [top, end] = above < below ? [0, line] : [line, BANDS];
      if (!this.all(changes, top, end) || (best && best.apart >= moves - stands)) continue;
      best = { fromS, toS, top, end, apart: moves - stands };
    }
    return best;
  }

  /** Every band of a part stands, not only their sum. */
  private all(changes: Float32Array, top: number, end: number): boolean {
    for (let b = top; b < end; b++) {
      const usual = this.usual[b] as number;
      if (usual >= STILL && (changes[b] as number) > 2 * STANDS * usual) return false;
    }
    return true;
  }

  private madeUp(changes: Float32Array, { top, end }: Tear): boolean {
    const share = this.share(changes, top, end);
    return share > MAKES_UP && share < JUMPS;
  }

  /** Torn again soon after is one stretch. */
  private tell(tear: Tear): void {
    const { run } = this;
    if (run && tear.fromS - run.toS < 2 * (tear.toS - tear.fromS))
      this.run = { ...run, toS: tear.toS, frames: run.frames + 1 };
    else {
      this.close();
      this.run = { ...tear, frames: 1 };
    }
  }

  private close(): void {
    const { run } = this;
    this.run = undefined;
    if (!run) return;
    const { fromS, toS, frames, top, end } = run;
    const share = Math.round((100 * (end - top)) / BANDS);
    this.found.push({
      kind: 'torn frame',
      ...{ fromS, toS, open: false },
      certainty: certaintyOf(frames, 0.5),
      figure: phrases.whosePercentCameLate(
        phrases.countedFrames(frames),
        top === 0 ? 'upper' : 'lower',
        share,
      ),
    });
  }
}

/** Of each band: mean change of a dot, in steps of 255. */
function bandsOf(cells: FrameCells): Float32Array {
  const perBand = ROWS * CELLS_ACROSS;
  return Float32Array.from({ length: BANDS }, (_, b) => {
    let sum = 0;
    for (let i = b * perBand; i < (b + 1) * perBand; i++) sum += cells.changes[i] as number;
    return sum / (perBand * CELL_DOTS);
  });
}
