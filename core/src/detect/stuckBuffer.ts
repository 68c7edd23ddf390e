import type { Detected } from './detected.ts';
import * as phrases from './phrases.ts';

/** So many samples that are alike begin a suspicion; noise of 16 bits repeats them by chance once in 10⁷⁷. */
const WINDOW = 16;
/** Blocks that are played again are this long, s: shorter ones are the period of a tone. */
const [SHORTEST_S, LONGEST_S] = [0.005, 0.1];
/** It is told from a whole block and this on, s. */
const LEAST_S = 0.01;
/** More than the moments that are remembered of the longest block at 192 kHz, and few enough for a near cache. */
const SLOTS = 1 << 11;
/**
 * Moments are remembered and looked for by what is heard then, so that of a block that is played again the same ones
 * are: so many in a second, at most one in four.
 */
const MOMENTS_PER_S = 3000;
/** How far before such a moment the repetition may have begun, samples. */
const BEFORE = 512;
/** Samples are gone over in pieces of this length. */
const PIECE = 4096;
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
  private readonly shortest: number;
  private readonly longest: number;
  /** What was heard before a piece, then the piece. */
  private readonly kept: number;
  private readonly heard: Float32Array;
  /** When a moment like this was last, by its hash: sample after the first, from 1. */
  private readonly table = new Int32Array(SLOTS);
  /** A moment is remembered where so many first bits of its hash are 0. */
  private readonly chosenBits: number;
  /** The first sample of the piece. */
  private at = 0;
  private lag = 0;
  private run = 0;
  private readonly found: Detected<'stuck'>[] = [];

  /** @throws RangeError */
  constructor(private readonly rateHz: number) {
    if (!(rateHz > 0)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    this.shortest = Math.round(SHORTEST_S * rateHz);
    this.longest = Math.round(LONGEST_S * rateHz);
    this.kept = this.longest + BEFORE;
    this.heard = new Float32Array(this.kept + PIECE);
    this.chosenBits = Math.max(2, Math.round(Math.log2(rateHz / MOMENTS_PER_S)));
  }

  push(sound: Float32Array): void {
    for (let i = 0; i < sound.length; i += PIECE) this.look(sound.subarray(i, i + PIECE));
  }

  end(): readonly Detected<'stuck'>[] {
    if (this.lag > 0) this.ended(this.kept);
    return this.found;
  }

  /** What was found and is over, which is then forgotten. */
  drain(): readonly Detected<'stuck'>[] {
    return this.found.splice(0);
  }

  private look(piece: Float32Array): void {
    const { heard, kept, table, shortest, longest } = this;
    heard.set(piece, kept);
    // Compared bit by bit, as whole numbers.
    const bits = new Int32Array(heard.buffer);
    const [end, ahead, others] = [kept + piece.length, this.at - kept + 1, 32 - this.chosenBits];
    let repeatsTo = this.lag > 0 ? this.follow(bits, kept, end) : kept;
    // Of the last samples alone: what is older is turned out of 32 bits.
    let hash = 0;
    for (let i = kept - WINDOW; i < kept; i++) hash = ((hash << 2) + Math.imul(bits[i] as number, MIX)) | 0;
    // This runs for every sample of hours of sound.
    for (let i = kept; i < end; i++) {
      hash = ((hash << 2) + Math.imul(bits[i] as number, MIX)) | 0;
      if (hash >>> others !== 0) continue;
      const slot = (hash ^ (hash >>> 15)) & (SLOTS - 1);
      const before = table[slot] as number;
      table[slot] = i + ahead;
      const lag = i + ahead - before;
      if (before === 0 || lag < shortest || lag > longest || i < repeatsTo) continue;
      // A silence repeats nothing.
      const alike = isFlat(bits, i, WINDOW) ? 0 : alikeBefore(bits, i, lag, this.at + i - kept);
      if (alike < WINDOW) continue;
      [this.lag, this.run] = [lag, alike];
      repeatsTo = this.follow(bits, i + 1, end);
    }
    this.at += piece.length;
    heard.copyWithin(0, piece.length, end);
  }

  /** Goes on with a repetition. @returns where it ended, or the end */
  private follow(bits: Int32Array, from: number, end: number): number {
    const { lag } = this;
    let i = from;
    while (i < end && bits[i] === bits[i - lag]) i++;
    this.run += i - from;
    if (i < end) this.ended(i);
    return i;
  }

  /** Whether the block before is like itself a part of it later: a tone, which repeats itself as it should. */
  private periodic(to: number, lag: number): boolean {
    const { heard } = this;
    const count = Math.min(lag, MOST_COMPARED);
    const sampleAt = (k: number): number => heard[to - 1 - k] as number;
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

  /** A repetition ended before this sample. */
  private ended(to: number): void {
    const { lag, run, rateHz } = this;
    const toS = (this.at + to - this.kept) / rateHz;
    const bits = new Int32Array(this.heard.buffer);
    if (run >= Math.max(lag, LEAST_S * rateHz) && !isFlat(bits, to - 1, lag) && !this.periodic(to, lag))
      this.found.push({
        kind: 'stuck',
        fromS: toS - run / rateHz,
        toS,
        open: false,
        certainty: 0.99,
        figure: phrases.msPlayedTimes(((1000 * lag) / rateHz).toFixed(0), (run / lag + 1).toFixed(0)),
      });
    this.lag = this.run = 0;
  }
}

/** The last so many samples are all one. */
function isFlat(bits: Int32Array, last: number, count: number): boolean {
  for (let k = 1; k < count; k++) if (bits[last - k] !== bits[last]) return false;
  return true;
}

/** How many samples up to the last are those of a lag ago, of as many as were heard. */
function alikeBefore(bits: Int32Array, last: number, lag: number, heard: number): number {
  const most = Math.min(BEFORE, heard + 1 - lag);
  for (let k = 0; k < most; k++) if (bits[last - k] !== bits[last - lag - k]) return k;
  return most;
}
