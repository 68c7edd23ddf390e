import { countOf } from '../quantity/plural.ts';
import type { Cap } from '../estimate/figures/cap.ts';
import { median } from '../numeric/median.ts';
import { medianInterval } from '../numeric/medianInterval.ts';
import type { Next, Verdict } from './claim.ts';

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
  const caveats = [
    'Judged on the median over visits to the nearest stand, in the direction named on its curve.',
  ];
  if (visits.length === 0)
    return {
      outcome: 'not tested',
      reason: 'No throughput of this product was read on a path of this condition.',
      next: 'Read it at the near point, after ten seconds to settle, on six visits.',
      step: 'six visits',
      caveats,
    };
  const values = visits.map((v) => v.mbps);
  const known = medianInterval(values);
  const show = (x: number): string => x.toFixed(0);
  const n = `${countOf(visits.length, 'visit')} at ${Math.min(...visits.map((v) => v.distanceM)).toFixed(0)} m`;
  const found = known
    ? `the median of ${n} lies between ${show(known.low)} and ${show(known.high)} Mbit/s (95 %)`
    : `the middle of ${n} is ${show(median(values))} Mbit/s`;
  const verdict = (outcome: Verdict['outcome'], reason: string, more?: Next): Verdict => ({
    ...{ outcome, reason, caveats, next: undefined, ...more },
    found: {
      figure: `${show(median(values))} Mbit/s`,
      interval: known && `${show(known.low)} to ${show(known.high)}`,
      n: String(visits.length),
    },
  });
  if (known && known.low >= mbps) return verdict('supported', `${capital(found)}; the claim is ${entered}.`);
  if (cap)
    return verdict(
      'undecided',
      cap.measured
        ? `The near point reads ${show(cap.levelMbps)} Mbit/s, as much as what is behind it gives by cable: the product gives at least that, and the claim of ${entered} is not settled.`
        : `The near points all read about ${show(cap.levelMbps)} Mbit/s, and what is behind them may be why: the product gives at least that, and the claim of ${entered} is not settled.`,
      {
        step: 'measure by cable',
        next: 'Measure what is behind it by cable, and test again where that is faster than the claim.',
      },
    );
  if (known && known.high < mbps && behindMbps === undefined)
    return verdict(
      'undecided',
      `${capital(found)}, below the ${entered} claimed; what is behind the product was not measured, and may be what was read.`,
      {
        step: 'measure by cable',
        next: 'Measure what is behind it by cable, and enter it in Paths as “Line by cable”.',
      },
    );
  if (known && known.high < mbps && (behindMbps as number) < mbps)
    return verdict(
      'undecided',
      `${capital(found)}; what is behind the product gives ${show(behindMbps as number)} Mbit/s by cable, less than the ${entered} claimed.`,
      { step: 'a faster line', next: 'Test again where what is behind it is faster than the claim.' },
    );
  if (known && known.high < mbps)
    return verdict('refuted', `${capital(found)}; the claim is ${claim.upTo ? 'up to ' : ''}${entered}.`);
  return known
    ? verdict('undecided', `${capital(found)}, which holds the ${entered} claimed.`, {
        step: 'more visits',
        next: 'More visits to the near point.',
      })
    : verdict(
        'undecided',
        `${capital(found)}: fewer than the ${LEAST_VISITS} visits that bound a median, so ${entered} is not settled.`,
        {
          step: countOf(LEAST_VISITS - visits.length, 'more visit'),
          next: `${countOf(LEAST_VISITS - visits.length, 'more visit')} to the near point.`,
        },
      );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
