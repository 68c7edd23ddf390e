import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { crossNeed, formatLength, METRES_PER } from '@urvek/core';
import { COLOUR } from '@urvek/draw';
import type { ThroughputFindings } from '@urvek/study';
import { useMemo, useState } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { Field } from '../../components/Field.tsx';
import { axis, frame, series } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';

/** Throughput over distance, both directions with equal weight, with the cap and where a need is crossed. */
export function ThroughputCurves({
  found: { curves, shared },
  lengthM,
  name,
}: {
  found: ThroughputFindings;
  lengthM: number;
  name: string;
}) {
  const [unit] = useUnit();
  const [need, setNeed] = useState(40);
  const { option, table } = useMemo(() => {
    const per = METRES_PER[unit];
    const label = (c: (typeof curves)[number]): string => `${c.product}, ${c.direction}`;
    return {
      option: {
        ...frame(),
        tooltip: { trigger: 'item' },
        xAxis: axis(`separation, ${unit}`, { min: 0, max: Math.round((lengthM / per) * 100) / 100 }),
        yAxis: axis('Mbit/s', { min: 0, nameGap: 36 }),
        series: curves.flatMap((c, i) => [
          {
            type: 'scatter',
            name: `${label(c)}: read`,
            symbol: series(i).symbol,
            symbolSize: 6,
            itemStyle: { color: series(i).colour },
            data: c.rows.map((r) => [r.distanceM / per, r.mbps]),
          },
          {
            type: 'line',
            name: label(c),
            symbol: 'none',
            lineStyle: { type: series(i).type, color: series(i).colour, width: 2 },
            itemStyle: { color: series(i).colour },
            data: c.curve.map((r) => [r.distanceM / per, r.mbps]),
            ...(i === 0 && need > 0
              ? {
                  markLine: {
                    silent: true,
                    symbol: 'none',
                    lineStyle: { color: COLOUR.claim, type: 'dashed' },
                    label: { formatter: `need ${need}`, position: 'insideEndTop' },
                    data: [{ yAxis: need }],
                  },
                }
              : {}),
          },
        ]),
      },
      table: {
        header: ['product', 'direction', 'separation_m', 'throughput_mbps', 'share_of_baseline', 'network'],
        rows: curves.flatMap((c) =>
          c.rows.map((r) => [
            c.product,
            c.direction,
            Number(r.distanceM.toFixed(2)),
            r.mbps,
            Number((r.mbps / (c.curve[0]?.mbps || 1)).toFixed(3)),
            r.network ?? '',
          ]),
        ),
      },
    };
  }, [curves, lengthM, unit, need]);
  const show = (m: number): string => formatLength(m, unit);
  return (
    <div data-throughput-curves>
      <div className="flex items-end gap-3">
        <h3 className="flex-1">
          Throughput over distance <HowMade of="throughput" what="throughput" />{' '}
          <HowTrue of="how-often-a-cap-is-one" what="a cap" />
        </h3>
        <Field
          className="w-32"
          label="Need"
          suffix="Mbit/s"
          type="number"
          min={0}
          step="any"
          value={need}
          onChange={(e) => setNeed(Number(e.target.value))}
        />
      </div>
      <Chart option={option} table={table} label={`Throughput over separation, ${name}`} />
      <ul>
        {curves.map((c) => {
          const crossed = need > 0 ? crossNeed(c.curve, need) : undefined;
          return (
            <li key={`${c.product}-${c.direction}`}>
              <strong>{c.product}</strong>, {c.direction}:{' '}
              {crossed?.distanceM === undefined ? (
                `${need} Mbit/s is not crossed here`
              ) : (
                <>
                  {need} Mbit/s held to <span className="figure">{show(crossed.holdM as number)}</span>, no
                  longer at <span className="figure">{show(crossed.failM as number)}</span>, about{' '}
                  <span className="figure">{show(crossed.distanceM)}</span>
                </>
              )}
              .
              {c.cap && (
                <strong>
                  {' '}
                  {c.cap.measured
                    ? `Capped by what is behind it: the near point reads ${c.cap.levelMbps.toFixed(0)} Mbit/s, as by cable`
                    : `Flat: the nearest ${c.cap.points} points read about ${c.cap.levelMbps.toFixed(0)} Mbit/s, and what is behind them was not measured`}
                  , so the link gives at least that.
                </strong>
              )}
              {c.networks > 1 && (
                <>
                  {' '}
                  Band, channel or access point changed {c.networks - 1} {c.networks === 2 ? 'time' : 'times'}{' '}
                  in mid-walk: the curve is that of the first.
                </>
              )}
            </li>
          );
        })}
      </ul>
      {shared && (
        <p role="status" className="border-l-4 border-degraded pl-2">
          Products read alike at the near point ({shared.levelMbps.toFixed(0)} Mbit/s): that may measure what
          is behind them, not the products.
        </p>
      )}
    </div>
  );
}
