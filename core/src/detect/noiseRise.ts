import { powerDb } from './blockPower.ts';
import { certaintyOf, type Detected } from './detected.ts';
import * as phrases from './phrases.ts';

/** Noise is weighed over so long, s: its level is then known to about a decibel. */
const WINDOW_S = 0.05;
/** What is usual follows this slowly, s, and stands still while the noise has risen. */
const USUAL_S = 5;
/** What is usual is the mean of so many windows at first. */
const LEARNT = 10;
/** Beyond this it has risen, and below that it is over, dB. */
export const [RISEN_DB, OVER_DB] = [10, 5];
/** Nothing is told of noise below this, dB against full scale: nobody hears it. */
export const HEARD_DB = -60;

/**
 * Noise beside a tone that rises against what was usual, as it does on a link that fades before it is lost: the power
 * that is not the tone's, in windows of a twentieth of a second. Two windows in a row begin a rise, and two end it.
 * Streaming, in constant memory but for what is found.
 */
export class NoiseRise {
  private readonly blocks: number;
  private sum = 0;
  private count = 0;
  private windows = 0;
  private usual = 0;
  private since: number | undefined;
  /** Windows in a row that say the other thing. */
  private turned = 0;
  private most = 0;
  private readonly found: Detected<'noise rise'>[] = [];

  /** @param blockS of the powers that are given @throws RangeError */
  constructor(private readonly blockS: number) {
    if (!(blockS > 0 && blockS <= WINDOW_S)) throw new RangeError(`invalid blockS: ${blockS}`);
    this.blocks = Math.round(WINDOW_S / blockS);
  }

  static readonly threshold = RISEN_DB;

  /** Power of one block beside the tone. */
  push(power: number): void {
    this.sum += power;
    if (++this.count < this.blocks) return;
    this.weigh(this.sum / this.blocks);
    this.sum = this.count = 0;
  }

  end(): readonly Detected<'noise rise'>[] {
    if (this.since !== undefined) this.tell(this.windows, true);
    return this.found;
  }

  /** The rise that goes on. */
  get open(): Detected<'noise rise'> | undefined {
    return this.since === undefined ? undefined : this.riseUntil(this.windows, true);
  }

  /** What was found and is over, which is then forgotten. */
  drain(): readonly Detected<'noise rise'>[] {
    return this.found.splice(0);
  }

  private weigh(power: number): void {
    this.windows++;
    if (this.windows <= LEARNT) {
      this.usual += (power - this.usual) / this.windows;
      return;
    }
    const overDb = powerDb(power) - Math.max(powerDb(this.usual), HEARD_DB - RISEN_DB);
    const other = this.since === undefined ? overDb >= RISEN_DB : overDb < OVER_DB;
    this.turned = other ? this.turned + 1 : 0;
    if (this.since !== undefined) this.most = Math.max(this.most, overDb);
    else if (!other) this.usual += (power - this.usual) * (WINDOW_S / USUAL_S);
    if (this.turned < 2) return;
    this.turned = 0;
    // The first of the two windows was the first that said so.
    if (this.since === undefined) [this.since, this.most] = [this.windows - 2, overDb];
    else this.tell(this.windows - 2, false);
  }

  private tell(until: number, open: boolean): void {
    this.found.push(this.riseUntil(until, open));
    this.since = undefined;
  }

  private riseUntil(until: number, open: boolean): Detected<'noise rise'> {
    const windowS = this.blocks * this.blockS;
    return noiseRise((this.since ?? 0) * windowS, until * windowS, open, this.most, phrases.besideTheTone);
  }
}

/** Noise that was so many dB above what was usual, and where that was heard. */
export const noiseRise = (
  fromS: number,
  toS: number,
  open: boolean,
  mostDb: number,
  where: string,
): Detected<'noise rise'> => ({
  kind: 'noise rise',
  fromS,
  toS,
  open,
  certainty: certaintyOf(mostDb, RISEN_DB),
  figure: phrases.noiseDbAboveWhatWasUsual(mostDb.toFixed(0), where),
});
