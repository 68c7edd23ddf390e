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
    const { samples } = this;
    let { sum, count } = this;
    for (let i = 0; i < sound.length;) {
      const end = Math.min(sound.length, i + samples - count);
      count += end - i;
      for (; i < end; i++) sum += (sound[i] as number) * (sound[i] as number);
      if (count < samples) break;
      this.each(sum / samples);
      sum = count = 0;
    }
    this.sum = sum;
    this.count = count;
  }
}

/** dB of a power against full scale (a square wave of full scale is 0 dB). */
export const powerDb = (power: number): number => 10 * Math.log10(Math.max(power, 1e-12));
