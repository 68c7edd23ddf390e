import { kindOf, ratioInDb, type Ends, type RatioFinding } from '@urvek/core';
import { COLOUR, endsText } from '@urvek/draw';
import type { AcrossPaths, RangeView } from '@urvek/study';
import { useMemo } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { axis, frame } from '../../components/chartStyle.ts';

const percentOf = (ratio: number): string =>
  `${ratio >= 1 ? '+' : '−'}${Math.abs(100 * (ratio - 1)).toFixed(0)} %`;
const dbOf = (ratio: number, exponent: number): string =>
  `${ratioInDb(ratio, exponent) >= 0 ? '+' : '−'}${Math.abs(ratioInDb(ratio, exponent)).toFixed(1)} dB`;

export function RatioLine({ ratio, exponent }: { ratio: RatioFinding; exponent?: number }) {
  const { numerator, denominator, estimate, interval95, reason, walks, holmP } = ratio;
  const n = `n = ${walks[0]} and ${walks[1]}`;
  const range = interval95 && endsText(interval95.low, interval95.high, (v) => v.toFixed(2));
  if (!estimate)
    return (
      <>
        {numerator} against {denominator}: no ratio ({reason}
        {range === undefined ? '' : `; 95 %: ${range}`}; {n}).
      </>
    );
  const decided = (interval95?.low ?? 0) > 1 || (interval95?.high ?? Infinity) < 1;
  return (
    <span data-ratio={estimate.ratio}>
      <strong>{numerator}</strong> reaches <strong className="figure">{estimate.ratio.toFixed(2)}×</strong> as
      far as <strong>{denominator}</strong>, <span className="figure">{percentOf(estimate.ratio)}</span>
      {exponent !== undefined && (
        <>
          {' '}
          or <span className="figure">{dbOf(estimate.ratio, exponent)}</span> at exponent {exponent}
        </>
      )}
      {range !== undefined && (
        <>
          {' '}
          (95 %: <span className="figure">{range}</span>; {n}
          {holmP !== undefined && (
            <>
              ; p = <span className="figure">{holmP < 0.001 ? '< 0.001' : holmP.toFixed(3)}</span>, over all
              pairs by Holm
            </>
          )}
          )
        </>
      )}
      ;{' '}
      {decided ? 'the interval excludes 1.' : 'the interval includes 1: these walks do not tell them apart.'}
    </span>
  );
}

export const Ratios = ({ range: { summary }, exponent }: { range: RangeView; exponent: number }) => (
  <div className="mt-3">
    <ul className="grid gap-1">
      {summary.productRatios.map((ratio) => (
        <li key={`${ratio.numerator}/${ratio.denominator}`}>
          <RatioLine ratio={ratio} exponent={exponent} />
        </li>
      ))}
    </ul>
    {summary.pairedRatios.length > 0 && (
      <>
        <h3 className="mt-2">From walks side by side, pair by pair</h3>
        <ul className="grid gap-1">
          {summary.pairedRatios.map((ratio) => (
            <li key={`${ratio.numerator}/${ratio.denominator}`}>
              <RatioLine ratio={ratio} exponent={exponent} />
            </li>
          ))}
        </ul>
      </>
    )}
    {summary.unitRatios.length > 0 && (
      <>
        <h3 className="mt-2">With units nested in their products</h3>
        <ul className="grid gap-1">
          {summary.unitRatios.map((ratio) => (
            <li key={`${ratio.numerator}/${ratio.denominator}`}>
              <RatioLine ratio={ratio} exponent={exponent} />
            </li>
          ))}
        </ul>
      </>
    )}
  </div>
);

interface Entry {
  readonly label: string;
  readonly ratio: number | undefined;
  readonly ends: Ends | undefined;
  readonly n: string;
}

/** Does the advantage hold in the wagon shed as in the open? One line a path, and all paths together. */
export function Forest({ across, ranges }: { across: AcrossPaths; ranges: readonly RangeView[] }) {
  const own = ranges.filter((r) => r.kindId === across.kindId && r.summary.n > 0);
  return (
    <section className="sheet mb-4 p-4" aria-label={`${kindOf(across.kindId).name} across paths`} data-forest>
      <h2>{kindOf(across.kindId).name} across paths: does the advantage hold everywhere?</h2>
      {across.summary.productRatios.map((all) => {
        const entries: Entry[] = [
          ...own.map((r): Entry => {
            const ratio = r.summary.productRatios.find(
              (x) => x.numerator === all.numerator && x.denominator === all.denominator,
            );
            return {
              label: r.path.name,
              ratio: ratio?.estimate?.ratio,
              ends: ratio?.interval95,
              n: ratio ? ratio.walks.join(' and ') : '0',
            };
          }),
          {
            label: 'all paths',
            ratio: all.estimate?.ratio,
            ends: all.interval95,
            n: all.walks.join(' and '),
          },
        ];
        return (
          <ForestPicture
            key={`${all.numerator}/${all.denominator}`}
            title={`${all.numerator} over ${all.denominator}`}
            entries={entries}
          />
        );
      })}
      <p>{interactionText(across)}</p>
    </section>
  );
}

function interactionText({ summary: { interaction } }: AcrossPaths): string {
  if (!interaction)
    return 'Whether the advantage depends on the path cannot be tested: too few products, paths or walks with both ends.';
  const p = interaction.pValue < 0.001 ? 'p < 0.001' : `p = ${interaction.pValue.toFixed(3)}`;
  return interaction.pValue < 0.05
    ? `The advantage depends on the path (${p}): read it path by path; a figure for all paths means little.`
    : `No sign that the advantage depends on the path (${p}); that is not proof that it does not.`;
}

function ForestPicture({ title, entries }: { title: string; entries: readonly Entry[] }) {
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
          ...axis('ratio of distances, ×', { type: 'log', logBase: 2, min: least, max: most }),
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
        label={`Ratio of distances by path, ${title}`}
        height={70 + 34 * entries.length}
      />
    </div>
  );
}
