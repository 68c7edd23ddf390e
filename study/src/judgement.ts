import type { Side } from '@urvek/core';
import type { WantedCriterion, Setup, StoredWalk } from '@urvek/contract';
import { auditComparison, type AuditEntry } from './audit/audits.ts';
import { findLatencies, type LatencyFound } from './judge/latencies.ts';
import { costTables, judgeNeeds, type CostTable, type NeedJudged } from './judge/needs.ts';
import { judgeClaims, type ClaimVerdict } from './judge/verdicts.ts';
import { pathCurves, type PathCurves } from './results/curves.ts';
import { findWalks } from './results/findings.ts';
import { acrossPaths, rangesByPath, type AcrossPaths, type PathRanges } from './results/ranges.ts';

/** All that is found of a comparison: the same on the phone, the server and the command line. */
export interface Judgement {
  /** By the criterion and direction looked at. */
  readonly ranges: readonly PathRanges[];
  readonly across: readonly AcrossPaths[];
  /** From here on judged by the plan's criterion, whatever is looked at. */
  readonly verdicts: readonly ClaimVerdict[];
  readonly needs: readonly NeedJudged[];
  readonly audits: readonly AuditEntry[];
  readonly latencies: readonly LatencyFound[];
  readonly costs: readonly CostTable[];
}

export function judgeComparison(
  setup: Setup,
  walks: readonly StoredWalk[],
  wanted: WantedCriterion = setup.plan.criterion,
  side?: Side,
): Judgement {
  const findings = findWalks(setup, walks);
  const ranges = rangesByPath(setup, findings, wanted, side);
  const judged =
    wanted === setup.plan.criterion && side === undefined
      ? ranges
      : rangesByPath(setup, findings, setup.plan.criterion);
  return {
    ranges,
    across: acrossPaths(setup, ranges),
    verdicts: judgeClaims(setup, judged),
    needs: judgeNeeds(setup, findings),
    audits: auditComparison(setup, walks, findings, judged),
    latencies: findLatencies(setup),
    costs: costTables(setup, judged),
  };
}

/** What is drawn beside the tape, by the id of its range; drawing walks again takes longer than all of the above. */
export const curvesOf = (
  setup: Setup,
  walks: readonly StoredWalk[],
  wanted: WantedCriterion,
  side?: Side,
): PathCurves[] =>
  rangesByPath(setup, findWalks(setup, walks), wanted, side).map((r) => pathCurves(setup, r));
