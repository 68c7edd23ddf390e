import { certaintyOf, type Detected } from './detected.ts';
import { PART_DOTS, PARTS, partSums, type FrameCells } from './frameCells.ts';
import * as phrases from './phrases.ts';

/**
 * What structure a part usually has, and how it changes, is the mean of about so many frames, and known after as
 * many.
 */
const REMEMBERED = 25;
/** So many parts at least, of one grey, are a fault: fewer may be an even thing that passes. */
const LEAST_PARTS = 4;
/** Filled: even to these steps of 255, where there was structure before. */
const [EVEN, STRUCTURED] = [2, 6];
/** It came with a jump: a change of so many steps, and of so many times the usual one. */
const [JUMP, TIMES] = [8, 2];
/** Fills of one fault have greys that lie so near each other. */
const GREY_STEP = 4;
/** A cut: so much of the picture jumps at once. Then nothing is usual any more. */
const CUT_SHARE = 0.4;
/** A fault that goes on for so long, s, is how the picture is: it is learnt anew. */
const TOO_LONG_S = 10;

/**
 * Parts of a picture that are filled with one grey at once, as decoders do with what they miss. What stands still while
 * the rest moves is not told: so does whatever a thing that moved has left. Streaming, in constant memory but for
 * what is found.
 */
export class FilledParts {
  private readonly structure = new Float32Array(PARTS);
  private readonly usual = new Float32Array(PARTS);
  private readonly filled = new Uint8Array(PARTS);
  private known = 0;
  private run: { fromS: number; toS: number; parts: number } | undefined;
  private readonly found: Detected<'blocks'>[] = [];

  /** A frame, and from when to when it is shown, s. */
  push(cells: FrameCells, fromS: number, toS: number): void {
    const { changes, spreads, means } = partsOf(cells);
    const jumped = changes.reduce((n, change, p) => n + (this.isJump(change, p) ? 1 : 0), 0);
    const learnt = this.known >= REMEMBERED;
    if ((learnt && jumped > CUT_SHARE * PARTS) || (this.run && toS - this.run.fromS > TOO_LONG_S)) {
      this.whole();
      return;
    }
    const parts = learnt ? this.filledIn(changes, spreads, means) : 0;
    if (parts >= LEAST_PARTS) {
      this.run ??= { fromS, toS, parts };
      this.run.toS = toS;
      this.run.parts = Math.max(this.run.parts, parts);
      return;
    }
    this.close();
    this.filled.fill(0);
    this.known++;
    const share = 1 / Math.min(this.known, REMEMBERED);
    for (let p = 0; p < PARTS; p++) {
      this.structure[p] =
        (this.structure[p] as number) + share * ((spreads[p] as number) - (this.structure[p] as number));
      this.usual[p] =
        (this.usual[p] as number) + share * ((changes[p] as number) - (this.usual[p] as number));
    }
  }

  /** The whole picture stands, jumps or is blank: that is for others to tell, and nothing of it is usual. */
  whole(): void {
    this.close();
    this.known = 0;
    this.filled.fill(0);
  }

  end(): readonly Detected<'blocks'>[] {
    this.close();
    return this.found;
  }

  private isJump(change: number, part: number): boolean {
    return change > Math.max(JUMP, TIMES * (this.usual[part] as number));
  }

  /** How many parts are filled with one grey. */
  private filledIn(changes: Float32Array, spreads: Float32Array, means: Float32Array): number {
    const greys = new Map<number, number>();
    for (let p = 0; p < PARTS; p++) {
      const even = (spreads[p] as number) < EVEN && (this.structure[p] as number) > STRUCTURED;
      // It stays filled until it has structure again.
      this.filled[p] = even && (this.isJump(changes[p] as number, p) || this.filled[p] === 1) ? 1 : 0;
      if (this.filled[p] === 0) continue;
      const grey = Math.round((means[p] as number) / GREY_STEP);
      greys.set(grey, (greys.get(grey) ?? 0) + 1);
    }
    return Math.max(0, ...greys.values());
  }

  private close(): void {
    const { run } = this;
    this.run = undefined;
    if (!run) return;
    this.found.push({
      kind: 'blocks',
      ...{ fromS: run.fromS, toS: run.toS, open: false },
      certainty: certaintyOf(run.parts, LEAST_PARTS / 2),
      figure: phrases.percentOfThePictureFilledWith(Math.round((100 * run.parts) / PARTS)),
    });
  }
}

/** Of each part: mean change of a dot, its spread and its mean, in steps of 255. */
function partsOf(cells: FrameCells): { changes: Float32Array; spreads: Float32Array; means: Float32Array } {
  const means = partSums(cells.greys).map((sum) => sum / PART_DOTS);
  return {
    means,
    changes: partSums(cells.changes).map((sum) => sum / PART_DOTS),
    spreads: partSums(cells.squares).map((sum, p) =>
      Math.sqrt(Math.max(0, sum / PART_DOTS - (means[p] as number) ** 2)),
    ),
  };
}
