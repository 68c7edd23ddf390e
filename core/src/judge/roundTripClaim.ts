import { countOf } from '../quantity/plural.ts';
import { median } from '../numeric/median.ts';
import { medianInterval } from '../numeric/medianInterval.ts';
import type { Next, Verdict } from './claim.ts';

const MORE: Next = { step: 'more visits', next: 'More visits to the nearest stand.' };

/**
 * Judges "50 ms" of a router on the median round trip over visits to the nearest stand, by its sign-test interval.
 * @param visitsMs of each walk the median at its nearest stand
 */
export function judgeRoundTripClaim(entered: string, claimedS: number, visitsMs: readonly number[]): Verdict {
  const caveats = [
    'Judged on the median round trip over visits to the nearest stand: there and back, not one way.',
  ];
  const known = medianInterval(visitsMs);
  const said = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: {
      figure: `${median(visitsMs).toFixed(0)} ms`,
      interval: known && `${known.low.toFixed(0)} to ${known.high.toFixed(0)}`,
      n: String(visitsMs.length),
    },
  });
  const claimedMs = 1000 * claimedS;
  const n = countOf(visitsMs.length, 'visit');
  if (!known)
    return said(
      'undecided',
      `The middle round trip of ${n} is ${median(visitsMs).toFixed(0)} ms; six visits bound a median, so ${entered} is not settled.`,
      MORE,
    );
  const found = `The median round trip of ${n} lies between ${known.low.toFixed(0)} and ${known.high.toFixed(0)} ms (95 %)`;
  if (known.high <= claimedMs) return said('supported', `${found}; the claim is ${entered}.`);
  if (known.low > claimedMs) return said('refuted', `${found}, beyond the ${entered} claimed.`);
  return said('undecided', `${found}, which holds the ${entered} claimed.`, MORE);
}
