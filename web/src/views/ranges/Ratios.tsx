import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { pairSentences, textsOf } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { RatioLine } from './RatioLine.tsx';

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
          <HowMade of="ratio-of-two-products" what="a ratio" />{' '}
          <HowTrue of="how-often-a-ratio-holds" what="a ratio" />
        </>
      )}
      {beside.length > 0 && (
        <>
          <h3 className="mt-2">
            Heard at the same stands <HowMade of="pairs-at-stands" what="a pair at stands" />
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
