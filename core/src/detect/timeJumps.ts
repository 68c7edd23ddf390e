import { certaintyOf, type Detected } from './detected.ts';
import * as phrases from './phrases.ts';
import { amplitudeOf, type Phasor, type ToneBlock } from './twoTones.ts';

/** A jump of less is not told, rad: 20 degrees; nor one of less than so many times the usual scatter. */
const LEAST_RAD = (20 * Math.PI) / 180;
const TIMES_SCATTER = 6;
/** Scatter is a mean over about so many blocks, and so is the usual amplitude. */
const MEAN_OF = 100;
/** Below this part of the usual amplitude the tone is lost, and its phase says nothing. */
const HEARD_PART = 0.5;
/** A phase that scatters so much is none, rad: no such tone was sent. */
const MOST_SCATTER_RAD = 0.2;

const wrapped = (rad: number): number => rad - 2 * Math.PI * Math.round(rad / (2 * Math.PI));

/** The phase of one tone, block by block. */
class Phase {
  /** How far ahead of a tone that goes on as it should, at the last five blocks, rad; NaN: it was not heard. */
  private readonly ahead: number[] = [];
  private readonly perBlock: number;
  private blocks = 0;
  private amplitude = 0;
  private meanSquare = MOST_SCATTER_RAD ** 2;

  constructor(hz: number, blockS: number) {
    this.perBlock = 2 * Math.PI * (hz * blockS - Math.round(hz * blockS));
  }

  /**
   * The next block.
   * @returns by how much the phase jumped in the last block but two, between blocks in which it was steady, rad, and
   * what is more than scatter
   */
  push(phasor: Phasor): { readonly jump: number; readonly least: number } | undefined {
    const amplitude = amplitudeOf(phasor);
    const isHeard = amplitude > HEARD_PART * this.amplitude && amplitude > 0;
    this.amplitude += (amplitude - this.amplitude) / Math.min(++this.blocks, MEAN_OF);
    const phase = Math.atan2(-phasor.sin, phasor.cos) - this.perBlock * this.blocks;
    this.ahead.push(isHeard ? phase : Number.NaN);
    if (this.ahead.length > 5) this.ahead.shift();
    const [a, b, , d, e] = this.ahead as [number, number, number, number, number];
    const [before, jump, after] = [wrapped(b - a), wrapped(d - b), wrapped(e - d)];
    if (!Number.isNaN(after))
      this.meanSquare += (Math.min(after ** 2, MOST_SCATTER_RAD ** 2) - this.meanSquare) / MEAN_OF;
    const scatter = Math.sqrt(this.meanSquare);
    if (scatter > MOST_SCATTER_RAD / 2) return undefined;
    const least = Math.max(LEAST_RAD, TIMES_SCATTER * scatter);
    return Math.abs(before) < least / 2 && Math.abs(after) < least / 2 ? { jump, least } : undefined;
  }
}

/**
 * Sound that was left out or played twice while a tone was sent: the tone sounds on, and its phase has jumped, or that
 * of its pilot where what is missing is whole periods of the tone. Streaming, in constant memory but for what is found.
 */
export class TimeJumps {
  private readonly phases: readonly [Phase, Phase];
  private blocks = 0;
  private lastAt = -Infinity;
  private readonly found: Detected<'time jump'>[] = [];

  constructor(
    tonesHz: readonly [tone: number, pilot: number],
    private readonly blockS: number,
  ) {
    this.phases = [new Phase(tonesHz[0], blockS), new Phase(tonesHz[1], blockS)];
  }

  /** Degrees. */
  static readonly threshold = (LEAST_RAD * 180) / Math.PI;

  push({ tone, pilot }: ToneBlock): void {
    const at = this.blocks++ - 2;
    const [ofTone, ofPilot] = [this.phases[0].push(tone), this.phases[1].push(pilot)];
    const [most] = [ofTone, ofPilot]
      .flatMap((p) => (p && Math.abs(p.jump) >= p.least ? [Math.abs(p.jump)] : []))
      .toSorted((a, b) => b - a);
    // One that lies between two blocks is seen from both.
    if (most === undefined || at - this.lastAt <= 2) return;
    this.lastAt = at;
    this.found.push({
      kind: 'time jump',
      ...{ fromS: at * this.blockS, toS: (at + 1) * this.blockS, open: false },
      certainty: certaintyOf(most, LEAST_RAD),
      figure: phrases.phaseJumpedBy(((most * 180) / Math.PI).toFixed(0)),
    });
  }

  end(): readonly Detected<'time jump'>[] {
    return this.found;
  }

  /** What was found, which is then forgotten. */
  drain(): readonly Detected<'time jump'>[] {
    return this.found.splice(0);
  }
}
