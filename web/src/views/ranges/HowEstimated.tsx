import { INTERVAL_METHOD } from '@urvek/core';
import type { RangeView } from '@urvek/study';
import { HowMade } from '../../components/HowMade.tsx';

/** By what model, and for what it speaks. */
export const HowEstimated = ({ summary: { sigma } }: Pick<RangeView, 'summary'>) => (
  <p className="mt-3 text-[0.87rem] text-faint">
    Lognormal model, interval-censored, one spread for the medians of all products unless theirs may differ
    {sigma !== undefined && (
      <>
        {' '}
        (walks differ by a factor of <span className="figure">{Math.exp(sigma).toFixed(2)}</span>, one
        standard deviation)
      </>
    )}
    ; what 9 of 10 walks hold to by each product’s own spread, its ends by the noncentral t: below 29 walks it
    is a statement of the model. Intervals: {INTERVAL_METHOD}. All of it speaks for this path. Walks of one
    outing share what that day was: <HowMade of="outings" what="what outings tell" />.
  </p>
);
