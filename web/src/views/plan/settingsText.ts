import type { Setup } from '@urvek/contract';
import * as phrases from './phrases.ts';

/** What is settled, in a line. */
export const settingsText = ({ plan }: Setup): string =>
  [
    phrases.ofEachOnEachPath(phrases.countedWalks(plan.walksEach)),
    phrases.criterion(plan.criterion),
    phrases.differencesMatterFrom(plan.ratio),
    phrases.walkToWalkSpread2(plan.sigma),
    phrases.start2(plan.startTime),
    ...(plan.mode ? [phrases.logged(plan.mode)] : []),
    ...(plan.blind ? ['blind'] : []),
    ...(plan.sideBySide ? [phrases.sideBySide] : []),
  ].join('; ');
