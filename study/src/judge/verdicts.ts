import {
  judgeClaim,
  judgeLatencyClaim,
  judgeRatioClaim,
  judgeThroughputClaim,
  neverSettles,
  neverSettlesRatio,
  parseClaim,
  pathLengthM,
  separationRangeM,
  type Verdict,
} from '@urvek/core';
import { criterionFor, type Product, type ProductClaim, type Setup } from '@urvek/contract';
import { plannedPaths, plannedWalks } from '../plan/plannedWalks.ts';
import { unitsWalked, type SetupPath } from '../results/findings.ts';
import type { PathRanges } from '../results/ranges.ts';
import { throughputFindings } from '../results/throughput.ts';
import { claimOf, speaksTo } from './claims.ts';
import { nearestLatency } from './latencies.ts';

export interface ClaimVerdict {
  readonly product: Product;
  readonly claim: ProductClaim;
  readonly path: SetupPath | undefined;
  readonly verdict: Verdict;
  /** Why the plan could never have settled it; absent where it could. */
  readonly neverSettled: string | undefined;
}

/** Each claim on each path of its own condition; "not tested" where there is none. */
export function judgeClaims(setup: Setup, ranges: readonly PathRanges[]): ClaimVerdict[] {
  return setup.products.flatMap((product) =>
    product.claims.flatMap((claim): ClaimVerdict[] => {
      if (claim.form === 'latency')
        return [
          {
            product,
            claim,
            path: undefined,
            verdict: judgeOn(setup, product, claim, undefined),
            neverSettled: undefined,
          },
        ];
      const fitting = ranges.filter(
        ({ path, kindId, findings }) =>
          kindId === product.kindId &&
          speaksTo(path, claim) &&
          (claim.form === 'distance' || findings.length > 0),
      );
      const judge = (range: PathRanges | undefined): ClaimVerdict => ({
        product,
        claim,
        path: range?.path,
        verdict: judgeOn(setup, product, claim, range),
        neverSettled: unsettled(setup, product, claim, range),
      });
      return fitting.length === 0 ? [judge(undefined)] : fitting.map(judge);
    }),
  );
}

function judgeOn(
  setup: Setup,
  product: Product,
  claim: ProductClaim,
  range: PathRanges | undefined,
): Verdict {
  const criterion = range?.criterion ?? criterionFor(setup.plan.criterion, product.kindId);
  const { value } = parseClaim(claim.form, claim.entered);
  switch (claim.form) {
    case 'distance':
      return judgeClaim(claimOf(claim), {
        criterion,
        cell: range?.summary.fitted.find((c) => c.product === product.name),
        unitsTested: unitsWalked(product, range?.findings ?? []),
        pathReachM: range && reachOf(range.path),
      });
    case 'ratio': {
      const against = setup.products.find((p) => p.id === claim.against);
      if (!against) return notJudged('It does not say which product it is against: choose one in Kit.');
      const pair = [product.name, against.name];
      return judgeRatioClaim(
        { entered: claim.entered, ratio: value, product: product.name, against: against.name },
        range?.summary.productRatios.find((r) => pair.includes(r.numerator) && pair.includes(r.denominator)),
        criterion,
      );
    }
    case 'throughput': {
      const own = range && throughputFindings(range).curves.find((c) => c.product === product.name);
      return judgeThroughputClaim(
        { entered: claim.entered, mbps: value, upTo: claim.upTo },
        own?.rows ?? [],
        own?.cap,
      );
    }
    case 'latency':
      return judgeLatencyClaim(
        { entered: claim.entered, latencyS: value },
        nearestLatency(setup, product.id),
      );
  }
}

/**
 * Whether the plan, or what was walked beyond it, could have settled a claim on the path that serves it best.
 */
function unsettled(
  setup: Setup,
  product: Product,
  claim: ProductClaim,
  range: PathRanges | undefined,
): string | undefined {
  if (claim.form === 'throughput') return undefined;
  const { value } = parseClaim(claim.form, claim.entered);
  const planned = plannedWalks(setup);
  const walksOf = (productId: string, path: SetupPath): number =>
    Math.max(
      planned.filter(
        (s) => s.item.product.id === productId && s.item.path.id === path.id && s.item.variant === 'plain',
      ).length,
      range?.path.id === path.id ? range.findings.filter((f) => f.header.productId === productId).length : 0,
    );
  const paths = (range ? [range.path] : plannedPaths(setup)).filter((p) => speaksTo(p, claim));
  if (paths.length === 0)
    return claim.condition === 'unstated' ? undefined : `no path of the plan is ${claim.condition}`;
  const reasons = paths.map((path) =>
    claim.form === 'distance'
      ? neverSettles(value, { pathReachM: reachOf(path), walks: walksOf(product.id, path) })
      : neverSettlesRatio(
          value,
          atStandsOnly(range) ? path.checkpoints.map((c) => c.atM).sort((a, b) => a - b) : [],
          Math.min(walksOf(product.id, path), walksOf(claim.against ?? '', path)),
        ),
  );
  return reasons.every((r) => r !== undefined) ? reasons[0] : undefined;
}

/** Every walk looked at its stands only. */
const atStandsOnly = (range: PathRanges | undefined): boolean =>
  range !== undefined &&
  range.findings.length > 0 &&
  range.findings.every((f) => (f.trace.begin.body.mode ?? 'continuous') !== 'continuous');

const reachOf = (path: SetupPath): number => separationRangeM(path, 0, pathLengthM(path)).greatestM;

const notJudged = (reason: string): Verdict => ({
  outcome: 'not tested',
  reason,
  next: undefined,
  caveats: [],
});
