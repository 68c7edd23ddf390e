import type { UsualMotion } from './usualMotion.ts';

/**
 * A still picture that a cut brought, with so much time for a codec to draw it, s, is told apart from a freeze: a
 * receiver's own card is one.
 */
const DRAWN_S = 0.6;
/** Moved for so long since the cut, s, by this part of the usual change in each frame, the film goes on. */
const [GOES_ON_S, GOES_ON_PART] = [0.4, 0.5];

/** The last cut that the film has not gone on from. */
export class LastCut {
  private cutS: number | undefined;
  private movedS = 0;

  /** A frame that changed so, when it was shown, and how long after the one before, s. */
  watch(change: number, usual: UsualMotion, atS: number, frameS: number): void {
    if (usual.isCut(change)) [this.cutS, this.movedS] = [atS, 0];
    else if ((usual.times(change) ?? 0) > GOES_ON_PART) this.movedS += frameS;
    if (this.movedS >= GOES_ON_S) this.cutS = undefined;
  }

  /** When the cut was that brought what stands from then on, s. */
  thatBrought(fromS: number): number | undefined {
    return this.cutS !== undefined && fromS - this.cutS <= DRAWN_S ? this.cutS : undefined;
  }
}
