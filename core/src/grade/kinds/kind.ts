import type { OutwardCriterion } from '../criterion.ts';
import type { Direction } from '../direction.ts';
import type { Grade } from '../grade.ts';

/** What is to be seen to at the zero point before the first walk of a rig. */
export interface RigCheck {
  readonly id: string;
  readonly text: string;
}

/** A kind of product: data and words, not a fork of the code. A new kind is one file beside the others. */
export interface Kind {
  readonly id: string;
  readonly name: string;
  /** What the operator watches for. */
  readonly watched: string;
  /** What is measured, beside the grade. */
  readonly measured: readonly string[];
  readonly words: Readonly<Record<Grade, string>>;
  readonly testSignal: string;
  /** The criterion a claim of this kind is judged on unless another is chosen. */
  readonly claimCriterion: OutwardCriterion;
  readonly direction: Direction;
  /**
   * By ear or eye, where who knows which is which can hear what they expect; or by a count or an instrument.
   */
  readonly judgedBy: 'sense' | 'figures';
  /** Both directions matter in use: testing one is half a test. */
  readonly bothWays: boolean;
  readonly checks: readonly RigCheck[];
}
