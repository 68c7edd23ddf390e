import { FilledParts } from './filledParts.ts';
import { FrameCells } from './frameCells.ts';
import { LastCut } from './lastCut.ts';
import { TornFrames } from './tornFrames.ts';
import { RepeatedFrames } from './repeatedFrames.ts';
import { SkippedFrames } from './skippedFrames.ts';
import { FrameTimes, type Hole } from './frameTimes.ts';
import { UsualMotion } from './usualMotion.ts';
import {
  certaintyOf,
  type ArtefactKind,
  type Detected,
  type DropoutKind,
  type Thresholds,
} from './detected.ts';
import * as phrases from './phrases.ts';

export interface PictureOptions {
  /** Frozen: a change below this share of the usual change from frame to frame. */
  readonly frozenShare: number;
  /** A freeze, a black or a blank picture shorter than this is not told, s. */
  readonly leastS: number;
  /**
   * A frame that does not come when it should is missed: of a film. Live it may be this device that was busy, and then
   * nothing is told.
   */
  readonly byTimes: boolean;
}
export const PICTURE_OPTIONS: PictureOptions = { frozenShare: 0.4, leastS: 0.15, byTimes: true };

/**
 * What moves comes to rest by and by: a picture that freezes changes by less than this part of the frame before, and
 * where that one hardly moved either, by less than the second.
 */
const [ABRUPT, AT_REST] = [0.5, 0.25];
/** A codec draws a frozen picture on, and anew: frozen already, it may change by so many times the share. */
const DRAWN_ON = 1.25;
/**
 * A picture whose frames change by more than this share of the usual, on average, moves slowly; after so long, s, that
 * is how it moves now, and told no more.
 */
const [SLOW, SLOW_FOR_S] = [0.15, 1];
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
/** What a frame is by itself. */
type Seen = Blank | 'freeze';

const toldOf = ({
  kind,
  fromS,
  cutS,
}: {
  readonly kind: Seen;
  readonly fromS: number;
  readonly cutS: number | undefined;
}): { readonly kind: DropoutKind; readonly fromS: number } =>
  cutS === undefined ? { kind, fromS } : { kind: 'cut to a still', fromS: cutS };

/**
 * Finds frozen, black and blank pictures and cuts to a still one, by frame time; and single repeated
 * frames, torn ones, and parts filled with one grey. Streaming; memory does not grow.
 */
export class PictureDetector {
  private last: Uint8Array | undefined;
  private older: Uint8Array | undefined;
  private changed: number | undefined;
  private lastS = 0;
  private frameS = 0;
  private frames = 0;
  private readonly usual = new UsualMotion();
  private readonly cells = new FrameCells();
  private run:
    | {
        kind: Seen;
        fromS: number;
        /** Of a still picture that a cut brought: when. */
        cutS: number | undefined;
        frames: number;
        /** The largest change, as a share of the usual one, and the sum of them. */
        figure: number;
        sum: number;
      }
    | undefined;
  /** A frozen picture changed: if it is frozen again with the next frame, a key frame only drew it anew. */
  private changedAtS: number | undefined;
  private redrawnAtS = -Infinity;
  private readonly lastCut = new LastCut();
  private readonly parts = new FilledParts();
  private readonly torn = new TornFrames();
  private readonly skipped = new SkippedFrames();
  private readonly repeated = new RepeatedFrames();
  private readonly times = new FrameTimes();
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
    this.cells.look(grey, this.last ?? grey, this.older ?? grey);
    if (this.last && !(atS > this.lastS)) throw new RangeError(`invalid atS: ${atS} after ${this.lastS}`);
    if (this.last) this.frameS = atS - this.lastS;
    const change = this.last ? meanOf(this.cells.changes, grey.length) : Infinity;
    const kind =
      blankOf(this.cells, grey.length) ??
      (this.isFrozen(change, this.changed) ? ('freeze' as const) : undefined);
    this.changed = this.last && change;
    this.lastCut.watch(change, this.usual, atS, this.frameS);
    const hole = this.last && this.options.byTimes ? this.times.push(this.lastS, atS) : undefined;
    const { last, frameS } = this;
    const moves = last && kind === undefined && !hole;
    // A frame that is only shown once more changes nothing of what parts of it are filled with.
    const onceMore = kind === 'freeze' && !hole && !this.open;
    for (const watch of [this.parts, this.torn, this.skipped])
      if (moves) watch.push(this.cells, atS, atS + frameS);
      else if (!onceMore || watch !== this.parts) watch.whole();
    this.follow(kind, change, atS, hole);
    this.older = this.last;
    this.last = grey.slice();
    this.lastS = atS;
    this.frames++;
  }

  /** What was found so far and has ended. */
  get found(): readonly Detected<DropoutKind>[] {
    return this.dropouts;
  }

  /** A loss that goes on and has lasted long enough to be one: what, and since when, s. */
  get open(): { readonly kind: DropoutKind; readonly fromS: number } | undefined {
    const { run } = this;
    return run &&
      !isSlow(run) &&
      this.changedAtS === undefined &&
      this.lastS - run.fromS >= this.options.leastS
      ? toldOf(run)
      : undefined;
  }

  /** The picture stands, or is black or of one colour, for however short a time. */
  get stands(): boolean {
    return this.run !== undefined;
  }

  /** The last frame was black or of one colour, or there was none. */
  get blank(): boolean {
    return !this.last || (this.run !== undefined && this.run.kind !== 'freeze');
  }

  /** With the last frame, mean change of a dot in steps of 255; undefined before the second. */
  get lastChange(): number | undefined {
    return this.changed;
  }

  /** The usual change; undefined while too few frames moved, or all too little to tell a freeze. */
  get usualKnown(): number | undefined {
    return this.usual.known;
  }

  private follow(kind: Seen | undefined, change: number, atS: number, hole: Hole | undefined): void {
    const { run } = this;
    if (run && kind === run.kind) {
      this.changedAtS = undefined;
      run.frames++;
      if (kind === 'freeze') {
        this.measure(run, change);
        if (atS - run.fromS > SLOW_FOR_S && isSlow(run)) this.run = undefined;
      }
      return;
    }
    if (run?.kind === 'freeze' && kind === undefined && this.mayBeRedraw(change, atS)) {
      this.changedAtS = this.redrawnAtS = atS;
      return;
    }
    this.close(this.changedAtS ?? atS, false);
    if (kind) {
      // Frames lacked before this one: the picture stood already.
      const fromS = kind === 'freeze' ? (hole?.fromS ?? atS) : atS;
      this.run = {
        ...{ kind, fromS, cutS: kind === 'freeze' ? this.lastCut.thatBrought(atS) : undefined },
        ...{ frames: 1, figure: 0, sum: 0 },
      };
      if (kind === 'freeze') this.measure(this.run, change);
    } else if (!hole) this.usual.remember(change, atS);
    if (hole && !run && kind !== 'freeze') this.lacking(hole, atS);
  }

  /** No frame came: what was shown stood, or, where it is short, so many frames are missing. */
  private lacking({ fromS, usualS, frames }: Hole, toS: number): void {
    const certainty = certaintyOf(toS - fromS + usualS, usualS);
    if (toS - fromS < this.options.leastS)
      this.artefacts.push({
        kind: 'skipped frame',
        ...{ fromS, toS, open: false, certainty },
        figure: phrases.lackByTheTimesOfThe(phrases.countedFrames(frames)),
      });
    else
      this.dropouts.push({
        kind: 'freeze',
        ...{ fromS, toS, open: false, certainty },
        figure: phrases.noFrameForWhereOneComes((toS - fromS).toFixed(2), (1000 * usualS).toFixed(0)),
      });
  }

  private measure(run: NonNullable<PictureDetector['run']>, change: number): void {
    const times = this.usual.times(change) ?? 0;
    run.figure = Math.max(run.figure, times);
    run.sum += times;
  }

  end(): PictureFound {
    this.close(this.lastS + this.frameS, true);
    return {
      frames: this.frames,
      durationS: this.frames === 0 ? 0 : this.lastS + this.frameS,
      dropouts: this.dropouts,
      artefacts: [
        ...this.artefacts,
        ...this.parts.end(),
        ...this.torn.end(),
        ...this.skipped.end(),
        ...this.repeated.end(),
      ].sort((a, b) => a.fromS - b.fromS),
      thresholds: {
        frozen_share: this.options.frozenShare,
        abrupt_share: ABRUPT,
        slow_share: SLOW,
        picture_shortest_s: this.options.leastS,
      },
      tooStill: this.usual.tooStill,
    };
  }

  private isFrozen(change: number, before: number | undefined): boolean {
    const usual = this.usual.known;
    if (usual === undefined) return false;
    const most = this.options.frozenShare * usual;
    if (this.run?.kind === 'freeze') return change < DRAWN_ON * most;
    const part = before !== undefined && before < most ? AT_REST : ABRUPT;
    return change < Math.min(most, part * (before ?? Infinity));
  }

  /**
   * A frozen picture that is drawn anew jumps to what should have stood there; a cut goes further, and a film that
   * repeats its frames goes on by such jumps.
   */
  private mayBeRedraw(change: number, atS: number): boolean {
    const goesOn = this.changedAtS !== undefined || atS - this.redrawnAtS < this.options.leastS;
    return !goesOn && !this.repeated.isHabit(atS) && !this.usual.isCut(change);
  }

  private close(toS: number, open: boolean): void {
    const { run } = this;
    this.run = undefined;
    this.changedAtS = undefined;
    if (!run) return;
    const lasted = toS - run.fromS;
    const { frozenShare, leastS } = this.options;
    if (run.kind === 'freeze' && lasted < leastS) {
      if (!open) this.repeated.push(run.fromS, toS, run.frames, run.figure);
      return;
    }
    if (lasted < leastS || isSlow(run)) return;
    this.dropouts.push({
      ...{ ...toldOf(run), toS, open },
      certainty: run.kind === 'freeze' ? certaintyOf(frozenShare, run.figure) : certaintyOf(lasted, leastS),
      figure:
        run.kind === 'freeze'
          ? phrases.framesThatChangeByAtMost(run.frames, (100 * run.figure).toFixed(0))
          : `${run.frames} frames`,
    });
  }
}

const isSlow = ({ sum, frames }: { readonly sum: number; readonly frames: number }): boolean =>
  sum > SLOW * frames;

const meanOf = (sums: Uint32Array, dots: number): number => sums.reduce((sum, s) => sum + s, 0) / dots;

/** An even picture: black, or of one colour. */
function blankOf({ greys, squares }: FrameCells, dots: number): Blank | undefined {
  const mean = meanOf(greys, dots);
  const spread = Math.sqrt(Math.max(0, meanOf(squares, dots) - mean * mean));
  if (spread > EVEN) return undefined;
  return mean < BLACK ? 'black' : 'one colour';
}
