import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { pairSentences, textsOf } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { RatioLine } from './RatioLine.tsx';
import * as phrases from './phrases.ts';

export function Ratios({ range, exponent }: { range: RangeView; exponent: number }) {
  const { summary } = range;
  const beside = textsOf(pairSentences(range));
  return (
    <div className="mt-3">
      <ul className="grid gap-1">
        {summary.productRatios.map((ratio) => (
          <li key={`${ratio.numerator}/${ratio.denominator}`}>
            <RatioLine ratio={ratio} exponent={exponent} />
          </li>
        ))}
      </ul>
      {summary.productRatios.length > 0 && (
        <>
          <HowMade of="ratio-of-two-products" what={phrases.aRatio} />{' '}
          <HowTrue of="how-often-a-ratio-holds" what={phrases.aRatio} />
        </>
      )}
      {beside.length > 0 && (
        <>
          <h3 className="mt-2">
            {phrases.heardAtTheSameStands}
            <HowMade of="pairs-at-stands" what={phrases.aPairAtStands} />
          </h3>
          <ul className="list-disc pl-5" data-pairs>
            {beside.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
