import type { DropoutKind } from './detected.ts';
import type { LiveChange } from './liveLoss.ts';
import * as phrases from './phrases.ts';
import { PictureDetector, type PictureOptions } from './picture.ts';

/**
 * Something new was read in the picture, a code of the beacon for instance: for so long, s, it does not stand, however
 * little it changes. A beacon's code is held for 0.2 s, and read when the machine comes to it.
 */
const PROVEN_FOR_S = 1;

/**
 * Finds frozen, black and blank pictures while they come in, and tells each as soon as it has lasted as long as is
 * asked for. Memory grows with what is found only.
 */
export class LivePicture {
  private readonly detector: PictureDetector;
  private told: { readonly stood: boolean; readonly fromS: number } | undefined;
  private provenS = -Infinity;
  private found = 0;
  private seen = false;

  /** @throws RangeError */
  constructor(options: Partial<PictureOptions> = {}) {
    this.detector = new PictureDetector({ byTimes: false, ...options });
  }

  /** How much a dot changes from frame to frame, in steps of 255: with the last frame, undefined before the second. */
  get change(): number | undefined {
    return this.detector.lastChange;
  }

  /** How much it usually does; undefined while it is not known yet, or too little to tell a freeze by. */
  get usualChange(): number | undefined {
    return this.detector.usualKnown;
  }

  /** A frame in grey, `LOOKED_AT` large, and when it came, s. @throws RangeError */
  push(grey: Uint8Array, atS: number): readonly LiveChange[] {
    this.detector.push(grey, atS);
    const changes: LiveChange[] = [];
    const { found, open } = this.detector;
    const ended = found.slice(this.found);
    this.found = found.length;
    // Black before the first picture is a receiver that is not on yet: nothing is missed.
    if (!this.seen) {
      this.seen = !this.detector.blank;
      return changes;
    }
    for (const { kind, fromS, toS, figure } of ended) {
      if (!this.told && this.isProven(kind, toS)) continue;
      const said = `${kind}, ${figure}`;
      if (!this.told) changes.push({ kind: 'lost', atS: this.sinceProof(kind, fromS), figure: said });
      changes.push({ kind: 'back', atS: toS, figure: said });
      this.told = undefined;
    }
    if (open && !this.told && !this.isProven(open.kind, atS)) {
      const fromS = this.sinceProof(open.kind, open.fromS);
      this.told = { stood: canStand(open.kind), fromS };
      changes.push({ kind: 'lost', atS: fromS, figure: open.kind });
    }
    if (this.told && !this.detector.stands) {
      this.told = undefined;
      changes.push({ kind: 'back', atS, figure: phrases.itMovesSlowly });
    }
    return changes;
  }

  /** What was never seen before was read in the frame that came then, s. */
  prove(atS: number): readonly LiveChange[] {
    this.provenS = Math.max(this.provenS, atS);
    if (!this.told?.stood || atS <= this.told.fromS) return [];
    this.told = undefined;
    return [{ kind: 'back', atS, figure: phrases.itShowsACodeThatIsNew }];
  }

  private isProven(kind: DropoutKind, atS: number): boolean {
    return canStand(kind) && atS - this.provenS < PROVEN_FOR_S;
  }

  /** It stood from the proof on that it did not, at the earliest. */
  private sinceProof(kind: DropoutKind, fromS: number): number {
    return canStand(kind) ? Math.max(fromS, this.provenS) : fromS;
  }
}

/** A black picture has nothing to read. */
const canStand = (kind: DropoutKind): boolean => kind === 'freeze' || kind === 'cut to a still';
