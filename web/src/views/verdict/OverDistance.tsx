import type { LatencyFound } from '@urvek/study';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, series } from '../../components/chartStyle.ts';
import * as phrases from './phrases.ts';

export function OverDistance({ found }: { found: readonly LatencyFound[] }) {
  const { option, table } = useMemo(() => {
    const points = found.flatMap(({ row, product, latency }) =>
      row.distanceM !== undefined && latency
        ? [
            {
              product: product.name,
              m: row.distanceM,
              ms: 1000 * latency.latencyS,
              half: 1000 * latency.halfWidthS,
            },
          ]
        : [],
    );
    const products = [...new Set(points.map((p) => p.product))];
    return {
      option: {
        ...frame({}),
        xAxis: axis(phrases.separationM, {}),
        yAxis: axis(phrases.latencyMs, {}),
        series: products.map((product, i) => ({
          type: 'line',
          name: product,
          symbol: series(i).symbol,
          symbolSize: 9,
          lineStyle: { type: series(i).type, color: series(i).colour },
          itemStyle: { color: series(i).colour },
          data: points.filter((p) => p.product === product).map((p) => [p.m, p.ms]),
        })),
      },
      table: {
        header: ['product', 'separation_m', 'latency_ms', 'half_width_ms'],
        rows: points.map((p) => [p.product, p.m.toFixed(1), p.ms.toFixed(1), p.half.toFixed(1)]),
      },
    };
  }, [found]);
  return <Chart option={option} table={table} label={phrases.latencyOverDistance} height={260} />;
}
