import type { Setup } from '@urvek/contract';

/** What is settled, in a line. */
export const settingsText = ({ plan }: Setup): string =>
  [
    `${plan.walksEach} ${plan.walksEach === 1 ? 'walk' : 'walks'} of each on each path`,
    `criterion ${plan.criterion}`,
    `differences matter from ${plan.ratio}×`,
    `walk-to-walk spread ${plan.sigma}`,
    `start ${plan.startTime}`,
    ...(plan.mode ? [`logged ${plan.mode}`] : []),
    ...(plan.blind ? ['blind'] : []),
    ...(plan.sideBySide ? ['side by side'] : []),
  ].join('; ');
