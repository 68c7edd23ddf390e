import type { DeviceRole } from '@urvek/contract';
import { createHash, randomBytes, randomInt } from 'node:crypto';
import type { DataSource } from 'typeorm';
import type { Clock } from '../clock.ts';
import * as sql from '../storage/postgres/sql.ts';

const MINUTE_MS = 60_000;
/** An offer can be taken up for so long, once. */
export const OFFER_MS = 5 * MINUTE_MS;
/** Wrong codes of one address, while an offer stands, before it is heard no more. */
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

const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');

/**
 * Offers to pair: made on this machine, taken up once on another. They stand in the database, so that a restart or a
 * second server process changes nothing; of secret and code only hashes.
 */
export class Pairing {
  constructor(
    private readonly database: DataSource,
    private readonly clock: Clock,
  ) {}

  /** A new offer takes the place of every earlier one. */
  async offer(role: DeviceRole): Promise<Offer> {
    const offer: Offer = {
      secret: randomBytes(16).toString('base64url'),
      code: Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join(''),
      untilMs: this.clock.now().getTime() + OFFER_MS,
    };
    await sql.offerPairing(this.database.manager, {
      secretHash: hashOf(offer.secret),
      codeHash: hashOf(offer.code),
      role,
      until: new Date(offer.untilMs),
    });
    return offer;
  }

  /**
   * Takes up an offer; a refusal where there is none such, or after too many wrong codes from one address. The secret
   * cannot be guessed, and no guess at a code keeps it from being taken up.
   */
  async redeem(
    address: string,
    given: { readonly secret?: string; readonly code?: string },
  ): Promise<{ readonly role: DeviceRole } | Refusal> {
    const { manager } = this.database;
    const now = this.clock.now();
    if (given.secret !== undefined) {
      const role = await sql.takeOffer(manager, 'secret_hash', hashOf(given.secret), now);
      return role ? { role } : 'unknown';
    }
    const { stands, tries } = await sql.triesOf(manager, address, now);
    if (!stands) return 'unknown';
    if (tries >= ATTEMPTS) return 'too many attempts';
    const code = (given.code ?? '').toUpperCase().replace(/[^0-9A-Z]/g, '');
    const role = await sql.takeOffer(manager, 'code_hash', hashOf(code), now);
    if (role) return { role };
    await sql.addTry(manager, address, now);
    return 'unknown';
  }
}
