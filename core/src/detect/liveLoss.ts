import { BlockPower, powerDb } from './blockPower.ts';
import { KnownLoss, LOSS_BLOCK_S, type LossOptions } from './knownLoss.ts';
import { Silence, type SilenceOptions } from './silence.ts';
import type { SentSignal } from './sound.ts';
import { TONE_HZ } from './toneFaults.ts';
import { TonePower } from './tonePower.ts';

/** What is heard live changes: the signal is lost, or comes back. */
export interface LiveChange {
  readonly kind: 'lost' | 'back';
  /** On the sound's own clock, s from its first sample. */
  readonly atS: number;
  /** What it rests on. */
  readonly figure: string;
}

/** Level is told over so long, s. */
const LEVEL_S = 0.1;

/**
 * Finds losses in sound while it comes in, and tells each as soon as it has lasted as long as is asked for. One
 * channel. Memory grows with what is found only.
 */
export class LiveLoss {
  private readonly powers: { push(sound: Float32Array): void };
  private readonly level: BlockPower;
  private readonly gaps: KnownLoss | Silence;
  private readonly leastS: number;
  private readonly blockS: number;
  private blocks = 0;
  private told = false;
  private changes: LiveChange[] = [];
  private lastDb: number | undefined;
  private sinceS: number | undefined;

  /** @throws RangeError */
  constructor(
    rateHz: number,
    signal: SentSignal,
    options: { readonly loss?: Partial<LossOptions>; readonly silence?: Partial<SilenceOptions> } = {},
  ) {
    if (!(rateHz >= 4000)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    const block = Math.round(rateHz * LOSS_BLOCK_S);
    this.blockS = block / rateHz;
    this.gaps =
      signal === 'unknown'
        ? new Silence(this.blockS, options.silence)
        : new KnownLoss(options.loss, this.blockS);
    this.leastS = this.gaps.thresholds['shortest_s'] as number;
    const each = (power: number): void => this.take(power);
    this.powers =
      signal === 'tone' ? new TonePower(rateHz, TONE_HZ, block, each) : new BlockPower(block, each);
    this.level = new BlockPower(Math.round(rateHz * LEVEL_S), (power) => (this.lastDb = powerDb(power)));
  }

  /** Of the last tenth of a second, dB against full scale; undefined before the first. */
  get levelDb(): number | undefined {
    return this.lastDb;
  }

  /**
   * The usual level that losses are told by, dB against full scale: of a known signal once it was heard (undefined: it
   * was not yet, and nothing can be missed), of an unknown one the level of silence.
   */
  get usualDb(): number | undefined {
    return this.gaps instanceof KnownLoss ? this.gaps.expectedLevelDb : this.gaps.thresholds['below_db'];
  }

  /** Since when it is known what is usual, s: what was heard before is the signal being switched on. */
  get usualSinceS(): number | undefined {
    return this.sinceS;
  }

  /** So long was listened to, s. */
  get heardS(): number {
    return this.blocks * this.blockS;
  }

  push(sound: Float32Array): readonly LiveChange[] {
    this.changes = [];
    this.powers.push(sound);
    this.level.push(sound);
    if (this.usualDb !== undefined) this.sinceS ??= this.heardS;
    return this.changes;
  }

  private take(power: number): void {
    const ended = this.gaps.push(power);
    this.blocks++;
    if (ended) {
      if (!this.told) this.changes.push({ kind: 'lost', atS: ended.fromS, figure: ended.figure });
      this.changes.push({ kind: 'back', atS: ended.toS, figure: ended.figure });
      this.told = false;
      return;
    }
    const fromS = this.gaps.openFromS;
    if (fromS === undefined || this.told || this.heardS - fromS < this.leastS) return;
    this.told = true;
    this.changes.push({ kind: 'lost', atS: fromS, figure: this.gaps.openFigure ?? '' });
  }
}
