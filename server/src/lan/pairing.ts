import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import type { Clock } from '../clock.ts';

const MINUTE_MS = 60_000;
/** An offer can be taken up for so long, once. */
export const OFFER_MS = 5 * MINUTE_MS;
/** Wrong codes within OFFER_MS before every code is refused. */
export const ATTEMPTS = 5;
const ALPHABET = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const CODE_LENGTH = 8;

export interface Offer {
  /** 128 bits, for the fragment of an address: it is never sent to a server in a request line. */
  readonly secret: string;
  /** The same offer, to type. */
  readonly code: string;
  readonly untilMs: number;
}

export type Refusal = 'unknown' | 'too many attempts';

const sameText = (a: string, b: string): boolean => {
  const [x, y] = [a, b].map((t) => createHash('sha256').update(t).digest());
  return timingSafeEqual(x as Buffer, y as Buffer);
};

/**
 * Offers to pair: made on this machine, taken up once on another. Held in memory; a restart withdraws them.
 */
export class Pairing {
  private offers: Offer[] = [];
  private wrong: number[] = [];

  constructor(private readonly clock: Clock) {}

  /** A new offer takes the place of every earlier one. */
  offer(): Offer {
    const offer: Offer = {
      secret: randomBytes(16).toString('base64url'),
      code: Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join(''),
      untilMs: this.now() + OFFER_MS,
    };
    this.offers = [offer];
    return offer;
  }

  /** Takes up an offer; a refusal where there is none such, or after too many wrong tries. */
  redeem(given: { readonly secret?: string; readonly code?: string }): 'paired' | Refusal {
    this.wrong = this.wrong.filter((ms) => ms > this.now() - OFFER_MS);
    if (this.wrong.length >= ATTEMPTS) return 'too many attempts';
    const code = given.code?.toUpperCase().replace(/[^0-9A-Z]/g, '');
    const offer = this.offers.find(
      (o) =>
        o.untilMs > this.now() &&
        ((given.secret !== undefined && sameText(o.secret, given.secret)) ||
          (code !== undefined && sameText(o.code, code))),
    );
    if (!offer) {
      this.wrong.push(this.now());
      return 'unknown';
    }
    this.offers = [];
    return 'paired';
  }

  private now(): number {
    return this.clock.now().getTime();
  }
}
