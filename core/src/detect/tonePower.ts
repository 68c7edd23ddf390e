/**
 * Power of one tone in blocks: the sound is turned down to 0 Hz and averaged over a block of whole periods. Noise
 * beside it counts only with the share of it that lies within the block's bandwidth.
 */
export class TonePower {
  private re = 0;
  private im = 0;
  private count = 0;
  private phase = 0;
  private readonly turn: number;

  /** @throws RangeError */
  constructor(
    rateHz: number,
    toneHz: number,
    private readonly samples: number,
    private readonly each: (power: number) => void,
  ) {
    if (!(toneHz > 0 && toneHz < rateHz / 2)) throw new RangeError(`invalid toneHz: ${toneHz}`);
    this.turn = (2 * Math.PI * toneHz) / rateHz;
  }

  push(sound: Float32Array): void {
    for (const x of sound) {
      this.re += x * Math.cos(this.phase);
      this.im -= x * Math.sin(this.phase);
      this.phase += this.turn;
      if (this.phase > Math.PI) this.phase -= 2 * Math.PI;
      if (++this.count === this.samples) {
        // Of a sine of amplitude a: a²/2, as its mean power is.
        this.each((2 * (this.re * this.re + this.im * this.im)) / (this.samples * this.samples));
        this.re = this.im = this.count = 0;
      }
    }
  }
}
