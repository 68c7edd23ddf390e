/**
 * When sound that comes in was there, by the clock of the page. A piece is handed on late where the page is busy, never
 * early: the least difference of the two clocks is the true one, over a window that follows a sound card's drift.
 */
export class InputClock {
  private samples = 0;
  /** Least of page time less sound time, ms: of these pieces, and of as many before them. */
  private least = Infinity;
  private leastBefore = Infinity;
  private pieces = 0;

  /**
   * @param rateHz of the sound
   * @param latencyMs of the input, as the browser tells it
   * @param window pieces over which the clocks are compared: 1000 of 1024 samples are some 20 s
   */
  constructor(
    private readonly rateHz: number,
    private readonly latencyMs = 0,
    private readonly window = 1000,
  ) {
    if (!(rateHz > 0)) throw new RangeError(`a rate of ${rateHz} Hz`);
  }

  /** A piece of so many samples came at this time of the page's clock, ms. */
  came(samples: number, pageMs: number): void {
    this.samples += samples;
    this.least = Math.min(this.least, pageMs - (1000 * this.samples) / this.rateHz);
    if (++this.pieces < this.window) return;
    [this.leastBefore, this.least, this.pieces] = [this.least, Infinity, 0];
  }

  /** The page's time, ms, of what is so far into the sound, s. @throws RangeError before a piece came */
  pageMs(atS: number): number {
    const beganMs = Math.min(this.least, this.leastBefore);
    if (beganMs === Infinity) throw new RangeError(`no sound came yet: ${atS} s into it has no time`);
    return beganMs - this.latencyMs + 1000 * atS;
  }
}
