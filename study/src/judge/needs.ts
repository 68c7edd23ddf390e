import {
  costPerMetre,
  judgeNeed,
  kindOf,
  parseLength,
  totalCost,
  type CostPerMetre,
  type NeedVerdict,
} from '@urvek/core';
import { type Need, criterionFor, type Product, type Setup } from '@urvek/contract';
import type { Finding, SetupPath } from '../results/findings.ts';
import { rangesByPath, type PathRanges } from '../results/ranges.ts';
import { speaksTo } from './claims.ts';

export interface NeedJudged {
  readonly need: Need;
  readonly product: Product;
  /** The path it was judged on: of several, the one with the least margin. */
  readonly path: SetupPath | undefined;
  readonly verdict: NeedVerdict;
}

const WORST_FIRST = ['fails', 'unknown', 'marginal', 'meets'] as const;

/**
 * Every need for every product of its kind, on the paths of its condition; the path that serves it worst
 * counts. In order of margin, unknown ones last.
 */
export function judgeNeeds(setup: Setup, findings: readonly Finding[]): NeedJudged[] {
  return (setup.needs ?? []).flatMap((need) => {
    const fitting = {
      ...setup,
      products: setup.products.filter((p) => p.kindId === need.kindId),
      paths: setup.paths.filter((p) => speaksTo(p, need)),
    };
    const ranges = rangesByPath(fitting, findings, need.criterion, need.side).filter((r) => r.summary.n > 0);
    const judged = fitting.products.map((product) => worst(need, product, ranges));
    return judged.sort((a, b) => (b.verdict.margin ?? -1) - (a.verdict.margin ?? -1));
  });
}

function worst(need: Need, product: Product, ranges: readonly PathRanges[]): NeedJudged {
  const { valueM: distanceM } = parseLength(need.entered);
  const judge = (range: PathRanges | undefined): NeedJudged => ({
    need,
    product,
    path: range?.path,
    verdict: judgeNeed(
      { use: need.use, entered: need.entered, distanceM, condition: need.condition },
      range?.criterion ?? criterionFor(need.criterion, product.kindId),
      range?.summary.fitted.find((c) => c.product === product.name),
    ),
  });
  const walked = ranges
    .filter((r) => r.summary.fitted.some((c) => c.product === product.name && c.walks > 0))
    .map(judge);
  return (
    walked.sort(
      (a, b) =>
        WORST_FIRST.indexOf(a.verdict.outcome) - WORST_FIRST.indexOf(b.verdict.outcome) ||
        (a.verdict.margin ?? 0) - (b.verdict.margin ?? 0),
    )[0] ?? judge(undefined)
  );
}

export interface CostTable {
  readonly title: string;
  readonly rows: readonly CostPerMetre[];
}

/**
 * Cost per metre of the distance to which 9 of 10 walks hold, by path and kind, of the products that state
 * a cost and have one.
 */
export function costTables(setup: Setup, ranges: readonly PathRanges[]): CostTable[] {
  return ranges.flatMap(({ path, kindId, summary }): CostTable[] => {
    const costed = setup.products.flatMap((p) => {
      const reachM = summary.fitted.find((c) => c.product === p.name)?.p10?.estimateM;
      return p.costs && p.costs.length > 0 && p.kindId === kindId && reachM !== undefined
        ? [{ product: p.name, total: totalCost(p.costs), reachM }]
        : [];
    });
    return costed.length > 0
      ? [{ title: `${path.name}, ${kindOf(kindId).name}`, rows: costPerMetre(costed) }]
      : [];
  });
}
