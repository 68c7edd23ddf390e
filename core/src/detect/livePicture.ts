import type { LiveChange } from './liveLoss.ts';
import * as phrases from './phrases.ts';
import { PictureDetector, type PictureOptions } from './picture.ts';

/**
 * Finds frozen, black and blank pictures while they come in, and tells each as soon as it has lasted as long as is
 * asked for. Memory grows with what is found only.
 */
export class LivePicture {
  private readonly detector: PictureDetector;
  private told = false;
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
      const said = `${kind}, ${figure}`;
      if (!this.told) changes.push({ kind: 'lost', atS: fromS, figure: said });
      changes.push({ kind: 'back', atS: toS, figure: said });
      this.told = false;
    }
    if (open && !this.told) {
      this.told = true;
      changes.push({ kind: 'lost', atS: open.fromS, figure: open.kind });
    }
    if (this.told && !this.detector.stands) {
      this.told = false;
      changes.push({ kind: 'back', atS, figure: phrases.itMovesSlowly });
    }
    return changes;
  }
}
