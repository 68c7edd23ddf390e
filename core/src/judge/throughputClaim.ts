import { countOf } from '../quantity/plural.ts';
import type { Cap } from '../estimate/figures/cap.ts';
import { median } from '../numeric/median.ts';
import { medianInterval } from '../numeric/medianInterval.ts';
import type { Next, Verdict } from './claim.ts';
import * as phrases from './phrases.ts';

/** Visits to a stand before the median is bounded at 95 %. */
const LEAST_VISITS = 6;

/** One visit to the near point: the median of what was read there. */
export interface Visit {
  readonly distanceM: number;
  readonly mbps: number;
}

/**
 * Judges "300 Mbit/s" on the median over visits to the nearest stand, by its sign-test interval; readings of
 * one visit enter as their median, and "up to" is never judged on the best of several. Nothing is decided against
 * a product unless what is behind it was measured, and is faster than the claim: a slow line looks like a slow
 * product.
 * @param behindMbps least rate that was measured by cable behind it; absent: not measured
 */
export function judgeThroughputClaim(
  claim: { readonly entered: string; readonly mbps: number; readonly upTo: boolean },
  visits: readonly Visit[],
  cap: Cap | undefined,
  behindMbps?: number,
): Verdict {
  const { entered, mbps } = claim;
  const caveats = [phrases.judgedOnTheMedianOverVisits];
  if (visits.length === 0)
    return {
      outcome: 'not tested',
      reason: phrases.noThroughputOfThisProductWas,
      next: phrases.readItAtTheNearPoint,
      step: phrases.sixVisits,
      caveats,
    };
  const values = visits.map((v) => v.mbps);
  const known = medianInterval(values);
  const show = (x: number): string => x.toFixed(0);
  const n = phrases.atM(
    phrases.countedVisits(visits.length),
    Math.min(...visits.map((v) => v.distanceM)).toFixed(0),
  );
  const found = known
    ? phrases.theMedianOfLiesBetweenAnd(n, show(known.low), show(known.high))
    : phrases.theMiddleOfIsMbitS(n, show(median(values)));
  const verdict = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: {
      figure: phrases.mbitS(show(median(values))),
      interval: known && phrases.to(show(known.low), show(known.high)),
      n: String(visits.length),
    },
  });
  if (known && known.low >= mbps) return verdict('supported', phrases.theClaimIs(capital(found), entered));
  if (cap)
    return verdict(
      'undecided',
      cap.measured
        ? phrases.theNearPointReadsMbitS(show(cap.levelMbps), entered)
        : phrases.theNearPointsAllReadAbout(show(cap.levelMbps), entered),
      {
        step: phrases.measureByCable,
        next: phrases.measureWhatIsBehindItBy,
      },
    );
  if (known && known.high < mbps && behindMbps === undefined)
    return verdict('undecided', phrases.belowTheClaimedWhatIsBehind(capital(found), entered), {
      step: phrases.measureByCable,
      next: phrases.measureWhatIsBehindItBy2,
    });
  if (known && known.high < mbps && (behindMbps as number) < mbps)
    return verdict(
      'undecided',
      phrases.whatIsBehindTheProductGives(capital(found), show(behindMbps as number), entered),
      { step: phrases.aFasterLine, next: phrases.testAgainWhereWhatIsBehind },
    );
  if (known && known.high < mbps)
    return verdict('refuted', phrases.theClaimIs2(capital(found), claim.upTo ? phrases.upTo : '', entered));
  return known
    ? verdict('undecided', phrases.whichHoldsTheClaimed(capital(found), entered), {
        step: phrases.moreVisits,
        next: phrases.moreVisitsToTheNearPoint,
      })
    : verdict('undecided', phrases.fewerThanTheVisitsThatBound(capital(found), LEAST_VISITS, entered), {
        step: countOf(LEAST_VISITS - visits.length, phrases.moreVisit),
        next: phrases.toTheNearPoint(countOf(LEAST_VISITS - visits.length, phrases.moreVisit)),
      });
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
