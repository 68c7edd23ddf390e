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
import { behindMbps, throughputFindings } from '../results/throughput.ts';
import type { Subject } from '../results/subjects.ts';
import { ratioEvidence } from '../results/ratioEvidence.ts';
import { claimOf, speaksTo } from './claims.ts';
import { nearestLatency } from './latencies.ts';

export interface ClaimVerdict {
  readonly product: Product;
  /** Who is judged: the product, or one of its rigs where they differ. */
  readonly subject: string;
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
            subject: product.name,
            claim,
            path: undefined,
            verdict: judgeOn(setup, product, claim, undefined, undefined),
            neverSettled: undefined,
          },
        ];
      const fitting = ranges.filter(
        ({ path, kindId, findings }) =>
          kindId === product.kindId &&
          speaksTo(path, claim) &&
          (claim.form === 'distance' || findings.length > 0),
      );
      const judge = (range: PathRanges | undefined, subject: Subject | undefined): ClaimVerdict => ({
        product,
        subject: subject?.name ?? product.name,
        claim,
        path: range?.path,
        verdict: judgeOn(setup, product, claim, range, subject),
        neverSettled: unsettled(setup, product, claim, range),
      });
      return fitting.length === 0
        ? [judge(undefined, undefined)]
        : fitting.flatMap((range) => {
            const own = claimed(range, product.id, claim.rigId);
            return own.length === 0 ? [judge(range, undefined)] : own.map((s) => judge(range, s));
          });
    }),
  );
}

/** Subjects of a product on a range; only that of one rig where the claim is of that rig. */
const claimed = (
  { subjects }: PathRanges,
  productId: string | undefined,
  rigId: string | undefined,
): Subject[] =>
  subjects.filter((s) => s.product.id === productId && (!rigId || s.rigs.some((r) => r.id === rigId)));

function judgeOn(
  setup: Setup,
  product: Product,
  claim: ProductClaim,
  range: PathRanges | undefined,
  subject: Subject | undefined,
): Verdict {
  const criterion = range?.criterion ?? criterionFor(setup.plan.criterion, product.kindId);
  const { value } = parseClaim(claim.form, claim.entered);
  switch (claim.form) {
    case 'distance':
      return judgeClaim(claimOf(claim), {
        criterion,
        cell: subject && range?.summary.fitted.find((c) => c.product === subject.name),
        unitsTested: unitsWalked(product, range?.findings ?? []),
        pathReachM: range && reachOf(range.path),
      });
    case 'ratio': {
      const against = setup.products.find((p) => p.id === claim.against);
      if (!against) return notJudged('It does not say which product it is against: choose one in Kit.');
      const others = range
        ? claimed(range, against.id, claim.againstRigId).filter((s) => s.id !== subject?.id)
        : [];
      const [other] = others;
      if (others.length > 1)
        return notJudged(
          `It does not say against which rig: ${others.map((s) => s.name).join(', ')}. Choose one in Kit.`,
        );
      const pair = [subject?.name, other?.name];
      return judgeRatioClaim(
        {
          entered: claim.entered,
          ratio: value,
          product: subject?.name ?? product.name,
          against: other?.name ?? against.name,
        },
        range?.summary.productRatios.find((r) => pair.includes(r.numerator) && pair.includes(r.denominator)),
        criterion,
        ratioEvidence(range, subject, other),
      );
    }
    case 'throughput': {
      const found = range && throughputFindings(range);
      const own = found?.curves.find((c) => c.product === subject?.name);
      return judgeThroughputClaim(
        { entered: claim.entered, mbps: value, upTo: claim.upTo },
        own?.nearVisits ?? [],
        own?.cap ?? (own?.direction === found?.curves[0]?.direction ? found?.shared : undefined),
        own && range && behindMbps(range.path, own.direction),
      );
    }
    case 'latency': {
      const { latency, refused } = nearestLatency(setup, product.id);
      return judgeLatencyClaim({ entered: claim.entered, latencyS: value }, latency, refused);
    }
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
