import { formatLength, walkIntervals, withScaleError, type LengthUnit } from '@urvek/core';
import { endsText, estimateText, intervalText } from '@urvek/draw';
import { scaleOfMarks, type PathRanges } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { useUnit } from '../../state/unit.ts';

const shortInterval = (i: { heldM: number; failedM: number | undefined }, unit: LengthUnit): string =>
  intervalText(i, unit).replace('held to ', '').replace(', failed by ', '–');

/** Below this a scale error changes no figure that is shown. */
const SCALE_THAT_MATTERS = 0.005;

/** Per product: the median with its interval, and what each walk says. */
export function EstimateTable({
  range: { summary, findings, criterion, side },
  area = false,
}: {
  range: PathRanges;
  area?: boolean;
}) {
  const [unit] = useUnit();
  const show = (m: number): string => formatLength(m, unit);
  const cells = summary.fitted.filter((c) => c.walks > 0);
  const scale = scaleOfMarks(findings);
  return (
    <table className="table mt-3" data-estimates>
      <thead>
        <tr>
          <th>Product</th>
          <th>n</th>
          <th>Median, 95 % interval</th>
          <th>9 of 10 walks hold to</th>
          {area && <th>Area covered, as the square</th>}
          <th>Each walk</th>
        </tr>
      </thead>
      <tbody>
        {cells.map((cell) => {
          const { median, p10, interval95M } = cell;
          const scaled =
            median && interval95M.median && scale.scale >= SCALE_THAT_MATTERS
              ? withScaleError(interval95M.median, median.estimateM, scale.scale)
              : undefined;
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
                    {interval95M.median && (
                      <span className="figure block text-[0.87rem]">
                        {endsText(interval95M.median.low, interval95M.median.high, show)}
                      </span>
                    )}
                    {scaled && (
                      <span className="block text-[0.8rem] text-faint">
                        with the scale error of {scale.method}: {endsText(scaled.low, scaled.high, show)}
                      </span>
                    )}
                  </>
                ) : (
                  estimateText(cell, unit)
                )}
              </td>
              <td>
                {p10 ? (
                  <>
                    <Length m={p10.estimateM} />
                    {interval95M.p10 && (
                      <span className="figure block text-[0.87rem]">
                        {endsText(interval95M.p10.low, interval95M.p10.high, show)}
                      </span>
                    )}
                  </>
                ) : (
                  <span className="text-faint">{cell.reason}</span>
                )}
              </td>
              {area && (
                <td className="figure">
                  {median
                    ? `${areaText(median.estimateM)}${interval95M.median?.low !== undefined && interval95M.median.high !== undefined ? ` (${areaText(interval95M.median.low)} to ${areaText(interval95M.median.high)})` : ''}`
                    : ''}
                </td>
              )}
              <td className="figure text-[0.82rem]">
                {walkIntervals(
                  findings.filter((f) => f.product === cell.product),
                  criterion,
                  side,
                )
                  .map((i) => shortInterval(i, unit))
                  .join('; ')}
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
    ? `${(m2 / 1e6).toFixed(2)} km²`
    : `${m2.toPrecision(3)} m²`.replace(/e\+(\d)/, ' × 10^$1');
};
