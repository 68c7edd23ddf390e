/** Beyond a factor of e¹² (160,000) from the estimate an end is called unbounded. */
const FAR = 12;
/** Where the curvature says nothing, the first look is this far out (a factor of e^½). */
export const FIRST_REACH = 0.5;
/** Ends of ln distance nearer than this are one: the profile of brackets that touch falls in steps. */
const CLOSE = 1e-7;

/**
 * What is known of where one end of a profile interval lies: between the farthest θ that is inside and the nearest
 * that is outside; w is the height that is followed, `goal` where it ends.
 */
export class EndBracket {
  /** No end is looked for beyond it. */
  readonly farthest: number;
  private inside: number;
  private outside: number;
  private wInside = 0;
  private wOutside = Infinity;
  private before = Infinity;
  private slow = 0;

  constructor(
    private readonly from: number,
    private readonly side: -1 | 1,
    private readonly goal: number,
  ) {
    this.farthest = from + side * FAR;
    this.inside = from;
    this.outside = side * Infinity;
  }

  /** The nearest θ outside, where nothing is left between. */
  get closedAt(): number | undefined {
    return Math.abs(this.outside - this.inside) < CLOSE ? this.outside : undefined;
  }

  /** What was known to lie outside does not. */
  open(): void {
    this.outside = this.side * Infinity;
    this.wOutside = Infinity;
  }

  see(theta: number, w: number): void {
    if (w > this.goal) [this.outside, this.wOutside] = [theta, w];
    else [this.inside, this.wInside] = [theta, w];
    const wide = Math.abs(this.outside - this.inside);
    this.slow = wide < Infinity && wide > this.before / 2 ? this.slow + 1 : 0;
    this.before = wide;
  }

  /**
   * Where to look next: where Newton's method points, if that is between; outwards at most three times as far as
   * before. Where it says nothing, along the straight line. What does not halve the bracket in two steps gives way to
   * what does, and so always arrives.
   */
  next(newton: number): number {
    const { from, side, goal, inside, outside, wInside, wOutside } = this;
    const bounded = Math.abs(outside) < Infinity;
    const middle = (inside + outside) / 2;
    if (bounded && this.slow === 2) {
      this.slow = 0;
      return middle;
    }
    const reach = 3 * Math.abs(inside - from) + FIRST_REACH;
    const limit = bounded ? outside : reach < FAR ? from + side * reach : this.farthest;
    if (side * (newton - inside) > 0 && side * (limit - newton) > 0) return newton;
    if (!bounded) return limit;
    const straight = inside + ((outside - inside) * (goal - wInside)) / (wOutside - wInside);
    return side * (straight - inside) > 0 ? straight : middle;
  }
}
