import { formatLength, heldToText, outingText, scaleText } from '@urvek/core';
import { endsText, estimateText, noTenthText } from '@urvek/draw';
import type { RangeView } from '@urvek/study';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { Length } from '../../components/Length.tsx';
import { useUnit } from '../../state/unit.ts';
import { EachWalk } from './EachWalk.tsx';
import * as phrases from './phrases.ts';

/** Per product: the median with its interval, and what each walk says. */
export function EstimateTable({
  range: { summary, walks },
  area = false,
}: {
  range: RangeView;
  area?: boolean;
}) {
  const [unit] = useUnit();
  const show = (m: number): string => formatLength(m, unit);
  const cells = summary.fitted.filter((c) => c.walks > 0);
  return (
    <table className="table mt-3" data-estimates>
      <thead>
        <tr>
          <th>{phrases.product}</th>
          <th>n</th>
          <th>
            {phrases.median95PercentInterval}
            <HowMade of="range-of-one-product" what={phrases.theMedian} />{' '}
            <HowTrue of="how-often-a-median-holds" what={phrases.aMedian} />
          </th>
          <th>
            {phrases.n9Of10WalksHoldTo}
            <HowTrue of="how-often-9-of-10-holds" what={phrases.aTenth} />
          </th>
          {area && <th>{phrases.areaCoveredAsTheSquare}</th>}
          <th>
            {phrases.eachWalk}
            <HowMade of="bracket-of-a-walk" what={phrases.theBracketOfAWalk} />
          </th>
        </tr>
      </thead>
      <tbody>
        {cells.map((cell) => {
          const { median, own, withScale95M: known } = cell;
          const p10M = own?.p10?.estimateM;
          const scaled = scaleText(cell.scale);
          const days = outingText(cell.outings);
          return (
            <tr key={cell.product}>
              <th scope="row" className="row-head">
                {cell.product}
              </th>
              <td className="figure">{cell.walks}</td>
              <td>
                {median ? (
                  <>
                    <strong>
                      <Length m={median.estimateM} both />
                    </strong>
                    {known.median && (
                      <span className="figure block text-[0.87rem]">
                        {endsText(known.median.low, known.median.high, show)}
                      </span>
                    )}
                    {cell.medianBy === 'own spread' && (
                      <span className="block text-[0.87rem] text-faint">{phrases.byItsOwnSpread}</span>
                    )}
                    {days !== undefined && <span className="block text-[0.87rem] text-faint">{days}</span>}
                    {scaled !== undefined && (
                      <span className="block text-[0.87rem] text-faint">
                        {scaled}; <HowMade of="scale-error" what={phrases.aScaleError} />
                      </span>
                    )}
                  </>
                ) : (
                  estimateText(cell, unit)
                )}
              </td>
              <td>
                {p10M !== undefined ? (
                  <>
                    <Length m={p10M} />
                    <span className="block text-[0.87rem] text-faint">
                      {heldToText(
                        walks.flatMap((w) => (w.product === cell.product && w.interval ? [w.interval] : [])),
                        p10M,
                      )}
                    </span>
                    {known.p10 && (
                      <span className="figure block text-[0.87rem]">
                        {endsText(known.p10.low, known.p10.high, show)}
                      </span>
                    )}
                  </>
                ) : (
                  <span className="text-faint">{noTenthText(cell)}</span>
                )}
              </td>
              {area && (
                <td className="figure">
                  {median
                    ? areaText(median.estimateM) +
                      (known.median?.low !== undefined && known.median.high !== undefined
                        ? phrases.to2(areaText(known.median.low), areaText(known.median.high))
                        : '')
                    : ''}
                </td>
              )}
              <td className="figure text-[0.87rem]">
                <EachWalk walks={walks.filter((w) => w.product === cell.product)} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Of a disc with the median as its radius: twice the area is 1.41 times the distance. */
const areaText = (radiusM: number): string => {
  const m2 = Math.PI * radiusM ** 2;
  return m2 >= 1e6
    ? phrases.km((m2 / 1e6).toFixed(2))
    : `${m2.toPrecision(3)} m²`.replace(/e\+(\d)/, ' × 10^$1');
};
