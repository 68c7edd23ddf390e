/** Which of the ranges is meant. Never just "range". */
export const OUTWARD_CRITERIA = [
  'first artefact',
  'first unusable',
  'first dropout',
  'last usable',
  'lost',
] as const;
export const RETURN_CRITERIA = ['self-regain', 'reconnect after a reset'] as const;
/** Of walks that begin out of reach and come in; never pooled with those that walk out. */
export const INWARD_CRITERIA = ['first reached'] as const;
export const CRITERIA = [...OUTWARD_CRITERIA, ...RETURN_CRITERIA, ...INWARD_CRITERIA] as const;

export type OutwardCriterion = (typeof OUTWARD_CRITERIA)[number];
export type Criterion = (typeof CRITERIA)[number];

export const CRITERION_MEANING: Readonly<Record<Criterion, string>> = {
  'first artefact': 'walking out, the first grade below 5',
  'first unusable': 'walking out, the first grade below 3',
  'first dropout': 'walking out, the first loss (grade 1)',
  'last usable': 'walking out, the end of the last stretch of grade 3 or better',
  lost: 'walking out, the end of the last stretch of grade 2 or better',
  'self-regain': 'walking back, where the link was clear again by itself',
  'first reached': 'coming in from out of reach, the first grade 3 or better',
  'reconnect after a reset': 'walking back, where it came back after a power-cycle or re-pairing',
};

/** Grade that an outward criterion takes as still good. */
export const LEAST_GOOD_GRADE: Readonly<Record<OutwardCriterion, number>> = {
  'first artefact': 5,
  'first unusable': 3,
  'first dropout': 2,
  'last usable': 3,
  lost: 2,
};

/** Judged by the end of the last good stretch, not by the first bad one. */
export const endsLastStretch = (criterion: OutwardCriterion): boolean =>
  criterion === 'last usable' || criterion === 'lost';
