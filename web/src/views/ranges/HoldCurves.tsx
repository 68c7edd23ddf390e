import { METRES_PER, modelSurvival } from '@urvek/core';
import type { HoldCurve } from '@urvek/study';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, percent, series } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

/** Corners of the estimate without a model: level where it is known, slanted where the walks do not tell. */
function corners({ steps }: HoldCurve, endM: number): [number, number][] {
  let left = 1;
  const line: [number, number][] = [[0, 1]];
  for (const { lowerM, upperM, survivalAfter } of steps.masses) {
    line.push([lowerM, left]);
    if (upperM === undefined) return [...line];
    line.push([upperM, survivalAfter]);
    left = survivalAfter;
  }
  return [...line, [endM, left]];
}

/** Share of walks that hold to a distance: the model, and the walks alone. */
export function HoldCurves({
  curves,
  lengthM,
  name,
}: {
  curves: readonly HoldCurve[];
  lengthM: number;
  name: string;
}) {
  const [unit] = useUnit();
  const { option, table } = useMemo(() => {
    const per = METRES_PER[unit];
    const along = Array.from({ length: 121 }, (_, i) => (lengthM * i) / 120);
    return {
      option: {
        ...frame(),
        tooltip: {
          trigger: 'item',
          valueFormatter: (v: unknown) => (typeof v === 'number' ? percent(v) : ''),
        },
        xAxis: axis(phrases.separation2(unit), { min: 0, max: Math.round((lengthM / per) * 100) / 100 }),
        yAxis: axis('', { min: 0, max: 1, axisLabel: { formatter: percent } }),
        series: curves.flatMap((curve, i) => [
          ...(curve.model
            ? [
                {
                  type: 'line',
                  name: phrases.model(curve.product),
                  symbol: 'none',
                  lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
                  itemStyle: { color: series(i).colour },
                  data: along.map((m) => [
                    m / per,
                    modelSurvival(curve.model as NonNullable<typeof curve.model>, m),
                  ]),
                },
              ]
            : []),
          {
            type: 'line',
            name: phrases.walksAlone(curve.product),
            symbol: series(i).symbol,
            symbolSize: 6,
            lineStyle: { color: series(i).colour, width: 1, type: 'solid' },
            itemStyle: { color: series(i).colour },
            data: corners(curve, lengthM).map(([m, s]) => [m / per, s]),
          },
        ]),
      },
      table: {
        header: ['product', 'estimate', 'separation_m', 'share_holding'],
        rows: curves.flatMap((c) => [
          ...(c.model
            ? along
                .filter((_, k) => k % 6 === 0)
                .map(
                  (m) =>
                    [
                      c.product,
                      'model',
                      m,
                      Number(modelSurvival(c.model as NonNullable<typeof c.model>, m).toFixed(4)),
                    ] as const,
                )
            : []),
          ...corners(c, lengthM).map(
            ([m, s]) => [c.product, 'walks alone', Number(m.toFixed(2)), Number(s.toFixed(4))] as const,
          ),
        ]),
      },
    };
  }, [curves, lengthM, unit]);
  const apart = curves.filter((c) => c.disagrees);
  return (
    <div data-hold-curves>
      <h3>{phrases.shareOfWalksThatHoldTo}</h3>
      <Chart option={option} table={table} label={phrases.shareOfWalksThatHoldOver(name)} />
      {apart.length > 0 && (
        <p role="status" className="border-l-4 border-degraded pl-2 text-[0.87rem]">
          {phrases.modelAndWalksDisagreeForTrust(apart.map((c) => c.product).join(', '))}
        </p>
      )}
    </div>
  );
}
