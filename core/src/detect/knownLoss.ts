import { powerDb } from './blockPower.ts';
import { certaintyOf, type Detected, type Thresholds } from './detected.ts';
import * as phrases from './phrases.ts';

/** Power of a steady signal is looked at in blocks of this length, s. */
export const LOSS_BLOCK_S = 0.001;

export interface LossOptions {
  /** Power falls by so much and more, dB. */
  readonly dropDb: number;
  /** Shorter is not told, s. */
  readonly leastS: number;
}
export const LOSS_OPTIONS: LossOptions = { dropDb: 10, leastS: 0.01 };

/** Evidence for a change, nats: e^25 to one. */
const ENOUGH = 25;
/** Of one block: so that a single click opens and closes nothing. */
const MOST_EVIDENCE = 8;
/** The usual level follows a swelling of so many dB a second, and stands still in a gap. */
const FOLLOW_DB_PER_S = 20;
/** What is expected rises with it by no more than this: what comes after a bang is not taken for a loss. */
const RISE_DB_PER_S = 6;
/** Until so much was heard nothing is expected, s. */
const LEARN_S = 0.25;
/** While a gap lasts the level may have changed: what is expected widens downwards, dB a second, to so much. */
const WIDEN_DB_PER_S = 4;
const MOST_WIDEN_DB = 9;
/** Halves of the degrees of freedom of a block's power: of narrow and of wide noise. */
const [LEAST_SHAPE, MOST_SHAPE] = [1.5, 24];
/** A gap is never taken for quieter than so far below what is expected, and never for louder, as power. */
const [DEEPEST, SHALLOWEST] = [1e-3, 0.25];

/** Power for so many dB. */
const db = (level: number): number => Math.exp((level * Math.LN10) / 10);
const clamp = (x: number, least: number, most: number): number => Math.min(most, Math.max(least, x));

/**
 * Loss of a steady known signal (noise, a tone): its power in blocks of 1 ms is watched by two cumulative sums (E. S.
 * Page, Biometrika 41, 1954) of the log-likelihood that it fell by `dropDb`, and that it came back, a block's power
 * being Gamma with the mean that is expected. The onset is where the sum last left 0. Streaming: memory does not grow
 * with its input.
 */
export class KnownLoss {
  private block = 0;
  private expectedDb: number | undefined;
  /** A slow median of the signal. */
  private usualDb = 0;
  private readonly learnt: number[] = [];
  private shape = 6;
  private spread = 1 / 6;
  private sum = 0;
  private since = 0;
  /** Power since the sum left 0: where it turns out to be a gap, its first blocks. */
  private readonly run = { power: 0, blocks: 0 };
  private gap: { readonly from: number; power: number; blocks: number } | undefined;
  private readonly found: Detected<'loss'>[] = [];
  private readonly options: LossOptions;
  /** −ln m and 1/m − 1 of the power after a drop as part of the one before, m. */
  private readonly dropNats: number;
  private readonly dropTimes: number;

  /** @param blockS length of a block, s @throws RangeError */
  constructor(
    options: Partial<LossOptions> = {},
    private readonly blockS = LOSS_BLOCK_S,
  ) {
    if (!(blockS > 0)) throw new RangeError(`invalid blockS: ${blockS}`);
    this.options = { ...LOSS_OPTIONS, ...options };
    const { dropDb, leastS } = this.options;
    if (!(dropDb > 0)) throw new RangeError(`invalid dropDb: ${dropDb}`);
    if (!(leastS > 0)) throw new RangeError(`invalid leastS: ${leastS}`);
    this.dropNats = Math.log(db(dropDb));
    this.dropTimes = db(dropDb) - 1;
  }

  get thresholds(): Thresholds {
    return { drop_db: this.options.dropDb, shortest_s: this.options.leastS };
  }

  /** Power of the next block. @returns what this block has ended, if anything */
  push(power: number): Detected<'loss'> | undefined {
    if (!(power >= 0)) throw new RangeError(`invalid power: ${power}`);
    const before = this.found.length;
    if (this.expectedDb === undefined) this.learn(power);
    else if (this.gap) this.inGap(power, this.expectedDb, this.gap);
    else this.inSignal(power, this.expectedDb);
    this.block++;
    return this.found.length > before ? this.found.at(-1) : undefined;
  }

  /** A block that says nothing: what was sent was too quiet to be missed. Weak evidence before it began nothing. */
  pass(): void {
    this.block++;
    if (this.gap || this.sum > ENOUGH / 2) return;
    this.sum = 0;
    this.startRun(this.block);
  }

  /** Of the signal, dB against full scale; undefined until one was heard. */
  get expectedLevelDb(): number | undefined {
    return this.expectedDb;
  }

  /** A loss that goes on now: from when, s. */
  get openFromS(): number | undefined {
    return this.gap && this.gap.from * this.blockS;
  }

  /** What a loss that goes on now rests on, so far. */
  get openFigure(): string | undefined {
    return this.gap && figureOf(this.belowDb(this.gap));
  }

  /** All losses in order; one that goes on at the end is open. */
  end(): readonly Detected<'loss'>[] {
    if (this.gap) this.tell(this.gap, this.block, true);
    this.gap = undefined;
    return this.found;
  }

  /** The median of the first blocks that are not silent. */
  private learn(power: number): void {
    if (power <= 1e-11) return;
    this.learnt.push(powerDb(power));
    if (this.learnt.length * this.blockS < LEARN_S) return;
    const sorted = [...this.learnt].sort((a, b) => a - b);
    this.usualDb = sorted[Math.floor(sorted.length / 2)] as number;
    this.expectedDb = this.usualDb;
  }

  private inSignal(power: number, expectedDb: number): void {
    const ratio = power / db(expectedDb);
    // Gamma of equal shape: ln f1/f0 = k (−ln m − r (1/m − 1)), m the mean after the drop.
    const evidence = this.shape * (this.dropNats - ratio * this.dropTimes);
    this.sum = Math.max(0, this.sum + clamp(evidence, -MOST_EVIDENCE, MOST_EVIDENCE));
    this.run.power += power;
    this.run.blocks++;
    if (this.sum === 0) {
      this.startRun(this.block + 1);
      this.follow(power, expectedDb, ratio);
    } else if (this.sum > ENOUGH) {
      this.gap = { from: this.since, ...this.run };
      this.sum = 0;
      this.startRun(this.block + 1);
    }
  }

  private startRun(since: number): void {
    this.since = since;
    this.run.power = this.run.blocks = 0;
  }

  /** The usual level; and how much blocks scatter, which tells how much one of them says. */
  private follow(power: number, expectedDb: number, ratio: number): void {
    // The usual level follows as a median does: by the side on which a block lies.
    this.usualDb += Math.sign(power - db(this.usualDb)) * FOLLOW_DB_PER_S * this.blockS;
    this.expectedDb = Math.min(this.usualDb, expectedDb + RISE_DB_PER_S * this.blockS);
    const off = Math.min(4, (ratio - 1) ** 2);
    this.spread += (off - this.spread) * 0.002;
    this.shape = clamp(1 / Math.max(this.spread, 1e-6), LEAST_SHAPE, MOST_SHAPE);
  }

  private inGap(power: number, expectedDb: number, gap: NonNullable<KnownLoss['gap']>): void {
    const lastedS = (this.block - gap.from) * this.blockS;
    const leastDb = expectedDb - Math.min(MOST_WIDEN_DB, WIDEN_DB_PER_S * lastedS);
    const back = db(leastDb);
    const floor = gap.blocks > 0 ? gap.power / gap.blocks : 0;
    const lost = clamp(floor, DEEPEST * back, SHALLOWEST * back);
    const evidence = this.shape * (Math.log(lost / back) + power * (1 / lost - 1 / back));
    this.sum = Math.max(0, this.sum + clamp(evidence, -MOST_EVIDENCE, MOST_EVIDENCE));
    if (this.sum === 0) {
      this.since = this.block + 1;
      gap.power += power;
      gap.blocks++;
    } else if (this.sum > ENOUGH) {
      this.tell(gap, this.since, false);
      this.gap = undefined;
      this.usualDb = clamp(powerDb(power), leastDb, expectedDb);
      this.expectedDb = this.usualDb;
      this.sum = 0;
      this.since = this.block + 1;
    }
  }

  private tell(gap: NonNullable<KnownLoss['gap']>, to: number, open: boolean): void {
    const [fromS, toS] = [gap.from * this.blockS, to * this.blockS];
    if (toS - fromS < this.options.leastS) return;
    const below = this.belowDb(gap);
    this.found.push({
      kind: 'loss',
      ...{ fromS, toS, open },
      certainty: certaintyOf(below, this.options.dropDb / 2),
      figure: figureOf(below),
    });
  }

  private belowDb({ power, blocks }: NonNullable<KnownLoss['gap']>): number {
    return (this.expectedDb ?? 0) - powerDb(blocks > 0 ? power / blocks : 0);
  }
}

const figureOf = (belowDb: number): string =>
  belowDb > 60 ? phrases.moreThan60DbBelowWhat : phrases.dbBelowWhatWasExpected(belowDb.toFixed(0));
