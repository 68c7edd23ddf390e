import type { Detected } from './detected.ts';
import * as phrases from './phrases.ts';

/** So many samples that are alike begin a suspicion; noise of 16 bits repeats them by chance once in 10⁷⁷. */
const WINDOW = 16;
/** Blocks that are played again are this long, s: shorter ones are the period of a tone. */
const [SHORTEST_S, LONGEST_S] = [0.005, 0.1];
/** It is told from a whole block and this on, s. */
const LEAST_S = 0.01;
/** More than the moments that are remembered of the longest block at 192 kHz, and few enough for a near cache. */
const SLOTS = 1 << 13;
/**
 * One moment in so many is remembered and looked for, chosen by what is heard then: of a block that is played again the
 * same ones.
 */
const ONE_IN = 8;
/** How far before such a moment the repetition may have begun, samples. */
const BEFORE = 512;
/** A block is like itself where the difference has less than this of the power, over so many samples. */
const [LIKE, MOST_COMPARED] = [0.1, 512];
/** Any odd number that mixes (Knuth, The Art of Computer Programming, vol. 3, §6.4). */
const MIX = 0x9e3779b1;

/**
 * A block of sound that is played again, sample for sample, as a receiver does whose buffer is not filled. Found as a
 * run of samples that are those of a moment before, all at one distance; behind a lossy codec a block is not quite
 * the same again, and is not found. A hum below 200 Hz without any noise in it looks the same. Streaming, in constant
 * memory but for what is found.
 */
export class StuckBuffer {
  private readonly ring: Int16Array;
  private readonly table = new Int32Array(SLOTS);
  private readonly shortest: number;
  private at = 0;
  private hash = 0;
  /** Samples in a row that are equal: a silence repeats nothing. */
  private flat = 0;
  private last = 0;
  private lag = 0;
  private run = 0;
  private readonly found: Detected<'stuck'>[] = [];

  /** @throws RangeError */
  constructor(private readonly rateHz: number) {
    if (!(rateHz > 0)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    this.shortest = Math.round(SHORTEST_S * rateHz);
    this.ring = new Int16Array(2 ** Math.ceil(Math.log2(LONGEST_S * rateHz + 2 * WINDOW)));
  }

  push(sound: Float32Array): void {
    const { ring, table } = this;
    const mask = ring.length - 1;
    const longest = ring.length - 2 * WINDOW;
    // Locals: this runs for every sample of hours of sound.
    let { at, hash, flat, last } = this;
    for (let i = 0; i < sound.length; i++, at++) {
      // To the nearest; a ring of 16 bits takes what it can hold.
      ring[at & mask] = Math.floor(32_767 * (sound[i] as number) + 0.5);
      const value = ring[at & mask] as number;
      flat = value === last ? flat + 1 : 0;
      last = value;
      if (this.lag > 0) {
        if (value === ring[(at - this.lag) & mask]) this.run++;
        else this.ended(at, flat);
      }
      // A hash of the last samples alone: what is older is turned out of 32 bits.
      hash = (Math.imul(hash, 4) + Math.imul(value + 1, MIX)) | 0;
      const mixed = hash ^ (hash >>> 15);
      if ((mixed & (ONE_IN - 1)) !== 0 || at < WINDOW) continue;
      const slot = (mixed >>> 3) & (SLOTS - 1);
      const before = (table[slot] as number) - 1;
      table[slot] = at + 1;
      const lag = at - before;
      if (lag > longest || lag < this.shortest || before < 0 || this.lag > 0 || flat >= WINDOW) continue;
      const alike = this.alike(at, lag);
      if (alike >= WINDOW) [this.lag, this.run] = [lag, alike];
    }
    Object.assign(this, { at, hash, flat, last });
  }

  end(): readonly Detected<'stuck'>[] {
    if (this.lag > 0) this.ended(this.at, this.flat);
    return this.found;
  }

  /** What was found and is over, which is then forgotten. */
  drain(): readonly Detected<'stuck'>[] {
    return this.found.splice(0);
  }

  /** How many samples up to now are those of a lag ago. */
  private alike(at: number, lag: number): number {
    const mask = this.ring.length - 1;
    const most = Math.min(BEFORE, at - lag, this.ring.length - lag);
    for (let k = 0; k < most; k++)
      if (this.ring[(at - k) & mask] !== this.ring[(at - lag - k) & mask]) return k;
    return most;
  }

  /** Whether the block is like itself a part of it later: then it is a tone, which repeats itself as it should. */
  private periodic(at: number, lag: number): boolean {
    const mask = this.ring.length - 1;
    const count = Math.min(lag, MOST_COMPARED);
    const sampleAt = (k: number): number => this.ring[(at - 1 - k) & mask] as number;
    // Any sound is like itself a moment later: what counts is that it is so again.
    let unlike = false;
    for (let shift = 1; shift <= lag / 2; shift++) {
      let [power, off] = [0, 0];
      for (let k = 0; k < count; k++) {
        const [a, b] = [sampleAt(k), sampleAt((k + shift) % lag)];
        power += a * a + b * b;
        off += (a - b) * (a - b);
      }
      if (off >= LIKE * power) unlike = true;
      else if (unlike) return true;
    }
    return false;
  }

  private ended(at: number, flat: number): void {
    const { lag, run, rateHz } = this;
    if (run >= Math.max(lag, LEAST_S * rateHz) && flat < lag && !this.periodic(at, lag))
      this.found.push({
        kind: 'stuck',
        fromS: (at - run) / rateHz,
        toS: at / rateHz,
        open: false,
        certainty: 0.99,
        figure: phrases.msPlayedTimes(((1000 * lag) / rateHz).toFixed(0), (run / lag + 1).toFixed(0)),
      });
    this.lag = this.run = 0;
  }
}
