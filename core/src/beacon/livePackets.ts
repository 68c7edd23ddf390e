import { certaintyOf, type Detected } from '../detect/detected.ts';
import { PACKET_S } from './chirpCode.ts';
import type { HeardPacket } from './chirpReader.ts';
import type { CodesTold } from './liveCodes.ts';
import { BEACON_TICK_S } from './message.ts';
import * as phrases from './phrases.ts';

/** A packet begins so often, s: noise stands between them. */
export const PACKET_EVERY_S = 2.5;
/** A packet is read so long after its last sample, s: the reader works in blocks. */
const READ_AFTER_S = 1.2;
/** Two in a row that did not come: one may drown in a noise beside the link. */
const UNREAD_S = 2 * PACKET_EVERY_S + PACKET_S + READ_AFTER_S;
/**
 * The packet's place among the samples is known to 0.1 ms; when those samples were heard, by the page's clock, to
 * 15 ms at most (InputClock): as a rectangle.
 */
const HEARD_U_S = 0.015 / Math.sqrt(3);

/** The packets of one walk's beacon, as they are read while one listens: bounded memory. */
export class LivePackets {
  private newestS: number | undefined;
  private told = false;
  private strangers = 0;

  /** @param tag of the walk */
  constructor(private readonly tag: number) {}

  /** Packets of the beacon of another walk. */
  get ofOthers(): number {
    return this.strangers;
  }

  /** A packet that was read. */
  push({ tag, sequence, atS }: HeardPacket): CodesTold | undefined {
    if (tag !== this.tag) {
      this.strangers++;
      return undefined;
    }
    [this.newestS, this.told] = [atS, false];
    return {
      carriedBy: 'sound',
      ...{ atS, sentS: BEACON_TICK_S * sequence, uS: HEARD_U_S, codes: 1 },
      separation: undefined,
    };
  }

  /** That packets came and come no more: once, when it is known. @param heardS so long was listened to */
  unread(heardS: number): Detected<'beacon unread'> | undefined {
    if (this.newestS === undefined || this.told || heardS - this.newestS < UNREAD_S) return undefined;
    this.told = true;
    const dueS = this.newestS + PACKET_EVERY_S;
    return {
      kind: 'beacon unread',
      ...{ fromS: dueS, toS: heardS, open: true },
      certainty: certaintyOf(heardS - dueS, PACKET_EVERY_S),
      figure: phrases.noNewCodeFor((heardS - dueS).toFixed(1)),
    };
  }
}
