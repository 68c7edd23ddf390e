import FFT from 'fft.js';
import { powerDb } from './blockPower.ts';
import { type Detected } from './detected.ts';
import { HEARD_DB, noiseRise, OVER_DB, RISEN_DB } from './noiseRise.ts';
import * as phrases from './phrases.ts';

/** Short enough for the closure before a consonant, s. */
const WINDOW_S = 0.02;
/** Speech has paused within this, s: the quietest window of it is the noise. */
const FLOOR_S = 3;
/** What is usual follows this slowly, s, and stands still while the noise has risen. */
const USUAL_S = 10;
/** So far below what is usual nothing comes through: that is a gap, dB; after so long it is what is usual now, s. */
const GAP_DB = 15;
/** Before anything is usual: a codec begins with such a silence of its own, dB against full scale. */
const NOTHING_DB = -90;
const LONGEST_GAP_S = 5;
/** Nothing is usual in what comes first, s: a codec begins amid its frame, and a microphone's gain settles. */
const SETTLES_S = 0.2;
/** Windows within this of the quietest are the noise, dB. */
const NEAR_DB = 3;
/**
 * Flatness of a spectrum, its geometric over its arithmetic mean: exp(−γ) = 0.56 of white noise by one look,
 * under 0.1 of a voice or an instrument. Below this it is no noise.
 */
const FLAT = 0.25;
/** Looked at, Hz: what every link for speech carries. */
const BAND_HZ = [300, 3400] as const;

interface Window {
  /** Level in the band, dB against full scale. */
  readonly db: number;
  readonly flatness: number;
}

/**
 * Noise that rises under a signal that nothing is known of, as far as the signal pauses: the quietest of some windows
 * is followed (minimum statistics, compare R. Martin, IEEE Trans. Speech Audio Process. 9 (2001)). A passage that is
 * louder has no flat spectrum where it is quietest, and is not told. What rises for less than three seconds is not
 * found. Streaming, in constant memory but for what is found.
 */
export class FloorRise {
  static readonly leastRateHz = 8000;
  static readonly thresholds = { noise_rise_db: RISEN_DB, noise_rise_shortest_s: FLOOR_S };

  private readonly sound: Float64Array;
  private readonly fft: FFT;
  private readonly spectrum: number[];
  /** Hann's window and the sound in it, as long as the transform. */
  private readonly hann: Float64Array;
  private readonly weighed: Float64Array;
  private readonly bins: readonly [number, number];
  private filled = 0;
  private at = 0;
  /** The last windows, as many as tell the floor. */
  private readonly last: Window[] = [];
  private usualDb: number | undefined;
  private gap = 0;
  /** Windows since something came, up to those in which it settles. */
  private settled = 0;
  /** Of the last window that was as quiet as usual. */
  private quietAt = -1;
  private most = 0;
  private since: number | undefined;
  private readonly found: Detected<'noise rise'>[] = [];

  /** @throws RangeError */
  constructor(private readonly rateHz: number) {
    if (!(rateHz >= FloorRise.leastRateHz)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    this.sound = new Float64Array(Math.round(rateHz * WINDOW_S));
    const size = 2 ** Math.floor(Math.log2(this.sound.length));
    this.hann = Float64Array.from({ length: size }, (_, i) => 1 - Math.cos((2 * Math.PI * i) / size));
    this.weighed = new Float64Array(size);
    this.fft = new FFT(size);
    this.spectrum = this.fft.createComplexArray();
    const [low, high] = BAND_HZ.map((hz) => Math.round((hz / rateHz) * size)) as [number, number];
    this.bins = [low, high];
  }

  push(sound: Float32Array): void {
    for (const x of sound) {
      this.sound[this.filled++] = x;
      if (this.filled < this.sound.length) continue;
      this.filled = 0;
      this.look(this.windowOf());
      this.at++;
    }
  }

  end(): readonly Detected<'noise rise'>[] {
    if (this.since !== undefined) this.tell(this.at, true);
    return this.found;
  }

  /** The rise that goes on. */
  get open(): Detected<'noise rise'> | undefined {
    return this.since === undefined ? undefined : this.riseUntil(this.at, true);
  }

  /** What was found and is over, which is then forgotten. */
  drain(): readonly Detected<'noise rise'>[] {
    return this.found.splice(0);
  }

  private windowOf(): Window {
    const { sound, fft, spectrum, bins, hann, weighed } = this;
    for (let i = 0; i < weighed.length; i++) weighed[i] = (hann[i] as number) * (sound[i] as number);
    fft.realTransform(spectrum, weighed);
    let [logs, sum] = [0, 0];
    for (let k = bins[0]; k <= bins[1]; k++) {
      const p = (spectrum[2 * k] as number) ** 2 + (spectrum[2 * k + 1] as number) ** 2 + 1e-20;
      logs += Math.log(p);
      sum += p;
    }
    const n = bins[1] - bins[0] + 1;
    // Parseval's theorem; the mean square of Hann's window is 3/2.
    const power = (2 * sum) / (1.5 * hann.length ** 2);
    return { db: powerDb(power), flatness: Math.exp(logs / n) / (sum / n) };
  }

  private look(window: Window): void {
    const { last } = this;
    if (window.db < (this.usualDb === undefined ? NOTHING_DB : this.usualDb - GAP_DB)) {
      this.quietAt = this.at;
      if (++this.gap * WINDOW_S < LONGEST_GAP_S) return;
      this.usualDb = undefined;
      this.settled = last.length = 0;
    }
    this.gap = 0;
    if (this.settled < Math.round(SETTLES_S / WINDOW_S)) {
      this.settled++;
      this.quietAt = this.at;
      return;
    }
    last.push(window);
    if (last.length > Math.round(FLOOR_S / WINDOW_S)) last.shift();
    else if (last.length < Math.round(FLOOR_S / WINDOW_S)) return;
    const floorDb = Math.min(...last.map((w) => w.db));
    const usual = Math.max(this.usualDb ?? floorDb, HEARD_DB - RISEN_DB);
    if (window.db < usual + OVER_DB) {
      if (this.since !== undefined) this.tell(this.at, false);
      this.quietAt = this.at;
    }
    const overDb = floorDb - usual;
    if (this.since !== undefined) this.most = Math.max(this.most, overDb);
    else if (overDb >= RISEN_DB && this.at - this.quietAt >= last.length && isNoise(last, floorDb))
      [this.since, this.most] = [this.quietAt + 1, overDb];
    else if (overDb < OVER_DB)
      this.usualDb = usual + (floorDb - usual) * (this.usualDb === undefined ? 1 : WINDOW_S / USUAL_S);
  }

  private tell(until: number, open: boolean): void {
    this.found.push(this.riseUntil(until, open));
    this.since = undefined;
  }

  private riseUntil(until: number, open: boolean): Detected<'noise rise'> {
    const windowS = this.sound.length / this.rateHz;
    const [fromS, toS] = [(this.since ?? 0) * windowS, until * windowS];
    return noiseRise(fromS, toS, open, this.most, phrases.whereTheSoundIsQuietest);
  }
}

/** Most of the windows near the quietest have the flat spectrum of noise. */
function isNoise(windows: readonly Window[], floorDb: number): boolean {
  const near = windows.filter((w) => w.db < floorDb + NEAR_DB);
  return near.filter((w) => w.flatness >= FLAT).length > near.length / 2;
}
