import { COLOUR } from '@urvek/draw';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame } from '../../components/chartStyle.ts';
import type { Entry } from './ratiosParts.tsx';
import * as phrases from './phrases.ts';

export function ForestPicture({ title, entries }: { title: string; entries: readonly Entry[] }) {
  const { option, table } = useMemo(() => {
    const finite = entries
      .flatMap((e) => [e.ratio, e.ends?.low, e.ends?.high])
      .filter((v): v is number => v !== undefined);
    const [least, most] = [Math.min(0.9, ...finite) * 0.95, Math.max(1.1, ...finite) * 1.05];
    return {
      option: {
        ...frame({ left: 130, top: 12 }),
        legend: { show: false },
        tooltip: { trigger: 'item', formatter: ({ name }: { name: string }) => name },
        xAxis: {
          ...axis(phrases.ratioOfDistances, { type: 'log', logBase: 2, min: least, max: most }),
          axisLabel: { color: COLOUR.ink, formatter: (v: number) => v.toFixed(2) },
        },
        yAxis: {
          type: 'category',
          inverse: true,
          data: entries.map((e) => e.label),
          axisLabel: { color: COLOUR.ink },
        },
        series: [
          ...entries.flatMap((e, i) =>
            e.ends
              ? [
                  {
                    type: 'line',
                    name: e.label,
                    data: [
                      [e.ends.low ?? least, i],
                      [e.ends.high ?? most, i],
                    ],
                    symbol: (value: number[]) =>
                      value[0] === e.ends?.low || value[0] === e.ends?.high ? 'rect' : 'triangle',
                    symbolSize: [3, 12],
                    lineStyle: { color: COLOUR.ink, width: 2, type: 'solid' },
                    itemStyle: { color: COLOUR.ink },
                  },
                ]
              : [],
          ),
          {
            type: 'scatter',
            name: 'ratio',
            symbol: 'diamond',
            symbolSize: 13,
            itemStyle: { color: COLOUR.estimate },
            data: entries.flatMap((e, i) => (e.ratio === undefined ? [] : [[e.ratio, i]])),
            markLine: {
              silent: true,
              symbol: 'none',
              lineStyle: { color: COLOUR.faint, type: 'dashed' },
              label: { show: false },
              data: [{ xAxis: 1 }],
            },
          },
        ],
      },
      table: {
        header: ['path', 'ratio', 'low95', 'high95', 'walks'],
        rows: entries.map((e) => [
          e.label,
          e.ratio?.toFixed(3) ?? '',
          e.ends?.low?.toFixed(3) ?? '',
          e.ends?.high?.toFixed(3) ?? '',
          e.n,
        ]),
      },
    };
  }, [entries]);
  return (
    <div>
      <h3>{title}</h3>
      <Chart
        option={option}
        table={table}
        label={phrases.ratioOfDistancesByPath(title)}
        height={70 + 34 * entries.length}
      />
    </div>
  );
}
