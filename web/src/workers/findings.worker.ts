import * as Comlink from 'comlink';
import type { Setup, StoredWalk, WantedCriterion } from '@urvek/contract';
import type { Side } from '@urvek/core';
import { curvesOf, judgeComparison, type Judgement, type PathCurves } from '@urvek/study';

const api = {
  find: (
    setup: Setup,
    walks: readonly StoredWalk[],
    criterion: WantedCriterion,
    side: Side | undefined,
  ): Judgement => judgeComparison(setup, walks, criterion, side),
  curves: (
    setup: Setup,
    walks: readonly StoredWalk[],
    criterion: WantedCriterion,
    side: Side | undefined,
  ): PathCurves[] => curvesOf(setup, walks, criterion, side),
};

export type FindingsWorker = typeof api;
Comlink.expose(api);
