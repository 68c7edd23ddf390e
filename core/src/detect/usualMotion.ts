import { Usual } from './usual.ts';

/** Fewer frames, and it is not known yet what is usual. */
const LEARN_FRAMES = 12;
/** A film whose frames change by less than this, in steps of 255, is too still to tell a freeze. */
const STILL = 0.02;
/** A change of so many times the usual is a cut. */
const CUT = 8;
/**
 * A film of fewer frames a second repeats them: one that changes by less than this part of one that came just before,
 * s, says nothing of how much the film moves.
 */
const [REPEATED, REPEATS_S] = [0.1, 0.1];

/** How much the frames of a film usually change, in steps of 255: the median of those that moved. Constant memory. */
export class UsualMotion {
  private readonly usual = new Usual();
  /** The frame that moved most of those that came just now. */
  private moved = { change: 0, atS: 0 };

  /** Undefined while too few frames moved, or all too little to tell a freeze. */
  get known(): number | undefined {
    const usual = this.learnt ? this.usual.median : 0;
    return usual < STILL ? undefined : usual;
  }

  /** Frames were seen, and hardly changed. */
  get tooStill(): boolean {
    return this.learnt && this.known === undefined;
  }

  /** So many times what is usual; none where that is not known. */
  times(change: number): number | undefined {
    const { known } = this;
    return known === undefined ? undefined : change / known;
  }

  isCut(change: number): boolean {
    const { known } = this;
    return known !== undefined && change > CUT * known;
  }

  /** A frame that moved, s. A cut is no usual change. */
  remember(change: number, atS: number): void {
    if (!Number.isFinite(change) || this.isCut(change)) return;
    if (change >= this.moved.change || atS - this.moved.atS > REPEATS_S) this.moved = { change, atS };
    if (change >= REPEATED * this.moved.change) this.usual.remember(change);
  }

  private get learnt(): boolean {
    return this.usual.count >= LEARN_FRAMES;
  }
}
