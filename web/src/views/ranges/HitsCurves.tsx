import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import {
  atLeastShare,
  clopperPearson,
  formatLength,
  METRES_PER,
  type OverWalks,
  type TrialDistance,
} from '@urvek/core';
import type { HitsCurve } from '@urvek/study';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, percent, series } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

/** Presses answered over distance, with the curve through them. */
export function HitsCurves({
  curves,
  lengthM,
  name,
}: {
  curves: readonly HitsCurve[];
  lengthM: number;
  name: string;
}) {
  const [unit] = useUnit();
  const { option, table } = useMemo(() => {
    const per = METRES_PER[unit];
    const along = Array.from({ length: 120 }, (_, i) => (lengthM * (i + 1)) / 120);
    const chance = ([b0, b1]: readonly [number, number], m: number): number =>
      1 / (1 + Math.exp(-(b0 + b1 * Math.log(m))));
    return {
      option: {
        ...frame(),
        tooltip: { trigger: 'item' },
        xAxis: axis(phrases.separation2(unit), { min: 0, max: Math.round((lengthM / per) * 100) / 100 }),
        yAxis: axis('', { min: 0, max: 1, axisLabel: { formatter: percent } }),
        series: curves.flatMap((c, i) => [
          {
            type: 'scatter',
            name: phrases.answered(c.product),
            symbol: series(i).symbol,
            symbolSize: 8,
            itemStyle: { color: series(i).colour },
            data: c.rows.map((r) => [r.distanceM / per, r.successes / r.trials]),
          },
          ...(c.coefficients
            ? [
                {
                  type: 'line',
                  name: phrases.curve(c.product),
                  symbol: 'none',
                  lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
                  itemStyle: { color: series(i).colour },
                  data: along.map((m) => [m / per, chance(c.coefficients as readonly [number, number], m)]),
                },
              ]
            : []),
        ]),
      },
      table: {
        header: ['product', 'separation_m', 'presses', 'answered', 'share', 'low95', 'high95'],
        rows: curves.flatMap((c) =>
          c.rows.map((r) => {
            const { low, high } = clopperPearson(r.successes, r.trials);
            return [
              c.product,
              Number(r.distanceM.toFixed(2)),
              r.trials,
              r.successes,
              Number((r.successes / r.trials).toFixed(3)),
              Number(low.toFixed(3)),
              Number(high.toFixed(3)),
            ];
          }),
        ),
      },
    };
  }, [curves, lengthM, unit]);
  const show = (m: number): string => formatLength(m, unit);
  /** The curve describes; an interval comes from the walks only. */
  const said = (d: TrialDistance | undefined, over: OverWalks): string => {
    if ('estimateM' in over)
      return phrases.n95PercentToWalks(show(over.estimateM), show(over.low), show(over.high), over.walks);
    return d?.estimateM === undefined
      ? phrases.noneAnswersDoNotFallOff(over.reason)
      : phrases.byTheCurve(show(d.estimateM), over.reason);
  };
  return (
    <div data-hits-curves>
      <h3>
        {phrases.pressesAnsweredOverDistance}
        <HowMade of="presses-and-answers" what={phrases.kOfN} />{' '}
        <HowTrue of="how-often-d50-holds" what={phrases.aDistanceOfHalfTheAnswers} />
      </h3>
      <Chart option={option} table={table} label={phrases.shareOfPressesAnsweredOverSeparation(name)} />
      <ul>
        {curves.map((c) => (
          <li key={c.product}>
            <strong>{c.product}</strong>
            {phrases.halfAnsweredAt(phrases.countedWalks(c.walks))}
            <span className="figure">{said(c.d50, c.overWalks50)}</span>
            {phrases.nineOfTenAt}
            <span className="figure">{said(c.d90, c.overWalks90)}</span>.
            <span className="block text-[0.87rem] text-faint" data-counts>
              {phrases.eachBound95PercentOneSided(
                c.rows
                  .map((r) =>
                    phrases.ofAtAtLeast(
                      r.successes,
                      r.trials,
                      show(r.distanceM),
                      percent(atLeastShare(r.successes, r.trials)),
                    ),
                  )
                  .join('; '),
              )}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
