import FFT from 'fft.js';
import { median } from '../numeric/median.ts';

/** How two recordings of the same sound lie to each other. */
export interface Alignment {
  /** The received one is later by so much where the reference begins, s. */
  readonly delayS: number;
  /** And by so many millionths of the time since: its clock runs otherwise, or the delay grows. */
  readonly driftPpm: number;
  /** Standard deviation of the blocks' own delays about that line, s. */
  readonly scatterS: number;
  /** Blocks that were sure enough, of so many. */
  readonly blocks: number;
  readonly of: number;
}

/** Blocks of the reference, s; the received one is searched so far either way, s. */
const BLOCK_S = 4;
export const MOST_DELAY_S = 5;
/** A peak is one where it stands so many times above the rest. */
const SURE = 8;
/** Blocks off the line by more than this are none of it, s. */
const OFF_S = 0.005;

/**
 * The delay of one block by generalised cross-correlation with phase transform (Knapp and Carter, IEEE ASSP-24,
 * 1976).
 */
class Correlator {
  private readonly size: number;
  private readonly fft: FFT;

  constructor(private readonly rateHz: number) {
    const samples = (BLOCK_S + 2 * MOST_DELAY_S) * rateHz;
    this.size = 2 ** Math.ceil(Math.log2(samples));
    this.fft = new FFT(this.size);
  }

  /** Lag of `heard`, which begins MOST_DELAY_S before `block` does, s; undefined where no peak is sure. */
  delayS(block: Float32Array, heard: Float32Array): number | undefined {
    const [a, b] = [this.spectrum(block), this.spectrum(heard)];
    const cross = this.fft.createComplexArray();
    const weight = this.weights(a, b);
    for (let i = 0; i < this.size; i++) {
      const [ar, ai, br, bi] = [a[2 * i], a[2 * i + 1], b[2 * i], b[2 * i + 1]] as [
        number,
        number,
        number,
        number,
      ];
      const [re, im] = [ar * br + ai * bi, ar * bi - ai * br];
      cross[2 * i] = re * (weight[i] as number);
      cross[2 * i + 1] = im * (weight[i] as number);
    }
    const out = this.fft.createComplexArray();
    this.fft.inverseTransform(out, cross);
    return this.peak(out);
  }

  private spectrum(sound: Float32Array): number[] {
    const padded = new Float64Array(this.size);
    padded.set(sound.subarray(0, this.size));
    const out = this.fft.createComplexArray();
    this.fft.realTransform(out, padded);
    this.fft.completeSpectrum(out);
    return out;
  }

  /** Phase transform where both have power; none where one has less than a millionth of its most. */
  private weights(a: number[], b: number[]): Float64Array {
    const powerOf = (s: number[], i: number): number =>
      (s[2 * i] as number) ** 2 + (s[2 * i + 1] as number) ** 2;
    let [mostA, mostB] = [0, 0];
    for (let i = 0; i < this.size; i++) {
      mostA = Math.max(mostA, powerOf(a, i));
      mostB = Math.max(mostB, powerOf(b, i));
    }
    return Float64Array.from({ length: this.size }, (_, i) => {
      const [pa, pb] = [powerOf(a, i), powerOf(b, i)];
      return pa < 1e-6 * mostA || pb < 1e-6 * mostB ? 0 : 1 / Math.sqrt(pa * pb);
    });
  }

  private peak(out: number[]): number | undefined {
    const most = 2 * MOST_DELAY_S * this.rateHz;
    let [at, squares] = [0, 0];
    for (let i = 0; i <= most; i++) {
      const value = out[2 * i] as number;
      squares += value * value;
      if (value > (out[2 * at] as number)) at = i;
    }
    const height = out[2 * at] as number;
    if (!(height > SURE * Math.sqrt(squares / (most + 1)))) return undefined;
    const [before, after] = [(out[2 * at - 2] as number | undefined) ?? 0, out[2 * at + 2] as number];
    const bend = before - 2 * height + after;
    const off = bend === 0 ? 0 : (before - after) / (2 * bend);
    return (at + off) / this.rateHz - MOST_DELAY_S;
  }
}

/**
 * Delay and drift of a received recording against its reference: the delays of blocks of 4 s, and the line through them
 * that half of all pairs of blocks lie above (Theil, Proc. KNAW 53, 1950; Sen, JASA 63, 1968).
 * @returns undefined where fewer than two blocks are alike @throws RangeError
 */
export function align(
  reference: Float32Array,
  received: Float32Array,
  rateHz: number,
): Alignment | undefined {
  if (!(rateHz > 0)) throw new RangeError(`invalid rateHz: ${rateHz}`);
  const correlator = new Correlator(rateHz);
  const count = Math.floor(reference.length / (BLOCK_S * rateHz));
  const found: { readonly atS: number; readonly delayS: number }[] = [];
  for (let i = 0; i < count; i++) {
    const from = i * BLOCK_S * rateHz;
    const heard = new Float32Array((BLOCK_S + 2 * MOST_DELAY_S) * rateHz);
    const first = from - MOST_DELAY_S * rateHz;
    const there = received.subarray(Math.max(0, first), Math.max(0, first + heard.length));
    heard.set(there, Math.max(0, -first));
    const delayS = correlator.delayS(reference.subarray(from, from + BLOCK_S * rateHz), heard);
    if (delayS !== undefined) found.push({ atS: (i + 0.5) * BLOCK_S, delayS });
  }
  if (found.length < 2) return undefined;
  const slope = slopeOf(found);
  const delayS = median(found.map((f) => f.delayS - slope * f.atS));
  const own = found.filter((f) => Math.abs(f.delayS - slope * f.atS - delayS) < OFF_S);
  if (own.length < 2) return undefined;
  const drift = slopeOf(own);
  const at0 = median(own.map((f) => f.delayS - drift * f.atS));
  const off = own.map((f) => f.delayS - drift * f.atS - at0);
  return {
    delayS: at0,
    driftPpm: 1e6 * drift,
    scatterS: Math.sqrt(off.reduce((sum, x) => sum + x * x, 0) / off.length),
    blocks: own.length,
    of: count,
  };
}

function slopeOf(found: readonly { readonly atS: number; readonly delayS: number }[]): number {
  const slopes = found.flatMap((a, i) =>
    found.slice(i + 1).map((b) => (b.delayS - a.delayS) / (b.atS - a.atS)),
  );
  return slopes.length === 0 ? 0 : median(slopes);
}
