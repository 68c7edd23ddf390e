import FFT from 'fft.js';
import {
  CHIRP_RATE_HZ,
  CODE_BYTES,
  codeOf,
  decode,
  PACKET,
  packetFrom,
  PREAMBLE,
  SHIFTS,
  SYMBOL,
  symbol,
} from './chirpCode.ts';
import type { BeaconMessage } from './message.ts';

/** A packet that was read. */
export interface HeardPacket extends BeaconMessage {
  /** When its first sample arrived, s of the recording. */
  readonly atS: number;
  /** How like the packet as sent the sound is there, 0 to 1: the share of its amplitude that is the packet's. */
  readonly likeness: number;
  /** Bytes of eleven that were heard as sent. */
  readonly bytes: number;
}

/** Transforms of this length take in sound of this many samples at a time: the rest is the filter's own. */
const SIZE = 8192;
const STEP = SIZE - SYMBOL;
/** The three sweeps of the preamble are alike together at least so much, of 3: noise alone reaches 0.3. */
const LEAST_PREAMBLE = 0.36;
/** And what was decoded, made anew, is so like the sound: the CRC alone is right by chance once in 16 million. */
const LEAST_LIKENESS = 0.08;
/** The first echo and the packet itself stand so near, samples; of them the best is tried. */
const NEAR = SYMBOL / 2;
/** A packet's place is sought about the preamble so far, samples. */
const FINE = 24;

/** Where a sweep begins: likeness of the sound to it, at every sample, whatever its phase. */
class Sweep {
  private readonly fft = new FFT(SIZE);
  private readonly spectrum: number[];

  constructor(sweep: Float32Array) {
    const padded = new Float64Array(SIZE);
    padded.set(sweep);
    const all = this.fft.createComplexArray();
    this.fft.realTransform(all, padded);
    // Of the upper half alone: what comes out is analytic, its magnitude the envelope.
    this.spectrum = Array.from(all, (v, i) => (i < SIZE ? 2 * (v as number) : 0));
  }

  /** Envelopes for a block of SIZE samples; the first STEP of them are whole. `spectrum` is the block's own. */
  envelope(block: readonly number[]): Float64Array {
    const product = this.fft.createComplexArray();
    for (let i = 0; i < 2 * SIZE; i += 2) {
      const [a, b] = [block[i] as number, block[i + 1] as number];
      const [c, d] = [this.spectrum[i] as number, -(this.spectrum[i + 1] as number)];
      product[i] = a * c - b * d;
      product[i + 1] = a * d + b * c;
    }
    const out = this.fft.createComplexArray();
    this.fft.inverseTransform(out, product);
    return Float64Array.from({ length: STEP }, (_, i) =>
      Math.hypot(out[2 * i] as number, out[2 * i + 1] as number),
    );
  }
}

/**
 * Reads packets from sound at 8 kHz as it comes in, in pieces of any length, with bounded memory: sweeps are sought by
 * their matched filter, symbols read by turning the sweep back into a tone, and the place refined on the whole packet.
 */
export class ChirpReader {
  private readonly up = new Sweep(symbol(0));
  private readonly down = new Sweep(symbol('down'));
  private readonly blockFft = new FFT(SIZE);
  private readonly symbolFft = new FFT(SYMBOL);
  private readonly turned = turnedBack();
  /** What is not read to the end yet, and at which sample of the recording it begins. */
  private sound = new Float32Array(0);
  private from = 0;
  /** Likeness of the preamble at every sample of `sound` from its beginning, as far as it is known. */
  private ups = new Float64Array(0);
  private downs = new Float64Array(0);
  /** Before this sample of the recording nothing is looked for any more. */
  private looked = 0;

  push(piece: Float32Array): HeardPacket[] {
    this.sound = joined(this.sound, piece);
    while (this.sound.length - this.ups.length >= SIZE) this.weigh();
    return this.look(false);
  }

  /** What the end of the sound still holds. */
  end(): HeardPacket[] {
    this.sound = joined(this.sound, new Float32Array(SIZE + PACKET));
    while (this.sound.length - this.ups.length >= SIZE) this.weigh();
    return this.look(true);
  }

  /** Likeness to the sweeps for one block more. */
  private weigh(): void {
    const at = this.ups.length;
    const padded = Float64Array.from(this.sound.subarray(at, at + SIZE));
    const spectrum = this.blockFft.createComplexArray();
    this.blockFft.realTransform(spectrum, padded);
    this.blockFft.completeSpectrum(spectrum);
    const energy = energyOver(padded);
    // A sweep of amplitude a has the energy a² N / 2, and its filter gives a N / 2.
    const likenessOf = (envelope: Float64Array): Float64Array =>
      envelope.map((v, i) => v / Math.sqrt(Math.max(1e-12, energy[i] as number) * (SYMBOL / 2)));
    this.ups = joinedDoubles(this.ups, likenessOf(this.up.envelope(spectrum)));
    this.downs = joinedDoubles(this.downs, likenessOf(this.down.envelope(spectrum)));
  }

  private preambleAt(i: number): number {
    return (
      (this.ups[i] as number) + (this.ups[i + SYMBOL] as number) + (this.downs[i + 2 * SYMBOL] as number)
    );
  }

  private look(last: boolean): HeardPacket[] {
    const found: HeardPacket[] = [];
    const until = Math.min(this.ups.length - 2 * SYMBOL - NEAR, this.sound.length - PACKET - FINE);
    let i = Math.max(0, this.looked - this.from);
    for (; i < until; i++) {
      if (this.preambleAt(i) < LEAST_PREAMBLE) continue;
      let best = i;
      for (let k = i + 1; k < i + NEAR; k++) if (this.preambleAt(k) > this.preambleAt(best)) best = k;
      if (best >= until && !last) break;
      const packet = this.read(best);
      if (packet) found.push(packet);
      i = packet ? best + PACKET - SYMBOL : i + NEAR;
    }
    this.looked = this.from + Math.max(i, 0);
    this.forget();
    return found;
  }

  /** Keeps what a packet that begins later may need. */
  private forget(): void {
    const done = Math.min(this.looked - this.from - FINE - 1, this.ups.length);
    if (done < SIZE) return;
    this.sound = this.sound.slice(done);
    this.ups = this.ups.slice(done);
    this.downs = this.downs.slice(done);
    this.from += done;
  }

  private read(at: number): HeardPacket | undefined {
    const heard = new Uint8Array(CODE_BYTES);
    const sure: number[] = [];
    for (let i = 0; i < CODE_BYTES; i++) {
      const { shift, share } = this.shiftAt(at + (PREAMBLE + i) * SYMBOL);
      heard[i] = shift;
      sure.push(share);
    }
    const message = decode(heard, sure);
    if (!message) return undefined;
    const sent = codeOf(message);
    const { off, likeness } = this.place(at, packetFrom(sent));
    if (likeness < LEAST_LIKENESS) return undefined;
    return {
      ...message,
      atS: (this.from + at + off) / CHIRP_RATE_HZ,
      likeness,
      bytes: sent.reduce((n, byte, i) => n + (byte === heard[i] ? 1 : 0), 0),
    };
  }

  /** The shift of a symbol: the tone that is left without its sweep, and its share of the power of all tones. */
  private shiftAt(at: number): { shift: number; share: number } {
    const tones = this.symbolFft.createComplexArray();
    const input = this.symbolFft.createComplexArray();
    for (let i = 0; i < SYMBOL; i++) {
      const x = this.sound[at + i] ?? 0;
      input[2 * i] = x * (this.turned[2 * i] as number);
      input[2 * i + 1] = x * (this.turned[2 * i + 1] as number);
    }
    this.symbolFft.transform(tones, input);
    const power = (bin: number): number =>
      (tones[2 * bin] as number) ** 2 + (tones[2 * bin + 1] as number) ** 2;
    let [best, most, all] = [0, 0, 0];
    for (let shift = 0; shift < SHIFTS; shift++) {
      // Before the sweep wraps the tone lies at its shift, after it 2 kHz below.
      const both = power(shift) + power(SYMBOL - SHIFTS + shift);
      all += both;
      if (both > most) [best, most] = [shift, both];
    }
    return { shift: best, share: all === 0 ? 0 : most / all };
  }

  /** Where the whole packet fits best about a sample, to a fraction of one, and how like it the sound is. */
  private place(at: number, packet: Float32Array): { off: number; likeness: number } {
    const quadrature = quadratureOf(packet);
    const fit = (off: number): number => {
      let [re, im] = [0, 0];
      for (let i = 0; i < PACKET; i++) {
        const x = this.sound[at + off + i] ?? 0;
        re += x * (packet[i] as number);
        im += x * (quadrature[i] as number);
      }
      return Math.hypot(re, im);
    };
    let best = 0;
    const fits = new Map<number, number>();
    for (let off = -FINE; off <= FINE; off++) {
      fits.set(off, fit(off));
      if ((fits.get(off) as number) > (fits.get(best) ?? -1)) best = off;
    }
    const [before, peak, after] = [best - 1, best, best + 1].map((off) => fits.get(off) ?? fit(off)) as [
      number,
      number,
      number,
    ];
    const bend = before - 2 * peak + after;
    let [energy, own] = [0, 0];
    for (let i = 0; i < PACKET; i++) {
      energy += (this.sound[at + best + i] ?? 0) ** 2;
      own += (packet[i] as number) ** 2;
    }
    return {
      off: best + (bend === 0 ? 0 : (before - after) / (2 * bend)),
      likeness: peak / Math.sqrt(Math.max(1e-12, energy * own)),
    };
  }
}

/** The conjugate of the analytic sweep from 0 Hz shift, interleaved. */
function turnedBack(): Float64Array {
  const [re, im] = [symbol(0), quadratureOf(symbol(0))];
  return Float64Array.from({ length: 2 * SYMBOL }, (_, i) =>
    i % 2 === 0 ? (re[i / 2] as number) : -(im[(i - 1) / 2] as number),
  );
}

/** The same sound, every tone a quarter turn later: by its transform without the lower half. */
export function quadratureOf(sound: Float32Array): Float32Array {
  const size = 2 ** Math.ceil(Math.log2(sound.length));
  const fft = new FFT(size);
  const padded = new Float64Array(size);
  padded.set(sound);
  const spectrum = fft.createComplexArray();
  fft.realTransform(spectrum, padded);
  for (let i = 0; i < 2 * size; i++) spectrum[i] = i < size ? 2 * (spectrum[i] as number) : 0;
  const out = fft.createComplexArray();
  fft.inverseTransform(out, spectrum);
  return Float32Array.from({ length: sound.length }, (_, i) => out[2 * i + 1] as number);
}

/** Energy of the symbol's length that begins at each sample of a block. */
function energyOver(block: Float64Array): Float64Array {
  const energy = new Float64Array(STEP);
  let sum = 0;
  for (let i = 0; i < SYMBOL; i++) sum += (block[i] as number) ** 2;
  for (let i = 0; i < STEP; i++) {
    energy[i] = sum;
    sum += (block[i + SYMBOL] as number) ** 2 - (block[i] as number) ** 2;
  }
  return energy;
}

function joined(a: Float32Array, b: Float32Array): Float32Array<ArrayBuffer> {
  const all = new Float32Array(a.length + b.length);
  all.set(a);
  all.set(b, a.length);
  return all;
}
function joinedDoubles(a: Float64Array, b: Float64Array): Float64Array<ArrayBuffer> {
  const all = new Float64Array(a.length + b.length);
  all.set(a);
  all.set(b, a.length);
  return all;
}
