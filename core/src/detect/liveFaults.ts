import type { ArtefactKind, Detected } from './detected.ts';
import { FloorRise } from './floorRise.ts';
import { SampleFaults } from './soundFaults.ts';
import { EDGE_S, type SentSignal } from './sound.ts';
import type { LiveChange } from './liveLoss.ts';
import { StuckBuffer } from './stuckBuffer.ts';
import { ToneFaults } from './toneFaults.ts';

/** Faults of one kind that follow each other within this are told once, s. */
const TOLD_AGAIN_S = 5;
/** A loss is told after half a second at most: a click waits for so long, s, whether it was the edge of one. */
const HELD_S = 0.6;

/**
 * Faults of sound told while it comes in, each when it begins to be sure: clicks, clipping, a buffer that is stuck,
 * noise that rises, and moments of a tone that were left out or played twice. One channel; what is told is forgotten,
 * so that memory does not grow.
 */
export class LiveFaults {
  private readonly faults: SampleFaults;
  /** A tone repeats itself: of it nothing is told. */
  private readonly stuck: StuckBuffer | undefined;
  private readonly tone: ToneFaults | undefined;
  private readonly floor: FloorRise | undefined;
  private readonly edges: number[] = [];
  private clicks: Detected<ArtefactKind>[] = [];
  private heard = 0;
  private readonly lastS = new Map<ArtefactKind, number>();
  private rising = false;

  /** @throws RangeError */
  constructor(
    private readonly rateHz: number,
    signal: SentSignal,
  ) {
    this.faults = new SampleFaults(rateHz);
    this.stuck = signal === 'tone' ? undefined : new StuckBuffer(rateHz);
    this.tone = signal === 'tone' ? new ToneFaults(rateHz) : undefined;
    this.floor = signal === 'unknown' && rateHz >= FloorRise.leastRateHz ? new FloorRise(rateHz) : undefined;
  }

  /**
   * The next piece, and what was lost or came back with it.
   * @param sinceS nothing is told of what was before; undefined: of all up to now
   * @returns what began, on the sound's own clock, in order
   */
  push(
    sound: Float32Array,
    changes: readonly LiveChange[],
    sinceS: number | undefined,
  ): readonly Detected<ArtefactKind>[] {
    this.heard += sound.length;
    this.edges.push(...changes.map((c) => c.atS));
    this.faults.push(sound);
    this.stuck?.push(sound);
    this.tone?.push(sound);
    this.floor?.push(sound);
    const risen = (this.tone ?? this.floor)?.open;
    const begun = risen && !this.rising ? [risen] : [];
    this.rising = risen !== undefined;
    // A rise was told when it began.
    this.floor?.drain();
    const samples = this.faults.drain();
    return [
      ...samples.filter((f) => f.kind !== 'click'),
      ...this.sure(samples),
      ...(this.stuck?.drain() ?? []),
      ...(this.tone?.drain() ?? []),
    ]
      .concat(begun)
      .toSorted((a, b) => a.fromS - b.fromS)
      .filter(({ kind, fromS, toS }) => {
        if (sinceS === undefined || fromS < sinceS) return false;
        const before = this.lastS.get(kind);
        this.lastS.set(kind, toS);
        return before === undefined || fromS - before > TOLD_AGAIN_S;
      });
  }

  /** Clicks that were not the edge of a loss: where sound is cut off and comes back it jumps. */
  private sure(found: readonly Detected<ArtefactKind>[]): readonly Detected<ArtefactKind>[] {
    this.clicks.push(...found.filter((f) => f.kind === 'click'));
    const nowS = this.heard / this.rateHz;
    const old = this.clicks.filter((c) => nowS - c.fromS > HELD_S);
    this.clicks = this.clicks.filter((c) => nowS - c.fromS <= HELD_S);
    const sure = old.filter((c) => !this.edges.some((atS) => Math.abs(c.fromS - atS) < EDGE_S));
    while (this.edges.length > 0 && nowS - (this.edges[0] as number) > 2 * HELD_S) this.edges.shift();
    return sure;
  }
}
