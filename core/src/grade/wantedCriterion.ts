import { CRITERIA, type Criterion } from './criterion.ts';
import { kindOf } from './kinds/index.ts';

/** One criterion for all, or that of each kind of product. */
export const WANTED_CRITERIA = ['by kind', ...CRITERIA] as const;
export type WantedCriterion = (typeof WANTED_CRITERIA)[number];

export const criterionFor = (wanted: WantedCriterion, kindId: string): Criterion =>
  wanted === 'by kind' ? kindOf(kindId).claimCriterion : wanted;
