import {
  byIdentity,
  judgeClaim,
  judgeLatencyClaim,
  judgeRatioClaim,
  judgeRoundTripClaim,
  judgeSpeedClaim,
  judgeThroughputClaim,
  median,
  neverSettles,
  neverSettlesRatio,
  parseClaim,
  type SpeedEvidence,
  type Verdict,
  criterionFor,
} from '@urvek/core';
import { type Product, type ProductClaim, type Setup } from '@urvek/contract';
import { plannedPaths, plannedWalks } from '../plan/plannedWalks.ts';
import { unitsWalked, type Finding, type SetupPath } from '../results/findings.ts';
import type { PathRanges } from '../results/ranges.ts';
import { farthestM } from '../results/farthest.ts';
import { behindOf, doubtOf, readingsOf, throughputFindings } from '../results/figures.ts';
import { speedPairs } from '../results/speeds.ts';
import type { Subject } from '../results/subjects.ts';
import { ratioEvidence } from '../results/ratioEvidence.ts';
import { claimOf, speaksTo } from './claims.ts';
import { nearestLatency } from './latencies.ts';
import * as phrases from './phrases.ts';

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
            verdict: judgeLatency(setup, product, claim, ranges),
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
        verdict: judgeOn(claim, setup, product, range, subject),
        neverSettled: unsettled(claim, setup, product, range),
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

/** Of how many paths and rigs a claim's verdicts are kept. */
const MOST_JUDGED = 32;

const judgeOn = byIdentity(
  (
    claim: ProductClaim,
    setup: Setup,
    product: Product,
    range: PathRanges | undefined,
    subject: Subject | undefined,
  ): Verdict => {
    const criterion = range?.criterion ?? criterionFor(setup.plan.criterion, product.kindId);
    const { value } = parseClaim(claim.form, claim.entered);
    switch (claim.form) {
      case 'distance':
        return judgeClaim(claimOf(claim), {
          criterion,
          cell: subject && range?.summary.fitted.find((c) => c.product === subject.name),
          unitsTested: unitsWalked(product, range?.findings ?? []),
          pathReachM: range && farthestM(range.path),
        });
      case 'ratio': {
        const against = setup.products.find((p) => p.id === claim.against);
        if (!against) return notJudged(phrases.itDoesNotSayWhichProduct);
        const others = range
          ? claimed(range, against.id, claim.againstRigId).filter((s) => s.id !== subject?.id)
          : [];
        const [other] = others;
        if (others.length > 1)
          return notJudged(phrases.itDoesNotSayAgainstWhich(others.map((s) => s.name).join(', ')));
        const pair = [subject?.name, other?.name];
        return judgeRatioClaim(
          {
            entered: claim.entered,
            ratio: value,
            product: subject?.name ?? product.name,
            against: other?.name ?? against.name,
          },
          range?.summary.productRatios.find(
            (r) => pair.includes(r.numerator) && pair.includes(r.denominator),
          ),
          criterion,
          ratioEvidence(range, subject, other),
        );
      }
      case 'throughput':
        return judgeThroughput(claim, value, range, subject);
      case 'speed ratio': {
        const against = setup.products.find((p) => p.id === claim.against);
        if (!against) return notJudged(phrases.itDoesNotSayWhichProduct);
        const [other] = range
          ? claimed(range, against.id, claim.againstRigId).filter((s) => s.id !== subject?.id)
          : [];
        return judgeSpeedClaim(
          { entered: claim.entered, ratio: value, upTo: claim.upTo, against: other?.name ?? against.name },
          range && speedsOf(range, subject?.name, other?.name, claim.direction),
        );
      }
      case 'latency':
        return notJudged(phrases.itIsJudgedOnWhatWas);
    }
  },
  MOST_JUDGED,
);

/** The nearest latency that was measured; of a product whose round trips were read, those at its nearest stands. */
function judgeLatency(
  setup: Setup,
  product: Product,
  claim: ProductClaim,
  ranges: readonly PathRanges[],
): Verdict {
  const { value: latencyS } = parseClaim('latency', claim.entered);
  const { latency, refused } = nearestLatency(setup, product.id);
  const visits = latency
    ? []
    : ranges
        .filter(({ path }) => speaksTo(path, claim))
        .flatMap((r) => r.findings.filter((f) => f.header.productId === product.id).flatMap(nearRoundTrip));
  return visits.length > 0
    ? judgeRoundTripClaim(claim.entered, latencyS, visits)
    : judgeLatencyClaim({ entered: claim.entered, latencyS }, latency, refused);
}

/** A walk's median round trip at its nearest stand, ms. */
function nearRoundTrip(finding: Finding): number[] {
  const read = readingsOf(finding, 'round trip').filter((r) => r.measured.value !== undefined);
  const nearM = Math.min(...read.map((r) => r.distanceM));
  const near = read.filter((r) => r.distanceM === nearM).flatMap((r) => r.measured.value ?? []);
  return near.length > 0 ? [median(near)] : [];
}

/** On what was read near by, each way by itself where the claim does not say which: the first that was read. */
function judgeThroughput(
  claim: ProductClaim,
  mbps: number,
  range: PathRanges | undefined,
  subject: Subject | undefined,
): Verdict {
  const found = range && throughputFindings(range);
  const own = found?.curves.find(
    (c) => c.product === subject?.name && (claim.direction ?? c.direction) === c.direction,
  );
  const doubt = found && own && doubtOf(found, own);
  if (doubt)
    return {
      outcome: 'undecided',
      reason: phrases.readMbitSThroughALine(
        doubt.instrument ?? phrases.theInstrumentWhichNobodyNamed,
        doubt.readMbps.toFixed(0),
        doubt.direction === 'fixed-to-mobile' ? 'down' : 'up',
        doubt.planMbps.toFixed(0),
      ),
      step: phrases.anotherInstrument,
      next: phrases.readAgainWithAnotherInstrumentOr,
      caveats: [],
    };
  return judgeThroughputClaim(
    { entered: claim.entered, mbps, upTo: claim.upTo },
    own?.nearVisits ?? [],
    own && (own.cap ?? found?.shared[own.direction]),
    own && range && behindOf(range.path, own.direction)?.leastMbps,
  );
}

/** Of a product over another, on the direction that the claim is of. */
function speedsOf(
  range: PathRanges,
  product: string | undefined,
  against: string | undefined,
  direction: ProductClaim['direction'],
): SpeedEvidence | undefined {
  const pair = speedPairs(range).find(
    (p) =>
      [p.a, p.b].every((n) => n === product || n === against) && (direction ?? p.direction) === p.direction,
  );
  if (!pair || pair.a === product) return pair;
  return turnedRound(pair);
}

const turnedRound = ({ like, ratio, bound, refused }: SpeedEvidence): SpeedEvidence => ({
  like: { ...like, connected: [like.connected[1], like.connected[0]] },
  ratio: ratio && {
    ...ratio,
    ratio: 1 / ratio.ratio,
    interval95: ratio.interval95 && { low: 1 / ratio.interval95.high, high: 1 / ratio.interval95.low },
    walks: [ratio.walks[1], ratio.walks[0]],
  },
  bound: bound && (bound === 'at least' ? 'at most' : 'at least'),
  refused,
});

/**
 * Whether the plan, or what was walked beyond it, could have settled a claim on the path that serves it best.
 */
const unsettled = byIdentity(
  (
    claim: ProductClaim,
    setup: Setup,
    product: Product,
    range: PathRanges | undefined,
  ): string | undefined => {
    if (claim.form === 'throughput' || claim.form === 'speed ratio') return undefined;
    const { value } = parseClaim(claim.form, claim.entered);
    const planned = plannedWalks(setup);
    const walksOf = (productId: string, path: SetupPath): number =>
      Math.max(
        planned.filter(
          (s) => s.item.product.id === productId && s.item.path.id === path.id && s.item.variant === 'plain',
        ).length,
        range?.path.id === path.id
          ? range.findings.filter((f) => f.header.productId === productId).length
          : 0,
      );
    const paths = (range ? [range.path] : plannedPaths(setup)).filter((p) => speaksTo(p, claim));
    if (paths.length === 0)
      return claim.condition === 'unstated' ? undefined : phrases.noPathOfThePlanIs(claim.condition);
    const reasons = paths.map((path) =>
      claim.form === 'distance'
        ? neverSettles(value, { pathReachM: farthestM(path), walks: walksOf(product.id, path) })
        : neverSettlesRatio(
            value,
            atStandsOnly(range) ? path.checkpoints.map((c) => c.atM).sort((a, b) => a - b) : [],
            Math.min(walksOf(product.id, path), walksOf(claim.against ?? '', path)),
          ),
    );
    return reasons.every((r) => r !== undefined) ? reasons[0] : undefined;
  },
  MOST_JUDGED,
);

/** Every walk looked at its stands only. */
const atStandsOnly = (range: PathRanges | undefined): boolean =>
  range !== undefined &&
  range.findings.length > 0 &&
  range.findings.every((f) => (f.trace.begin.body.mode ?? 'continuous') !== 'continuous');

const notJudged = (reason: string): Verdict => ({
  outcome: 'not tested',
  reason,
  next: undefined,
  caveats: [],
});
