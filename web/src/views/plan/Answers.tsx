import type { Power } from '@urvek/core';
import { COLOUR } from '@urvek/draw';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame, percent, series } from '../../components/chartStyle.ts';
import { STEPS, WALKS } from './powerPanelParts.tsx';
import * as phrases from './phrases.ts';

const stepText = (ratio: number): string => phrases.stepsOfPercent(Math.round(100 * (ratio - 1)));

export function Answers({ answers, walksEach }: { answers: readonly Power[]; walksEach: number }) {
  const at = (step: number, n: number): number | undefined =>
    answers.find((a) => a.question.stepRatio === step && a.question.walksEach === n)?.power;
  const option = useMemo(
    () => ({
      ...frame({ right: 44 }),
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => (typeof v === 'number' ? percent(v) : '') },
      xAxis: axis(phrases.walksOfEachProduct, { min: 2, max: 16 }),
      yAxis: axis('', { min: 0, max: 1, axisLabel: { formatter: percent } }),
      series: STEPS.map((step, i) => ({
        type: 'line',
        name: stepText(step),
        symbol: series(i).symbol,
        symbolSize: 7,
        lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
        itemStyle: { color: series(i).colour },
        data: answers
          .filter((a) => a.question.stepRatio === step)
          .map((a) => [a.question.walksEach, a.power]),
        ...(i === 0
          ? {
              markLine: {
                silent: true,
                symbol: 'none',
                lineStyle: { color: COLOUR.faint, type: 'dashed' },
                label: { formatter: '80 %' },
                data: [{ yAxis: 0.8 }],
              },
            }
          : {}),
      })),
    }),
    [answers],
  );
  return (
    <div className="mt-2 grid gap-4 lg:grid-cols-[1.3fr_1fr]">
      <Chart option={option} label={phrases.shareOfComparisonsThatTellThe} />
      <table className="table h-fit">
        <caption className="text-left text-[0.87rem] text-faint">
          {phrases.shareOfComparisonsThatTellThem}
        </caption>
        <thead>
          <tr>
            <th>{phrases.walksEach}</th>
            {STEPS.map((s) => (
              <th key={s}>{stepText(s)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {WALKS.map((n) => (
            <tr key={n} className={n === walksEach ? 'bg-white font-bold' : ''}>
              <td className="figure">
                {n}
                {n === walksEach && <span className="sr-only">{phrases.planned}</span>}
              </td>
              {STEPS.map((s) => {
                const p = at(s, n);
                return (
                  <td key={s} className="figure">
                    {p === undefined ? '' : percent(p)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
