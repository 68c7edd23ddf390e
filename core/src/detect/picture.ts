import { median } from '../numeric/median.ts';
import {
  certaintyOf,
  type ArtefactKind,
  type Detected,
  type DropoutKind,
  type Thresholds,
} from './detected.ts';

/** Frames are looked at in grey and as small as this: sensor noise is averaged, motion is not. */
export const LOOKED_AT = { width: 160, height: 90 } as const;

export interface PictureOptions {
  /** Frozen: a change below this share of the usual change from frame to frame. */
  readonly frozenShare: number;
  /** A freeze, a black or a blank picture shorter than this is not told, s. */
  readonly leastS: number;
}
export const PICTURE_OPTIONS: PictureOptions = { frozenShare: 0.4, leastS: 0.15 };

/** The usual change is the median of so many frames that moved. */
const REMEMBERED = 150;
/** Fewer, and it is not known yet what is usual. */
const LEARN_FRAMES = 12;
/** A film whose frames change by less than this, in steps of 255, is too still to tell a freeze. */
const STILL = 0.02;
/** Black, with its footroom; and how even a blank picture is, in steps of 255. */
const [BLACK, EVEN] = [24, 3];

export interface PictureFound {
  readonly frames: number;
  readonly durationS: number;
  readonly dropouts: readonly Detected<DropoutKind>[];
  readonly artefacts: readonly Detected<ArtefactKind>[];
  readonly thresholds: Thresholds;
  /** Frames hardly change: a freeze of this film cannot be told. */
  readonly tooStill: boolean;
}

type Blank = 'black' | 'one colour';

/** Finds frozen, black and blank pictures, and single repeated frames, by frame time. Streaming; memory does not grow. */
export class PictureDetector {
  private last: Uint8Array | undefined;
  private lastS = 0;
  private frameS = 0;
  private frames = 0;
  private readonly usual: number[] = [];
  private next = 0;
  private run: { kind: DropoutKind; fromS: number; frames: number; figure: number } | undefined;
  private readonly dropouts: Detected<DropoutKind>[] = [];
  private readonly artefacts: Detected<ArtefactKind>[] = [];
  private readonly options: PictureOptions;

  /** @throws RangeError */
  constructor(options: Partial<PictureOptions> = {}) {
    this.options = { ...PICTURE_OPTIONS, ...options };
    const { frozenShare, leastS } = this.options;
    if (!(frozenShare > 0 && frozenShare < 1)) throw new RangeError(`invalid frozenShare: ${frozenShare}`);
    if (!(leastS > 0)) throw new RangeError(`invalid leastS: ${leastS}`);
  }

  /** A frame in grey, `LOOKED_AT` large, and when it is shown, s. @throws RangeError */
  push(grey: Uint8Array, atS: number): void {
    if (grey.length !== LOOKED_AT.width * LOOKED_AT.height)
      throw new RangeError(`invalid grey: ${grey.length} dots`);
    if (this.last && !(atS > this.lastS)) throw new RangeError(`invalid atS: ${atS} after ${this.lastS}`);
    if (this.last) this.frameS = atS - this.lastS;
    const kind =
      blankOf(grey) ?? (this.last && this.isFrozen(grey, this.last) ? ('freeze' as const) : undefined);
    if (kind !== this.run?.kind) {
      // It began with the frame before: that is the one that is shown on.
      this.close(atS, false);
      if (kind) this.run = { kind, fromS: kind === 'freeze' ? this.lastS : atS, frames: 0, figure: 0 };
    }
    if (this.run) this.run.frames++;
    this.last = grey.slice();
    this.lastS = atS;
    this.frames++;
  }

  end(): PictureFound {
    this.close(this.lastS + this.frameS, true);
    return {
      frames: this.frames,
      durationS: this.frames === 0 ? 0 : this.lastS + this.frameS,
      dropouts: this.dropouts,
      artefacts: this.artefacts,
      thresholds: { frozen_share: this.options.frozenShare, shortest_s: this.options.leastS },
      tooStill: this.usual.length >= LEARN_FRAMES && median(this.usual) < STILL,
    };
  }

  private isFrozen(grey: Uint8Array, last: Uint8Array): boolean {
    let sum = 0;
    for (let i = 0; i < grey.length; i++) sum += Math.abs((grey[i] as number) - (last[i] as number));
    const change = sum / grey.length;
    const usual = this.usual.length < LEARN_FRAMES ? undefined : median(this.usual);
    const frozen = usual !== undefined && usual >= STILL && change < this.options.frozenShare * usual;
    if (!frozen && !(usual !== undefined && change > 8 * usual)) {
      // A cut is no usual change, and neither is what stands still.
      this.usual[this.next] = change;
      this.next = (this.next + 1) % REMEMBERED;
    }
    if (frozen && this.run?.kind === 'freeze') this.run.figure = Math.max(this.run.figure, change / usual);
    return frozen;
  }

  private close(toS: number, open: boolean): void {
    const { run } = this;
    this.run = undefined;
    if (!run) return;
    const lasted = toS - run.fromS;
    const { frozenShare, leastS } = this.options;
    if (run.kind === 'freeze' && lasted - this.frameS < leastS) {
      if (!open)
        this.artefacts.push({
          kind: 'repeated frame',
          ...{ fromS: run.fromS, toS, open: false, certainty: 0.5 },
          figure: `${run.frames} ${run.frames === 1 ? 'frame' : 'frames'} once more`,
        });
      return;
    }
    if (lasted < leastS) return;
    this.dropouts.push({
      kind: run.kind,
      ...{ fromS: run.fromS, toS, open },
      certainty: run.kind === 'freeze' ? certaintyOf(frozenShare, run.figure) : certaintyOf(lasted, leastS),
      figure:
        run.kind === 'freeze'
          ? `${run.frames} frames that change by at most ${(100 * run.figure).toFixed(0)} % of the usual`
          : `${run.frames} frames`,
    });
  }
}

/** An even picture: black, or of one colour. */
function blankOf(grey: Uint8Array): Blank | undefined {
  let [sum, squares] = [0, 0];
  for (const g of grey) {
    sum += g;
    squares += g * g;
  }
  const mean = sum / grey.length;
  const spread = Math.sqrt(Math.max(0, squares / grey.length - mean * mean));
  if (spread > EVEN) return undefined;
  return mean < BLACK ? 'black' : 'one colour';
}
