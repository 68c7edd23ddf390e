/**
 * What a beacon carries: which walk it belongs to, and its number, which is when it was sent, on the walk's clock in
 * tenths of a second. The walk's log says where that was.
 */
export interface BeaconMessage {
  /** 0 to 4,095: told from the walk's id. */
  readonly tag: number;
  /** 0 to 268,435,455: 310 days. */
  readonly sequence: number;
}

export const TAG_BITS = 12;
export const SEQUENCE_BITS = 28;
export const MOST_TAG = 2 ** TAG_BITS - 1;
export const MOST_SEQUENCE = 2 ** SEQUENCE_BITS - 1;
/** Of a number, s. */
export const BEACON_TICK_S = 0.1;
/** Of a message: 40 bits. */
export const MESSAGE_BYTES = 5;

/** The tag of a walk: twelve bits of a hash of its id (FNV-1a, 32 bits, folded), so that neighbours differ. */
export function tagOf(walkId: string): number {
  let hash = 0x811c9dc5;
  for (const letter of walkId) {
    hash ^= letter.codePointAt(0) as number;
    hash = Math.imul(hash, 0x01000193) >>> 0;
  }
  return (hash ^ (hash >>> 12) ^ (hash >>> 24)) & MOST_TAG;
}

/** @throws RangeError with the value that is out of range */
export function messageBytes({ tag, sequence }: BeaconMessage): Uint8Array {
  if (!(Number.isInteger(tag) && tag >= 0 && tag <= MOST_TAG)) throw new RangeError(`invalid tag: ${tag}`);
  if (!(Number.isInteger(sequence) && sequence >= 0 && sequence <= MOST_SEQUENCE))
    throw new RangeError(`invalid sequence: ${sequence}`);
  return Uint8Array.of(
    tag >> 4,
    ((tag & 15) << 4) | (sequence >>> 24),
    (sequence >>> 16) & 255,
    (sequence >>> 8) & 255,
    sequence & 255,
  );
}

/** @throws RangeError where there are not 5 bytes */
export function messageOf(bytes: Uint8Array): BeaconMessage {
  if (bytes.length !== MESSAGE_BYTES) throw new RangeError(`invalid bytes: ${bytes.length} of 5`);
  const [a, b, c, d, e] = bytes as unknown as [number, number, number, number, number];
  return { tag: (a << 4) | (b >> 4), sequence: (((b & 15) << 24) | (c << 16) | (d << 8) | e) >>> 0 };
}
