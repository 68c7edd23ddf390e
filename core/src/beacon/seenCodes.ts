import { median } from '../numeric/median.ts';
import { BEACON_TICK_S } from './message.ts';
import { sentBy } from './movingEdge.ts';
import { pictureMessageOf, type PictureMessage } from './pictureCode.ts';

/** Codes are looked for in frames of this size: at two fifths of the height a module is 9 px wide. */
export const CODES_LOOKED_AT = { width: 1280, height: 720 } as const;

/** A code of the beacon in a picture, for as long as it was seen. */
export interface SeenCode extends PictureMessage {
  /** When it was first seen, s of the recording. */
  readonly atS: number;
  /** When it was last seen, s: a picture that stands shows it longer than it was shown. */
  readonly toS: number;
  readonly frames: number;
  /**
   * When its beginning arrived by the moving edge in its frames, s of the recording: to a part of a frame; absent where
   * no edge was seen.
   */
  readonly arrivedS?: number;
}

/** A code is shown for so many ticks: five frames at 25 a second. */
export const CODE_HELD_TICKS = 2;

/** The codes of a film, told apart as its frames come: what several frames show is one. */
export class SeenCodes {
  private readonly list: SeenCode[] = [];
  /** Of the last code, how late each of its frames is by the edge, s. */
  private late: number[] = [];

  /**
   * What a frame shows, if anything; codes that are not the beacon's are passed over.
   * @param edge how far down its strip the moving edge stands, where one is seen
   */
  push(text: string | undefined, atS: number, edge?: number): void {
    const message = text === undefined ? undefined : pictureMessageOf(text);
    if (!message) return;
    const last = this.list.at(-1);
    const again = last?.sequence === message.sequence && last.tag === message.tag;
    if (!again) this.late = [];
    const [codeS, heldS] = [BEACON_TICK_S * message.sequence, BEACON_TICK_S * CODE_HELD_TICKS];
    const sentS = edge === undefined ? undefined : sentBy(edge, codeS, heldS);
    // A picture that stands shows an old edge: what comes beyond the code's time says nothing.
    if (sentS !== undefined && (!again || atS - last.atS <= heldS)) this.late.push(atS - sentS);
    const arrived = this.late.length === 0 ? {} : { arrivedS: codeS + median(this.late) };
    if (again) this.list[this.list.length - 1] = { ...last, toS: atS, frames: last.frames + 1, ...arrived };
    else this.list.push({ ...message, atS, toS: atS, frames: 1, ...arrived });
  }

  get seen(): readonly SeenCode[] {
    return this.list;
  }
}
