import { hangsOn, type Bracket } from '../estimate/pairs/constantRatio.ts';
import type { StandPairs } from '../estimate/pairs/standPairs.ts';
import type { Ends } from '../estimate/range/ends.ts';
import { ratioBasis } from '../estimate/range/basis.ts';
import type { RatioFinding } from '../estimate/range/ratioFinding.ts';
import type { Criterion } from '../grade/criterion.ts';
import { formatLength, twoMeasures } from '../quantity/length.ts';
import type { Verdict } from './claim.ts';
import * as phrases from './phrases.ts';

/** "2×", "8 % farther" than another product. */
export interface RatioClaim {
  readonly entered: string;
  readonly ratio: number;
  readonly product: string;
  readonly against: string;
}

/** What the walks say beside the model: stands heard by both, and a ratio that is the same on every walk. */
export interface RatioEvidence {
  readonly atStands: StandPairs | undefined;
  /** Of `product` to `against`; absent where walks were not made together. */
  readonly sameOnEveryWalk: Ends | undefined;
  /** Where each is known to end, by all its walks. */
  readonly product: Bracket;
  readonly against: Bracket;
}

/** A ratio the other way round. */
const inverted = ({ low, high }: Ends): Ends => ({
  low: high === undefined ? undefined : 1 / high,
  high: low === undefined ? undefined : 1 / low,
});

/**
 * Judges a claim of a ratio by the interval of that ratio on one path: same criterion, grade scale and path
 * for both, or no verdict. Supported when the whole interval lies at or beyond it, refuted when it lies
 * below.
 */
export function judgeRatioClaim(
  { entered, ratio, product, against }: RatioClaim,
  finding: RatioFinding | undefined,
  criterion: Criterion,
  evidence?: RatioEvidence,
): Verdict {
  const caveats = [phrases.judgedOnTheRatioOfMedians(criterion)];
  const noted = evidence?.atStands?.noted;
  if (!finding && noted && noted.first + noted.second > 0)
    return {
      outcome: 'undecided',
      reason: [phrases.theClaimOfIsNotSettled(entered), ...besides(product, against, evidence)].join(' '),
      next: phrases.measureWhereEachEndsOnOne,
      step: phrases.measureBothEnds,
      caveats,
    };
  if (!finding)
    return {
      outcome: 'not tested',
      reason: evidence
        ? phrases.thereIsNoRatioOfTo(product, against)
        : phrases.orHasNoWalkWithAn(product, against),
      next: phrases.walkBothInTurnOnOne,
      step: phrases.walkBoth,
      caveats,
    };
  const same = finding.numerator === product;
  const ends = finding.withScale95 && (same ? finding.withScale95 : inverted(finding.withScale95));
  const n = ratioBasis(same ? finding : { ...finding, walks: [finding.walks[1], finding.walks[0]] });
  const show = (end: number | undefined, without: string): string =>
    end === undefined ? without : end.toFixed(2);
  if (ends?.low !== undefined && ends.low >= ratio)
    return {
      outcome: 'supported',
      reason: phrases.reachesAtLeastTimesAsFar(product, show(ends.low, ''), against, n, entered),
      next: undefined,
      caveats,
    };
  if (ends?.high !== undefined && ends.high < ratio)
    return {
      outcome: 'refuted',
      reason: phrases.reachesAtMostTimesAsFar(product, show(ends.high, ''), against, n, entered),
      next: undefined,
      caveats,
    };
  const known = ends
    ? phrases.theRatioOfMediansLiesBetween(show(ends.low, phrases.noBound), show(ends.high, phrases.noBound))
    : phrases.noRatioOfMedians(finding.reason ?? phrases.noInterval);
  const hangs = evidence && ratio > 1 ? hangsOn(ratio, evidence.against, evidence.product) : undefined;
  return {
    outcome: 'undecided',
    reason: [phrases.theClaimOfIsNotSettled2(entered, known, n), ...besides(product, against, evidence)]
      .concat(hangs ? [phrases.itCanHoldOnlyIfEnds(against, twoMeasures(hangs.endsBeforeM))] : [])
      .join(' '),
    ...(hangs && hangs.pointsM.length > 0
      ? {
          step: phrases.lookAt(formatLength(hangs.pointsM[0] as number)),
          next: phrases.lookAtAtTheFirstSettles(against, hangs.pointsM.map(twoMeasures).join(', ')),
        }
      : {
          step: phrases.moreWalksOfBoth,
          next: phrases.moreWalksOfBothInA,
        }),
    caveats,
  };
}

/** Evidence that needs no model, in sentences. */
export function besides(product: string, against: string, evidence: RatioEvidence | undefined): string[] {
  const { atStands: pairs, sameOnEveryWalk: same } = evidence ?? {};
  const atStands = pairs && pairs.stands > 0 ? pairs : undefined;
  const noted = pairs?.noted ?? { first: 0, second: 0 };
  const test =
    pairs?.p === undefined
      ? ''
      : phrases.wasFartherOnOfOutingsSign(
          product,
          pairs.firstFarther,
          pairs.firstFarther + pairs.secondFarther,
          pairs.p.toFixed(4),
        );
  const times = (n: number): string => phrases.on(phrases.countedOutings(n));
  const show = (end: number | undefined): string => (end === undefined ? phrases.noBound : end.toFixed(2));
  return [
    ...(atStands
      ? [
          phrases.atWhereBothWereHeardHeld(
            atStands.stands === 1 ? phrases.theOneStand : phrases.theStands(atStands.stands),
            product,
            atStands.firstOnly,
            against,
            atStands.secondOnly,
            atStands.p === undefined
              ? atStands.outings === 1
                ? phrases.oneOutingStandsOfOneOuting
                : ''
              : test,
          ),
        ]
      : []),
    ...(noted.first + noted.second > 0
      ? [
          phrases.itWasNotedThatThatOrders(
            [
              noted.first > 0 ? phrases.heldWhereHadFailed(product, against, times(noted.first)) : undefined,
              noted.second > 0
                ? phrases.heldWhereHadFailed(against, product, times(noted.second))
                : undefined,
            ]
              .filter((t) => t !== undefined)
              .join(phrases.and),
            atStands ? '' : test,
          ),
        ]
      : []),
    ...(same ? [phrases.ifTheRatioIsTheSame(show(same.low), show(same.high))] : []),
  ];
}
