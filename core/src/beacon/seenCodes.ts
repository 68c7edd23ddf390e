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
}

/** The codes of a film, told apart as its frames come: what several frames show is one. */
export class SeenCodes {
  private readonly list: SeenCode[] = [];

  /** What a frame shows, if anything; codes that are not the beacon's are passed over. */
  push(text: string | undefined, atS: number): void {
    const message = text === undefined ? undefined : pictureMessageOf(text);
    if (!message) return;
    const last = this.list.at(-1);
    if (last?.sequence === message.sequence && last.tag === message.tag)
      this.list[this.list.length - 1] = { ...last, toS: atS, frames: last.frames + 1 };
    else this.list.push({ ...message, atS, toS: atS, frames: 1 });
  }

  get seen(): readonly SeenCode[] {
    return this.list;
  }
}
