/**
 * Mean power of sound in blocks of equal length, one after the other, however the samples come in. Full scale is 1; the
 * power of a full-scale sine is 0.5.
 */
export class BlockPower {
  private sum = 0;
  private count = 0;

  /** @param samples of a block, at least 1 @throws RangeError */
  constructor(
    private readonly samples: number,
    private readonly each: (power: number) => void,
  ) {
    if (!(samples >= 1) || !Number.isInteger(samples)) throw new RangeError(`invalid samples: ${samples}`);
  }

  push(sound: Float32Array): void {
    let { sum, count } = this;
    const { samples } = this;
    for (let i = 0; i < sound.length; i++) {
      const x = sound[i] as number;
      sum += x * x;
      if (++count === samples) {
        this.each(sum / samples);
        sum = count = 0;
      }
    }
    this.sum = sum;
    this.count = count;
  }
}

/** dB of a power against full scale (a square wave of full scale is 0 dB). */
export const powerDb = (power: number): number => 10 * Math.log10(Math.max(power, 1e-12));
