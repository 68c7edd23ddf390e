import { METRES_PER } from '@urvek/core';
import type { ProductAvailability } from '@urvek/study';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, percent, series } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

/** Share of time, or of stands, clear over distance; the walk, not the second, is the unit of evidence. */
export function Availability({ products, name }: { products: readonly ProductAvailability[]; name: string }) {
  const [unit] = useUnit();
  const { option, table } = useMemo(() => {
    const per = METRES_PER[unit];
    return {
      option: {
        ...frame(),
        tooltip: {
          trigger: 'item',
          valueFormatter: (v: unknown) => (typeof v === 'number' ? percent(v) : ''),
        },
        xAxis: axis(phrases.travelled(unit), { min: 0 }),
        yAxis: axis('', { min: 0, max: 1, axisLabel: { formatter: percent } }),
        series: products.flatMap(({ product, bins }, i) => [
          {
            type: 'line',
            name: product,
            step: 'middle',
            symbol: series(i).symbol,
            symbolSize: 6,
            lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
            itemStyle: { color: series(i).colour },
            data: bins.map((b) => [(b.fromM + b.toM) / 2 / per, b.clearShare]),
          },
          ...(['low', 'high'] as const).map((end) => ({
            type: 'line',
            name: `${product}, 95 %`,
            symbol: 'none',
            lineStyle: { color: series(i).colour, width: 0.7, type: 'dotted' },
            itemStyle: { color: series(i).colour },
            data: bins.map((b) => [(b.fromM + b.toM) / 2 / per, b[end]]),
          })),
        ]),
      },
      table: {
        header: ['product', 'from_m', 'to_m', 'walks', 'share_clear', 'low95', 'high95'],
        rows: products.flatMap(({ product, bins }) =>
          bins.map((b) => [
            product,
            b.fromM,
            b.toM,
            b.walks,
            Number(b.clearShare.toFixed(3)),
            Number(b.low.toFixed(3)),
            Number(b.high.toFixed(3)),
          ]),
        ),
      },
    };
  }, [products, unit]);
  return (
    <div>
      <h3>{phrases.shareOfTimeOrOfStands}</h3>
      <Chart option={option} table={table} label={phrases.shareOfTimeClearOverTravelled(name)} />
    </div>
  );
}
