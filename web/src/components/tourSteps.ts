import type { Stage } from '@urvek/study';

/** The demo in three minutes: a stage and what to look at on it. */
export const TOUR: readonly { readonly stage: Stage; readonly look: string }[] = [
  {
    stage: 'kit',
    look: 'What is under test, with what its makers claim on one tape. The rig sheet shows where two set-ups differ, and by how many dB.',
  },
  {
    stage: 'paths',
    look: 'What lies between the ends, to scale: legs, obstructions, checkpoints whose distance is known.',
  },
  {
    stage: 'plan',
    look: 'Who is walked when, in an order that favours nobody; whether it will settle each claim; when you are home.',
  },
  {
    stage: 'walk',
    look: 'In the field this is in your hand: one key for a dropout, one for a post. It needs no network. Try it with simulated gear, or go on.',
  },
  {
    stage: 'trace',
    look: 'Each walk on its path. What was pressed late is set back by the reaction; what was wrong is corrected with a reason, never overwritten.',
  },
  {
    stage: 'ranges',
    look: 'Who reaches how far. A bar with a diamond is an estimate with its interval; the ratio stands beside it.',
  },
  {
    stage: 'verdict',
    look: 'What may be said of each claim, why, and the next step that would decide it. What could be unfair is counted beside it.',
  },
  {
    stage: 'report',
    look: 'The page to publish. Every figure leads back to its walks. That was all: press Urvek, at the top, and put a question of your own.',
  },
];

/** The name of the step in the address. */
export const TOUR_PARAM = 'tour';
