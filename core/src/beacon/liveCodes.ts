import { certaintyOf, type Detected } from '../detect/detected.ts';
import { BEACON_TICK_S } from './message.ts';
import { pictureMessageOf, type PictureMessage } from './pictureCode.ts';
import { CODE_HELD_TICKS, SeenCodes, type SeenCode } from './seenCodes.ts';
import * as phrases from './phrases.ts';

/** What the codes that were read meanwhile say together. */
export interface CodesTold {
  readonly carriedBy: 'picture' | 'sound';
  /** When the last of their frames, or the packet, came, s of the receiving clock. */
  readonly atS: number;
  /** When that was sent, s of the walk's clock, and how well that is known (standard uncertainty). */
  readonly sentS: number;
  readonly uS: number;
  /** Codes, not frames. */
  readonly codes: number;
  /** How far away the sender said that it was, where it knew. */
  readonly separation: PictureMessage['separation'];
}

/** Codes are told together this often, s. */
const TOLD_EVERY_S = 2;
/** Codes came, and for so long none: the beacon is not read, s. */
const UNREAD_S = 1;
/** So many frames at least were looked at meanwhile: a page that was busy has missed nothing. */
const LEAST_LOOKS = 3;
const HELD_S = BEACON_TICK_S * CODE_HELD_TICKS;
/** A moment anywhere within a code's time. */
const WITHIN_CODE_S = HELD_S / Math.sqrt(12);
/** By the moving edge a frame is placed within 2.2 ms (docs/instruments.md). */
const BY_EDGE_S = 0.002;

/** The codes of one walk's beacon, as they are read while one watches: bounded memory. */
export class LiveCodes {
  private window = new SeenCodes();
  private fromS: number | undefined;
  /** The newest code that was read, and when. */
  private newest: { readonly sequence: number; readonly atS: number } | undefined;
  private looks = 0;
  private told = false;
  private strangers = 0;

  /** @param tag of the walk */
  constructor(private readonly tag: number) {}

  /** Frames that showed the beacon of another walk. */
  get ofOthers(): number {
    return this.strangers;
  }

  /** When the newest code was first read, s; undefined before the first. */
  get newestS(): number | undefined {
    return this.newest?.atS;
  }

  /**
   * A frame that was looked at.
   * @param text of the code in it, if any
   * @param edge how far down its strip the moving edge stands, where one is seen
   */
  push(text: string | undefined, atS: number, edge?: number): CodesTold | undefined {
    this.looks++;
    const message = text === undefined ? undefined : pictureMessageOf(text);
    if (message && message.tag !== this.tag) this.strangers++;
    const { newest } = this;
    if (message?.tag === this.tag) {
      const again = newest?.sequence === message.sequence;
      if (!again) {
        this.newest = { sequence: message.sequence, atS };
        [this.looks, this.told] = [0, false];
      }
      // What a picture that stands shows after its code was told says nothing new.
      if (!again || this.window.seen.length > 0) {
        this.fromS ??= atS;
        this.window.push(text, atS, edge);
      }
    }
    return this.fromS !== undefined && atS - this.fromS >= TOLD_EVERY_S ? this.tell() : undefined;
  }

  /** That codes came and come no more: once, when it is known. */
  unread(atS: number): Detected<'beacon unread'> | undefined {
    const { newest } = this;
    if (!newest || this.told || this.looks < LEAST_LOOKS) return undefined;
    const dueS = newest.atS + HELD_S;
    if (atS - dueS < UNREAD_S) return undefined;
    this.told = true;
    return {
      kind: 'beacon unread',
      ...{ fromS: dueS, toS: atS, open: true },
      certainty: certaintyOf(atS - dueS, HELD_S),
      figure: phrases.noNewCodeFor((atS - dueS).toFixed(1)),
    };
  }

  private tell(): CodesTold {
    const { seen } = this.window;
    this.window = new SeenCodes();
    this.fromS = undefined;
    // The edge of one code places its frames better than any number of codes without.
    const byEdge = seen.filter((code) => code.arrivedS !== undefined);
    const last = seen.at(-1) as SeenCode;
    const lates = (byEdge.length > 0 ? byEdge : seen).map(lateOf).toSorted((a, b) => a - b);
    // A picture that stands shows its last code longer than it was sent.
    const atS = Math.min(last.toS, last.atS + HELD_S);
    return {
      carriedBy: 'picture',
      atS,
      sentS: Math.max(0, atS - (lates[lates.length >> 1] as number)),
      uS: byEdge.length > 0 ? BY_EDGE_S : WITHIN_CODE_S,
      codes: seen.length,
      separation: last.separation,
    };
  }
}

/** How late a code is: by its edge, or by the middle of its frames, which was sent in the middle of its time. */
function lateOf({ sequence, arrivedS, atS, toS }: SeenCode): number {
  const codeS = BEACON_TICK_S * sequence;
  return arrivedS === undefined
    ? (atS + Math.min(toS, atS + HELD_S)) / 2 - codeS - HELD_S / 2
    : arrivedS - codeS;
}
