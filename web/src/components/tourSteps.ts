import type { Stage } from '@urvek/study';
import * as phrases from './phrases.ts';

/** The demo in three minutes: a stage and what to look at on it. */
export const TOUR: readonly { readonly stage: Stage; readonly look: string }[] = [
  {
    stage: 'kit',
    look: phrases.whatIsUnderTestWithWhat,
  },
  {
    stage: 'paths',
    look: phrases.whatLiesBetweenTheEndsTo,
  },
  {
    stage: 'plan',
    look: phrases.whoIsWalkedWhenInAn,
  },
  {
    stage: 'walk',
    look: phrases.inTheFieldThisIsIn,
  },
  {
    stage: 'trace',
    look: phrases.eachWalkOnItsPathWhat,
  },
  {
    stage: 'ranges',
    look: phrases.whoReachesHowFarABar,
  },
  {
    stage: 'verdict',
    look: phrases.whatMayBeSaidOfEach,
  },
  {
    stage: 'report',
    look: phrases.thePageToPublishEveryFigure,
  },
];

/** The name of the step in the address. */
export const TOUR_PARAM = 'tour';
