import { invertInformation } from '../numeric/linear.ts';

/** A tone over a block: its share of cosine and of sine, counted from the beginning of the block. */
export interface Phasor {
  readonly cos: number;
  readonly sin: number;
}

/** What a block of sound is made of. */
export interface ToneBlock {
  readonly tone: Phasor;
  readonly pilot: Phasor;
  /** Mean power of all that is neither. */
  readonly rest: number;
}

export const amplitudeOf = ({ cos, sin }: Phasor): number => Math.hypot(cos, sin);

/**
 * Fits a tone and its pilot to blocks of sound, both at once by least squares, so that neither is taken for what
 * stands beside the other. Streaming, in constant memory.
 */
export class TwoTones {
  /** Of a block, s. */
  readonly blockS: number;
  /** Cosine and sine of either over one block. */
  private readonly basis: readonly Float64Array[];
  private readonly inverse: readonly (readonly number[])[];
  private readonly samples: number;
  private readonly products = new Float64Array(4);
  private power = 0;
  private at = 0;

  /** @throws RangeError where the rate is too low for the tones */
  constructor(
    rateHz: number,
    tonesHz: readonly [tone: number, pilot: number],
    aboutS: number,
    private readonly each: (block: ToneBlock) => void,
  ) {
    if (!(Math.max(...tonesHz) < rateHz / 2)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    this.samples = Math.round(rateHz * aboutS);
    this.blockS = this.samples / rateHz;
    this.basis = tonesHz.flatMap((hz) =>
      [Math.cos, Math.sin].map((wave) =>
        Float64Array.from({ length: this.samples }, (_, i) => wave((2 * Math.PI * hz * i) / rateHz)),
      ),
    );
    const gram = this.basis.flatMap((a) =>
      this.basis.map((b) => a.reduce((sum, x, i) => sum + x * (b[i] as number), 0)),
    );
    this.inverse = invertInformation(Float64Array.from(gram), 4);
  }

  push(sound: Float32Array): void {
    const { products, samples } = this;
    const [a, b, c, d] = this.basis as [Float64Array, Float64Array, Float64Array, Float64Array];
    for (const x of sound) {
      const { at } = this;
      this.power += x * x;
      products[0] = (products[0] as number) + x * (a[at] as number);
      products[1] = (products[1] as number) + x * (b[at] as number);
      products[2] = (products[2] as number) + x * (c[at] as number);
      products[3] = (products[3] as number) + x * (d[at] as number);
      if (++this.at === samples) this.tell();
    }
  }

  private tell(): void {
    const along = (row: readonly number[]): number =>
      row.reduce((sum, v, k) => sum + v * (this.products[k] as number), 0);
    const fit = this.inverse.map(along) as [number, number, number, number];
    this.each({
      tone: { cos: fit[0], sin: fit[1] },
      pilot: { cos: fit[2], sin: fit[3] },
      // The fit times what it was fitted to is the power that it explains.
      rest: Math.max(0, this.power - along(fit)) / this.samples,
    });
    this.products.fill(0);
    this.power = this.at = 0;
  }
}
