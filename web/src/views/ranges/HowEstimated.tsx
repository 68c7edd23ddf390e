import { INTERVAL_METHOD } from '@urvek/core';
import type { RangeView } from '@urvek/study';
import { HowMade } from '../../components/HowMade.tsx';
import * as phrases from './phrases.ts';

/** By what model, and for what it speaks. */
export const HowEstimated = ({ summary: { sigma } }: Pick<RangeView, 'summary'>) => (
  <p className="mt-3 text-[0.87rem] text-faint">
    {phrases.lognormalModelIntervalCensoredOneSpread}
    {sigma !== undefined && (
      <>
        {phrases.walksDifferByAFactorOf}
        <span className="figure">{Math.exp(sigma).toFixed(2)}</span>
        {phrases.oneStandardDeviation}
      </>
    )}
    {phrases.what9Of10WalksHold(INTERVAL_METHOD)}
    <HowMade of="outings" what={phrases.whatOutingsTell} />.
  </p>
);
