import { findWalks, judgeClaims, rangesByPath, type ClaimVerdict, type PathRanges, type Setup, type StoredWalk } from '@urvek/contract';
import type { Criterion } from '@urvek/core';
import * as Comlink from 'comlink';

export interface Findings {
  readonly ranges: readonly PathRanges[];
  /** Judged on the plan's criterion, whatever is looked at. */
  readonly verdicts: readonly ClaimVerdict[];
}

const api = {
  find(setup: Setup, walks: readonly StoredWalk[], criterion: Criterion): Findings {
    const findings = findWalks(setup, walks);
    const ranges = rangesByPath(setup, findings, criterion);
    const judged = criterion === setup.plan.criterion ? ranges : rangesByPath(setup, findings, setup.plan.criterion);
    return { ranges, verdicts: judgeClaims(setup, judged) };
  },
};

export type FindingsWorker = typeof api;
Comlink.expose(api);
