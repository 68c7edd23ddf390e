import { countOf } from '@urvek/core';
import type { Setup } from '@urvek/contract';

/** What is settled, in a line. */
export const settingsText = ({ plan }: Setup): string =>
  [
    `${countOf(plan.walksEach, 'walk')} of each on each path`,
    `criterion ${plan.criterion}`,
    `differences matter from ${plan.ratio}×`,
    `walk-to-walk spread ${plan.sigma}`,
    `start ${plan.startTime}`,
    ...(plan.mode ? [`logged ${plan.mode}`] : []),
    ...(plan.blind ? ['blind'] : []),
    ...(plan.sideBySide ? ['side by side'] : []),
  ].join('; ');
