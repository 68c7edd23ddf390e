import { acrossPaths, findWalks, judgeClaims, pathCurves, rangesByPath, type AcrossPaths, type ClaimVerdict, type PathCurves, type PathRanges, type Setup, type StoredWalk, type WantedCriterion } from '@urvek/contract';
import type { Side } from '@urvek/core';
import * as Comlink from 'comlink';

export interface Findings {
  readonly ranges: readonly PathRanges[];
  /** By the id of their range. */
  readonly curves: readonly PathCurves[];
  readonly across: readonly AcrossPaths[];
  /** Judged on the plan's criterion, whatever is looked at. */
  readonly verdicts: readonly ClaimVerdict[];
}

const api = {
  find(setup: Setup, walks: readonly StoredWalk[], criterion: WantedCriterion, side: Side | undefined): Findings {
    const findings = findWalks(setup, walks);
    const ranges = rangesByPath(setup, findings, criterion, side);
    const judged = criterion === setup.plan.criterion && side === undefined ? ranges : rangesByPath(setup, findings, setup.plan.criterion);
    return { ranges, curves: ranges.map((r) => pathCurves(setup, r)), across: acrossPaths(setup, ranges), verdicts: judgeClaims(setup, judged) };
  },
};

export type FindingsWorker = typeof api;
Comlink.expose(api);
