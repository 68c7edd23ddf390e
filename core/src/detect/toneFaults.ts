import type { Detected } from './detected.ts';
import { NoiseRise } from './noiseRise.ts';
import { TimeJumps } from './timeJumps.ts';
import { amplitudeOf, TwoTones, type ToneBlock } from './twoTones.ts';

/** Of the tone that Urvek plays, Hz. */
export const TONE_HZ = 1000;
/**
 * Of its pilot, Hz. Links lose sound in frames of 2.5, 5, 7.5, 10, 20, 40 or 60 ms (common practice of codecs): those
 * are whole periods of the tone, and shift the pilot's phase by 36 degrees and more.
 */
export const PILOT_HZ = 1720;
/** The pilot's amplitude as a part of the tone's: 12 dB weaker, so that it takes little of the level. */
export const PILOT_PART = 0.25;

const BLOCK_S = 0.01;
/** A block in which the tone changed by more than this part was cut: what is left over in it is no noise. */
const CUT_PART = 0.2;

/** Faults of sound beside a tone or in it: noise that rises, and moments that were left out or played twice. */
export class ToneFaults {
  private readonly tones: TwoTones;
  private readonly rise: NoiseRise;
  private readonly jumps: TimeJumps;
  private amplitude: number | undefined;
  private rest = 0;

  /** @throws RangeError where the rate is too low for the tones */
  constructor(rateHz: number) {
    const hz = [TONE_HZ, PILOT_HZ] as const;
    this.tones = new TwoTones(rateHz, hz, BLOCK_S, (block) => this.take(block));
    this.rise = new NoiseRise(this.tones.blockS);
    this.jumps = new TimeJumps(hz, this.tones.blockS);
  }

  static readonly thresholds = { noise_rise_db: NoiseRise.threshold, phase_jump_deg: TimeJumps.threshold };

  push(sound: Float32Array): void {
    this.tones.push(sound);
  }

  end(): readonly Detected<'noise rise' | 'time jump'>[] {
    return [...this.rise.end(), ...this.jumps.end()];
  }

  /** The rise that goes on. */
  get open(): Detected<'noise rise'> | undefined {
    return this.rise.open;
  }

  /** Jumps that were found; they, and rises that are over, are then forgotten. */
  drain(): readonly Detected<'time jump'>[] {
    this.rise.drain();
    return this.jumps.drain();
  }

  private take(block: ToneBlock): void {
    this.jumps.push(block);
    const amplitude = amplitudeOf(block.tone);
    const before = this.amplitude ?? amplitude;
    this.amplitude = amplitude;
    if (Math.abs(amplitude - before) <= CUT_PART * Math.max(amplitude, before)) this.rest = block.rest;
    this.rise.push(this.rest);
  }
}
