import { powerDb } from './blockPower.ts';
import { certaintyOf, type Detected, type Thresholds } from './detected.ts';
import * as phrases from './phrases.ts';

export interface SilenceOptions {
  /** Below this it counts as silent, dB against full scale. */
  readonly belowDb: number;
  /** Shorter is a pause, s. */
  readonly leastS: number;
}
export const SILENCE_OPTIONS: SilenceOptions = { belowDb: -60, leastS: 0.5 };

/**
 * Silence where no reference is known: power below a stated level for a stated time. Pauses of speech are silent too:
 * what this finds is silence, and a dropout only where the signal does not pause.
 */
export class Silence {
  private block = 0;
  private from: number | undefined;
  private quietest = 0;
  private readonly found: Detected<'silence'>[] = [];
  private readonly options: SilenceOptions;

  /** @throws RangeError */
  constructor(
    private readonly blockS: number,
    options: Partial<SilenceOptions> = {},
  ) {
    this.options = { ...SILENCE_OPTIONS, ...options };
    if (!(blockS > 0)) throw new RangeError(`invalid blockS: ${blockS}`);
    if (!(this.options.leastS > 0)) throw new RangeError(`invalid leastS: ${this.options.leastS}`);
  }

  get thresholds(): Thresholds {
    return { below_db: this.options.belowDb, shortest_s: this.options.leastS };
  }

  push(power: number): Detected<'silence'> | undefined {
    const level = powerDb(power);
    const before = this.found.length;
    if (level < this.options.belowDb) {
      this.from ??= this.block;
      this.quietest = Math.min(this.quietest, level);
    } else this.close(false);
    this.block++;
    return this.found.length > before ? this.found.at(-1) : undefined;
  }

  /** A silence that goes on now, and is no pause any more: from when, s. */
  get openFromS(): number | undefined {
    return this.from !== undefined && (this.block - this.from) * this.blockS >= this.options.leastS
      ? this.from * this.blockS
      : undefined;
  }

  /** What it rests on, so far. */
  get openFigure(): string | undefined {
    return this.from === undefined ? undefined : figureOf(this.quietest);
  }

  end(): readonly Detected<'silence'>[] {
    this.close(true);
    return this.found;
  }

  private close(open: boolean): void {
    const { from, block, blockS, quietest } = this;
    this.from = undefined;
    this.quietest = 0;
    if (from === undefined || (block - from) * blockS < this.options.leastS) return;
    this.found.push({
      kind: 'silence',
      ...{ fromS: from * blockS, toS: block * blockS, open },
      certainty: certaintyOf(block - from, this.options.leastS / blockS),
      figure: figureOf(quietest),
    });
  }
}

const figureOf = (quietestDb: number): string => phrases.downToDbOfFullScale(quietestDb.toFixed(0));
