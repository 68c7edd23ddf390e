import { judgeClaim, judgeRatioClaim, judgeThroughputClaim, parseClaim, pathLengthM, separationRangeM, type Verdict } from '@urvek/core';
import { throughputFindings } from './curves.ts';
import { claimOf, speaksTo, unitsWalked, type PathRanges, type SetupPath } from './derive.ts';
import { criterionFor, type Product, type ProductClaim, type Setup } from './setup.ts';

export interface ClaimVerdict {
  readonly product: Product;
  readonly claim: ProductClaim;
  readonly path: SetupPath | undefined;
  readonly verdict: Verdict;
}

/** Each claim on each path of its own condition; "not tested" where there is none. */
export function judgeClaims(setup: Setup, ranges: readonly PathRanges[]): ClaimVerdict[] {
  return setup.products.flatMap((product) => product.claims.flatMap((claim): ClaimVerdict[] => {
    const fitting = ranges.filter(({ path, kindId, findings }) => kindId === product.kindId && speaksTo(path, claim) && (claim.form === 'distance' || findings.length > 0));
    const judge = (range: PathRanges | undefined): ClaimVerdict => ({ product, claim, path: range?.path, verdict: judgeOn(setup, product, claim, range) });
    return fitting.length === 0 ? [judge(undefined)] : fitting.map(judge);
  }));
}

function judgeOn(setup: Setup, product: Product, claim: ProductClaim, range: PathRanges | undefined): Verdict {
  const criterion = range?.criterion ?? criterionFor(setup.plan.criterion, product.kindId);
  const { value } = parseClaim(claim.form, claim.entered);
  switch (claim.form) {
    case 'distance':
      return judgeClaim(claimOf(claim), {
        criterion,
        cell: range?.summary.fitted.find((c) => c.product === product.name),
        unitsTested: unitsWalked(product, range?.findings ?? []),
        pathReachM: range && separationRangeM(range.path, 0, pathLengthM(range.path)).greatestM,
      });
    case 'ratio': {
      const against = setup.products.find((p) => p.id === claim.against);
      if (!against) return notJudged('It does not say which product it is against: choose one in Kit.');
      const pair = [product.name, against.name];
      return judgeRatioClaim({ entered: claim.entered, ratio: value, product: product.name, against: against.name }, range?.summary.productRatios.find((r) => pair.includes(r.numerator) && pair.includes(r.denominator)), criterion);
    }
    case 'throughput': {
      const own = range && throughputFindings(range).curves.find((c) => c.product === product.name);
      return judgeThroughputClaim({ entered: claim.entered, mbps: value, upTo: claim.upTo }, own?.rows ?? [], own?.cap);
    }
    case 'latency':
      return notJudged('No latency was measured: Urvek does not take latency yet.');
  }
}

const notJudged = (reason: string): Verdict => ({ outcome: 'not tested', reason, next: undefined, caveats: [] });
