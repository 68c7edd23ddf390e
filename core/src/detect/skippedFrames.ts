import { certaintyOf, type Detected } from './detected.ts';
import { PARTS, partSums, type FrameCells } from './frameCells.ts';
import * as phrases from './phrases.ts';
import { Usual } from './usual.ts';

/** What is usual is the mean of about so many frames, and known after as many. */
const REMEMBERED = 25;
/** Two frames usually change it so many times as much as one: where less, noise hides what was left out. */
const TELLS = 1.4;
/**
 * How far a frame's parts usually are from what one frame changes is told by so many. As far, with this margin, is
 * like it; so many times as far is not.
 */
const [LEARN_FRAMES, LIKE, UNLIKE] = [25, 1.15, 2.2];
/** Parts that are usually further off, as a share of what they change, move as they please. */
const IRREGULAR = 0.4;
/** Three jumps in a row at one distance, to a frame, are a codec's key frames; so many are remembered. */
const REMEMBERED_JUMPS = 12;
/** As much as two frames usually change, or up to so many times: three or four. */
const [LEAST, MOST] = [0.75, 1.9];

/**
 * Frames that were left out without a trace in the frames' times: from one to the next the picture changes as it
 * usually does over two, part by part, and with the one after that as it usually does over one. A picture that a
 * codec draws anew changes where it stood still, too. Streaming, in constant memory but for what is found.
 */
export class SkippedFrames {
  private readonly ofOne = new Float32Array(PARTS);
  private readonly ofTwo = new Float32Array(PARTS);
  private known = 0;
  private readonly usualOff = new Usual();
  /** The last frame, if it jumped so: the one after it tells. */
  private jumped: { readonly fromS: number; readonly toS: number; readonly times: number } | undefined;
  /** When frames jumped, however far, s. */
  private jumpsS: number[] = [];
  private found: readonly Detected<'skipped frame'>[] = [];

  /** A frame, from when to when it is shown, s. */
  push(cells: FrameCells, fromS: number, toS: number): void {
    const [changes, changesOfTwo] = [partSums(cells.changes), partSums(cells.changesOfTwo)];
    const { jumped } = this;
    const offOne = off(changes, this.ofOne, 1);
    const usualOff = this.usualOff.count >= LEARN_FRAMES ? this.usualOff.median : Infinity;
    if (jumped && offOne < UNLIKE * usualOff) this.tell(jumped);
    const tells = this.known >= REMEMBERED && usualOff < IRREGULAR && offOne > UNLIKE * usualOff;
    this.jumped = tells ? this.jumpIn(changes, LIKE * usualOff, fromS, toS) : undefined;
    if (tells && sumOf(changes) > sumOf(this.ofOne))
      this.jumpsS = [...this.jumpsS, fromS].slice(-REMEMBERED_JUMPS);
    if (tells || jumped) this.leaveOutKeyFrames(toS - fromS);
    // What two frames change is usual only where neither jumped.
    if (this.jumped || jumped) return;
    if (this.known >= REMEMBERED) this.usualOff.remember(offOne);
    this.known++;
    const share = 1 / Math.min(this.known, REMEMBERED);
    for (let p = 0; p < PARTS; p++) {
      this.ofOne[p] =
        (this.ofOne[p] as number) + share * ((changes[p] as number) - (this.ofOne[p] as number));
      this.ofTwo[p] =
        (this.ofTwo[p] as number) + share * ((changesOfTwo[p] as number) - (this.ofTwo[p] as number));
    }
  }

  /** The whole picture stands, jumps or is blank: nothing of it is usual. */
  whole(): void {
    this.jumped = undefined;
    this.known = 0;
  }

  end(): readonly Detected<'skipped frame'>[] {
    return this.found;
  }

  private jumpIn(
    changes: Float32Array,
    leastOff: number,
    fromS: number,
    toS: number,
  ): SkippedFrames['jumped'] {
    const [now, one, two] = [sumOf(changes), sumOf(this.ofOne), sumOf(this.ofTwo)];
    const times = now / two;
    return two > TELLS * one && times > LEAST && times < MOST && off(changes, this.ofTwo, times) < leastOff
      ? { fromS, toS, times: now / one }
      : undefined;
  }

  private tell({ fromS, toS, times }: NonNullable<SkippedFrames['jumped']>): void {
    const own: Detected<'skipped frame'> = {
      kind: 'skipped frame',
      ...{ fromS, toS, open: false },
      certainty: certaintyOf(times, TELLS),
      figure: phrases.itMovedTimesAsFarAsUsual(times.toFixed(1)),
    };
    this.found = [...this.found, own];
  }

  /** Of the last jump and those before it at one distance, nothing is told. */
  private leaveOutKeyFrames(frameS: number): void {
    const near = (s: number): number | undefined => this.jumpsS.find((j) => Math.abs(j - s) < 1.5 * frameS);
    const last = this.jumpsS.at(-1);
    if (last === undefined) return;
    for (const before of this.jumpsS.slice(0, -1)) {
      const first = near(2 * before - last);
      if (first === undefined || first >= before) continue;
      const row = [first, before, last];
      this.found = this.found.filter((f) => !row.includes(f.fromS));
    }
  }
}

const sumOf = (parts: Float32Array): number => parts.reduce((sum, x) => sum + x, 0);

/** How far parts are from so many times what is usual of each, as a share of that. */
function off(parts: Float32Array, usual: Float32Array, times: number): number {
  let [apart, all] = [0, 0];
  for (let p = 0; p < PARTS; p++) {
    const of = times * (usual[p] as number);
    apart += Math.abs((parts[p] as number) - of);
    all += of;
  }
  return all === 0 ? Infinity : apart / all;
}
