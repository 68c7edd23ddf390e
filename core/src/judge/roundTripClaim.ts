import { median } from '../numeric/median.ts';
import { medianInterval } from '../numeric/medianInterval.ts';
import type { Next, Verdict } from './claim.ts';
import * as phrases from './phrases.ts';

const MORE: Next = { step: phrases.moreVisits, next: phrases.moreVisitsToTheNearestStand };

/**
 * Judges "50 ms" of a router on the median round trip over visits to the nearest stand, by its sign-test interval.
 * @param visitsMs of each walk the median at its nearest stand
 */
export function judgeRoundTripClaim(entered: string, claimedS: number, visitsMs: readonly number[]): Verdict {
  const caveats = [phrases.judgedOnTheMedianRoundTrip];
  const known = medianInterval(visitsMs);
  const said = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: {
      figure: phrases.ms(median(visitsMs).toFixed(0)),
      interval: known && phrases.to(known.low.toFixed(0), known.high.toFixed(0)),
      n: String(visitsMs.length),
    },
  });
  const claimedMs = 1000 * claimedS;
  const n = phrases.countedVisits(visitsMs.length);
  if (!known)
    return said('undecided', phrases.theMiddleRoundTripOfIs(n, median(visitsMs).toFixed(0), entered), MORE);
  const found = phrases.theMedianRoundTripOfLies(n, known.low.toFixed(0), known.high.toFixed(0));
  if (known.high <= claimedMs) return said('supported', phrases.theClaimIs(found, entered));
  if (known.low > claimedMs) return said('refuted', phrases.beyondTheClaimed(found, entered));
  return said('undecided', phrases.whichHoldsTheClaimed(found, entered), MORE);
}
