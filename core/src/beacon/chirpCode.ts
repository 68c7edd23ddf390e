import { crc24 } from './crc24.ts';
import { fromKnown, withChecks } from './erasure.ts';
import { MESSAGE_BYTES, messageBytes, messageOf, type BeaconMessage } from './message.ts';

/** The code in sound is made and read at this rate, Hz: links for speech carry no more. */
export const CHIRP_RATE_HZ = 8000;
/** A symbol sweeps from the one to the other, Hz, within what telephones carry. */
export const LOW_HZ = 700;
export const HIGH_HZ = 2700;
/** Of a symbol, samples: 128 ms. Its 256 shifts stand 7.8125 Hz apart, one bin of its own length. */
export const SYMBOL = 1024;
export const SHIFTS = 256;
/** Two sweeps up and one down come first: where both fit, is when. */
export const PREAMBLE = 3;
const CRC_BYTES = 3;
const CHECK_BYTES = 3;
export const DATA_BYTES = MESSAGE_BYTES + CRC_BYTES;
export const CODE_BYTES = DATA_BYTES + CHECK_BYTES;
/** Of a packet: 1.792 s. */
export const PACKET = (PREAMBLE + CODE_BYTES) * SYMBOL;
export const PACKET_S = PACKET / CHIRP_RATE_HZ;
/** It swells and fades so long, samples: 4 ms, that it does not click. */
const EDGE = 32;

/** Phase of a sweep that begins so many shifts up and wraps at the top, at sample i, rad. */
function phaseAt(shift: number, i: number): number {
  const span = HIGH_HZ - LOW_HZ;
  const seconds = i / CHIRP_RATE_HZ;
  const rate = span / (SYMBOL / CHIRP_RATE_HZ);
  const from = LOW_HZ + (span * shift) / SHIFTS;
  const wrapS = (HIGH_HZ - from) / rate;
  const turns = from * seconds + (rate / 2) * seconds * seconds;
  return 2 * Math.PI * (seconds < wrapS ? turns : turns - span * (seconds - wrapS));
}

/** One symbol, of amplitude 1: a sweep up that is shifted, or the sweep down. */
export function symbol(shift: number | 'down'): Float32Array {
  return Float32Array.from({ length: SYMBOL }, (_, i) =>
    shift === 'down' ? Math.cos(phaseAt(0, SYMBOL - 1 - i)) : Math.cos(phaseAt(shift, i)),
  );
}

/** As it is sent: what is carried, its CRC, and three bytes to spare. */
export function codeOf(message: BeaconMessage): Uint8Array {
  const bytes = messageBytes(message);
  const crc = crc24(bytes);
  return withChecks(Uint8Array.of(...bytes, crc >> 16, (crc >> 8) & 255, crc & 255), CHECK_BYTES);
}

/** A packet of sound at 8 kHz, of amplitude 1, 1.792 s long. */
export const packetOf = (message: BeaconMessage): Float32Array => packetFrom(codeOf(message));

/** The same from the bytes as they are sent. */
export function packetFrom(code: Uint8Array): Float32Array {
  const sound = new Float32Array(PACKET);
  const parts = [symbol(0), symbol(0), symbol('down'), ...Array.from(code, (byte) => symbol(byte))];
  parts.forEach((part, i) => sound.set(part, i * SYMBOL));
  for (let i = 0; i < EDGE; i++) {
    const gain = Math.sin((Math.PI / 2) * (i / EDGE)) ** 2;
    sound[i] = (sound[i] as number) * gain;
    sound[PACKET - 1 - i] = (sound[PACKET - 1 - i] as number) * gain;
  }
  return sound;
}

/** Of the least sure bytes, so many are tried as lost, three at a time. */
const DOUBTED = 5;

/**
 * What was sent, from the bytes as they were heard and how sure each is: eight of the eleven are enough, where the CRC
 * of what they give is right. The doubtful ones are left out first. @returns undefined where none fits
 */
export function decode(heard: Uint8Array, sure: readonly number[]): BeaconMessage | undefined {
  const order = Array.from(heard.keys()).toSorted((a, b) => (sure[a] as number) - (sure[b] as number));
  for (const lost of triples(order.slice(0, DOUBTED))) {
    const known = Array.from(heard.keys()).filter((i) => !lost.includes(i));
    const data = fromKnown(heard, known, DATA_BYTES);
    const carried = data.subarray(0, MESSAGE_BYTES);
    const [a, b, c] = data.subarray(MESSAGE_BYTES) as unknown as [number, number, number];
    if (crc24(carried) === ((a << 16) | (b << 8) | c)) return messageOf(carried);
  }
  return undefined;
}

function triples(of: readonly number[]): number[][] {
  return of.flatMap((a, i) => of.slice(i + 1).flatMap((b, j) => of.slice(i + j + 2).map((c) => [a, b, c])));
}
