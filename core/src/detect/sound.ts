import { BlockPower } from './blockPower.ts';
import type { ArtefactKind, Detected, DropoutKind, Thresholds } from './detected.ts';
import { FloorRise } from './floorRise.ts';
import { KnownLoss, LOSS_BLOCK_S, type LossOptions } from './knownLoss.ts';
import { Silence, type SilenceOptions } from './silence.ts';
import { MissingChannel, SampleFaults } from './soundFaults.ts';
import { StuckBuffer } from './stuckBuffer.ts';
import { TONE_HZ, ToneFaults } from './toneFaults.ts';
import { TonePower } from './tonePower.ts';

/** What was sent, as far as it is known. */
export const SENT_SIGNALS = ['noise', 'tone', 'unknown'] as const;
export type SentSignal = (typeof SENT_SIGNALS)[number];

/** So near to the edge of a loss a jump is part of it, s. */
export const EDGE_S = 0.02;

export interface SoundFound {
  readonly durationS: number;
  readonly dropouts: readonly Detected<DropoutKind>[];
  readonly artefacts: readonly Detected<ArtefactKind>[];
  readonly thresholds: Thresholds;
}

export interface SoundOptions {
  readonly rateHz: number;
  readonly channels: number;
  readonly signal: SentSignal;
  /** When the first sample was, s of the recording; 0 where it is not said. */
  readonly beginsS?: number;
  readonly loss?: Partial<LossOptions>;
  readonly silence?: Partial<SilenceOptions>;
}

/**
 * Finds what was lost in sound that comes in piece by piece: loss of noise or of a tone, silence where nothing is
 * known of the signal, and faults of the samples. Memory does not grow with the length of the sound, only with what
 * is found.
 */
export class SoundDetector {
  private samples = 0;
  /** Of each channel, and what of each waits for the others. */
  private readonly powers: readonly { push(sound: Float32Array): void }[];
  private readonly waiting: readonly number[][];
  private readonly gaps: KnownLoss | Silence;
  private readonly faults: SampleFaults;
  private readonly missing: MissingChannel | undefined;
  /** A tone repeats itself: of it nothing is told. */
  private readonly stuck: StuckBuffer | undefined;
  /** Beside a tone and in it, in the first channel. */
  private readonly tone: ToneFaults | undefined;
  /** Under a signal that nothing is known of, in the first channel. */
  private readonly floor: FloorRise | undefined;

  /** @throws RangeError */
  constructor(private readonly options: SoundOptions) {
    const { rateHz, channels, signal } = options;
    if (!(rateHz >= 4000)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    if (!(channels >= 1) || !Number.isInteger(channels))
      throw new RangeError(`invalid channels: ${channels}`);
    const block = Math.round(rateHz * LOSS_BLOCK_S);
    const gaps =
      signal === 'unknown' ? new Silence(block / rateHz, options.silence) : new KnownLoss(options.loss);
    this.gaps = gaps;
    this.waiting = Array.from({ length: channels }, () => []);
    this.powers = this.waiting.map((own) => {
      const each = (power: number): void => void own.push(power);
      return signal === 'tone' ? new TonePower(rateHz, TONE_HZ, block, each) : new BlockPower(block, each);
    });
    if (signal === 'tone') this.tone = new ToneFaults(rateHz);
    else this.stuck = new StuckBuffer(rateHz);
    if (signal === 'unknown' && rateHz >= FloorRise.leastRateHz) this.floor = new FloorRise(rateHz);
    this.faults = new SampleFaults(rateHz);
    this.missing = channels >= 2 ? new MissingChannel(rateHz) : undefined;
  }

  /** The next piece, a channel each, of equal length. @throws RangeError */
  push(channels: readonly Float32Array[]): void {
    const [first, second] = channels;
    if (!first || channels.length !== this.options.channels)
      throw new RangeError(`invalid channels: ${channels.length}, not ${this.options.channels}`);
    this.powers.forEach((p, i) => p.push(channels[i] as Float32Array));
    this.tone?.push(first);
    // The mean power: one channel that is missing alone is no dropout.
    const ready = Math.min(...this.waiting.map((own) => own.length));
    for (let b = 0; b < ready; b++)
      this.gaps.push(this.waiting.reduce((sum, own) => sum + (own[b] as number), 0) / channels.length);
    for (const own of this.waiting) own.splice(0, ready);
    this.faults.push(first);
    this.stuck?.push(first);
    this.floor?.push(first);
    if (second) this.missing?.push(first, second);
    this.samples += first.length;
  }

  /** A loss that goes on now: from when, s. */
  get openFromS(): number | undefined {
    return this.gaps.openFromS;
  }

  end(): SoundFound {
    const dropouts = this.gaps.end();
    // Where sound is cut off and comes back it jumps: that is the loss, and no click beside it.
    const atEdge = (atS: number): boolean =>
      dropouts.some((d) => Math.abs(atS - d.fromS) < EDGE_S || Math.abs(atS - d.toS) < EDGE_S);
    const faults = this.faults.end().filter((f) => f.kind !== 'click' || !atEdge(f.fromS));
    const artefacts: Detected<ArtefactKind>[] = [
      ...faults,
      ...(this.missing?.end() ?? []),
      ...(this.tone?.end() ?? []),
      ...(this.floor?.end() ?? []),
      ...(this.stuck?.end() ?? []),
    ];
    const { beginsS = 0, rateHz } = this.options;
    const placed = <K extends DropoutKind | ArtefactKind>(
      all: readonly Detected<K>[],
    ): readonly Detected<K>[] => all.map((d) => ({ ...d, fromS: beginsS + d.fromS, toS: beginsS + d.toS }));
    return {
      durationS: beginsS + this.samples / rateHz,
      dropouts: placed(dropouts),
      artefacts: placed(artefacts.sort((a, b) => a.fromS - b.fromS)),
      thresholds: {
        ...this.gaps.thresholds,
        ...(this.tone ? ToneFaults.thresholds : {}),
        ...(this.floor ? FloorRise.thresholds : {}),
      },
    };
  }
}
