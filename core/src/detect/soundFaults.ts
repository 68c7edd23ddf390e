import { BlockPower, powerDb } from './blockPower.ts';
import { certaintyOf, type Detected } from './detected.ts';
import * as phrases from './phrases.ts';

/** So many samples in a row at one height, and it was cut there. */
const CLIPPED_SAMPLES = 4;
/** No cut is told below this height, of full scale. */
const CLIPPED_AT = 0.5;
/** Cuts closer than this are one, s. */
const JOINED_S = 0.05;
/** A step against the mean step around it, and the least step of full scale that is told. */
const CLICK_RATIO = 40;
const CLICK_LEAST = 0.05;
/**
 * And against the mean step of so long after it, s, but for its own samples: a voice that sets in, or sound that comes
 * back, goes on as it began (docs/instruments.md has what that leaves out and what it costs).
 */
const CLICK_OVER_AFTER = 20;
const CLICK_AFTER_S = 0.005;
/** A sample that is wrong makes so many steps. */
const CLICK_SAMPLES = 3;
/** The mean step is taken anew so often, s, and follows with this time constant, s. */
const [STEP_BLOCK_S, STEP_FOLLOWS_S] = [0.001, 0.02];

/** What is wrong with the samples themselves: cut peaks, and single jumps that no signal makes. Streaming. */
export class SampleFaults {
  private at = 0;
  private last = 0;
  private before = 0;
  private run = 1;
  private meanStep = 0;
  /** A jump that may be a click: what comes after it tells. */
  private jumped: { at: number; jump: number; usual: number; sum: number; count: number } | undefined;
  /** Of a block of steps that is not full yet. */
  private steps = { sum: 0, count: 0 };
  private readonly block: number;
  private readonly found: Detected<'click' | 'clipping'>[] = [];

  constructor(private readonly rateHz: number) {
    if (!(rateHz > 0)) throw new RangeError(`invalid rateHz: ${rateHz}`);
    this.block = Math.max(1, Math.round(STEP_BLOCK_S * rateHz));
  }

  push(sound: Float32Array): void {
    const { steps, block } = this;
    for (let i = 0; i < sound.length;) {
      const end = Math.min(sound.length, i + block - steps.count);
      this.some(sound, i, end);
      i = end;
      if (steps.count < block) break;
      this.meanStep += (steps.sum / block - this.meanStep) * (STEP_BLOCK_S / STEP_FOLLOWS_S);
      steps.sum = steps.count = 0;
    }
  }

  /** Samples within a block. */
  private some(sound: Float32Array, from: number, end: number): void {
    // Locals: this runs for every sample of hours of sound.
    let { last, before, run } = this;
    let { sum } = this.steps;
    const most = CLICK_RATIO * this.meanStep;
    const told = this.at > this.rateHz / 20 ? Math.max(most, CLICK_LEAST) : Infinity;
    for (let i = from; i < end; i++) {
      const x = sound[i] as number;
      run = x === last ? run + 1 : 1;
      if (run === CLIPPED_SAMPLES && (x >= CLIPPED_AT || x <= -CLIPPED_AT))
        this.clipped(this.at + i - from, x);
      // Second difference: a wave of speech is smooth, a lost sample is not.
      const jump = Math.abs(x - 2 * last + before);
      if (this.jumped) this.follow(this.jumped, jump);
      else if (jump > told)
        this.jumped = { at: this.at + i - from, jump, usual: this.meanStep, sum: 0, count: 0 };
      sum += jump > most + 1e-4 ? most + 1e-4 : jump;
      before = last;
      last = x;
    }
    this.steps.sum = sum;
    this.steps.count += end - from;
    this.last = last;
    this.before = before;
    this.run = run;
    this.at += end - from;
  }

  end(): readonly Detected<'click' | 'clipping'>[] {
    if (this.jumped) this.decide(this.jumped);
    return this.found;
  }

  /** What was found and is over, which is then forgotten. */
  drain(): readonly Detected<'click' | 'clipping'>[] {
    return this.found.splice(0);
  }

  private follow(jumped: NonNullable<SampleFaults['jumped']>, jump: number): void {
    if (++jumped.count < CLICK_SAMPLES) jumped.jump = Math.max(jumped.jump, jump);
    else jumped.sum += jump;
    if (jumped.count >= CLICK_SAMPLES + CLICK_AFTER_S * this.rateHz) this.decide(jumped);
  }

  private decide({ at, jump, usual, sum, count }: NonNullable<SampleFaults['jumped']>): void {
    this.jumped = undefined;
    const after = sum / Math.max(1, count - CLICK_SAMPLES + 1);
    if (jump > CLICK_OVER_AFTER * after) this.clicked(at, jump, usual);
  }

  private clipped(at: number, x: number): void {
    this.tell('clipping', at, phrases.samplesAndMoreAtOfFull(CLIPPED_SAMPLES, Math.abs(x).toFixed(2)), 0.9);
  }

  private clicked(at: number, jump: number, meanStep: number): void {
    const times = jump / Math.max(meanStep, 1e-9);
    this.tell(
      'click',
      at,
      phrases.aJumpOfTimesTheUsual(times.toFixed(0)),
      certaintyOf(jump, CLICK_RATIO * meanStep),
    );
  }

  private tell(kind: 'click' | 'clipping', at: number, figure: string, certainty: number): void {
    const atS = at / this.rateHz;
    const i = this.found.findLastIndex((f) => f.kind === kind);
    const last = this.found[i];
    if (last && atS - last.toS < JOINED_S)
      this.found[i] = { ...last, toS: atS, certainty: Math.max(last.certainty, certainty) };
    else this.found.push({ kind, fromS: atS, toS: atS, open: false, certainty, figure });
  }
}

/** A channel so far below the other, for so long, while the other goes on. */
const MISSING_DB = 30;
const MISSING_S = 0.3;
const CHANNEL_BLOCK_S = 0.02;
/** The other is there. */
const THERE_DB = -50;

/** One of two channels missing where both were there before. Streaming. */
export class MissingChannel {
  private readonly powers: [number[], number[]] = [[], []];
  private readonly blocks: readonly [BlockPower, BlockPower];
  private block = 0;
  private bothS = 0;
  private run: { readonly channel: 0 | 1; readonly from: number; deepest: number } | undefined;
  private readonly found: Detected<'channel missing'>[] = [];

  constructor(rateHz: number) {
    const samples = Math.max(1, Math.round(rateHz * CHANNEL_BLOCK_S));
    this.blocks = [
      new BlockPower(samples, (p) => this.powers[0].push(p)),
      new BlockPower(samples, (p) => this.powers[1].push(p)),
    ];
  }

  push(left: Float32Array, right: Float32Array): void {
    this.blocks[0].push(left);
    this.blocks[1].push(right);
    while (this.powers[0].length > 0 && this.powers[1].length > 0)
      this.look(powerDb(this.powers[0].shift() as number), powerDb(this.powers[1].shift() as number));
  }

  end(): readonly Detected<'channel missing'>[] {
    this.close(true);
    return this.found;
  }

  private look(leftDb: number, rightDb: number): void {
    const off = leftDb - rightDb;
    const channel = off < 0 ? 0 : 1;
    const there = Math.max(leftDb, rightDb) > THERE_DB;
    if (there && Math.abs(off) > MISSING_DB && this.bothS > MISSING_S) {
      if (this.run?.channel !== channel) {
        this.close(false);
        this.run = { channel, from: this.block, deepest: 0 };
      }
      this.run.deepest = Math.max(this.run.deepest, Math.abs(off));
    } else {
      this.close(false);
      if (there && Math.abs(off) < MISSING_DB / 2) this.bothS += CHANNEL_BLOCK_S;
    }
    this.block++;
  }

  private close(open: boolean): void {
    const { run, block } = this;
    this.run = undefined;
    if (!run || (block - run.from) * CHANNEL_BLOCK_S < MISSING_S) return;
    this.found.push({
      kind: 'channel missing',
      ...{ fromS: run.from * CHANNEL_BLOCK_S, toS: block * CHANNEL_BLOCK_S, open },
      certainty: certaintyOf(run.deepest, MISSING_DB / 2),
      figure: phrases.isDbBelowTheOther(run.channel === 0 ? 'left' : 'right', run.deepest.toFixed(0)),
    });
  }
}
