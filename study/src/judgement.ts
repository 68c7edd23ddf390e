import type { AuditEntry } from './audit/audits.ts';
import type { LatencyFound } from './judge/latencies.ts';
import type { CostTable, NeedJudged } from './judge/needs.ts';
import type { ClaimVerdict } from './judge/verdicts.ts';
import type { StationJudged } from './judge/stations.ts';
import { viewOf, type AcrossPaths, type PathRanges, type RangeView } from './results/ranges.ts';

/** All that is found of a comparison: the same on the phone, the server and the command line. */
export interface Judged<Range> {
  /** By the criterion and direction looked at. */
  readonly ranges: readonly Range[];
  readonly across: readonly AcrossPaths[];
  /** From here on judged by the plan's criterion, whatever is looked at. */
  readonly verdicts: readonly ClaimVerdict[];
  readonly needs: readonly NeedJudged[];
  readonly audits: readonly AuditEntry[];
  readonly latencies: readonly LatencyFound[];
  readonly costs: readonly CostTable[];
  readonly stations: readonly StationJudged[];
}

export type Judgement = Judged<PathRanges>;

/** As it is shown: without the traces of its walks. */
export type JudgementView = Judged<RangeView>;

export const viewOfJudgement = (judgement: Judgement): JudgementView => ({
  ...judgement,
  ranges: judgement.ranges.map(viewOf),
});
