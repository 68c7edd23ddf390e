import type { Criterion } from '../walk/criterion.ts';
import type { Grade } from './grade.ts';

/** A kind of product: data and words, not a fork of the code. */
export interface Kind {
  readonly id: string;
  readonly name: string;
  /** What the operator watches for. */
  readonly watched: string;
  readonly words: Readonly<Record<Grade, string>>;
  readonly testSignal: string;
  /** The criterion a claim of this kind is judged on unless another is chosen. */
  readonly claimCriterion: Criterion;
  readonly direction: Direction;
}

export const DIRECTIONS = ['mobile-to-fixed', 'fixed-to-mobile'] as const;
export type Direction = (typeof DIRECTIONS)[number];
