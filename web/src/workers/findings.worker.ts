import {
  curvesOf,
  judgeComparison,
  type Judgement,
  type PathCurves,
  type Setup,
  type StoredWalk,
  type WantedCriterion,
} from '@urvek/contract';
import type { Side } from '@urvek/core';
import * as Comlink from 'comlink';

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
