import { formatLength, METRES_PER, QUANTITY_UNIT, type Quantity } from '@urvek/core';
import { COLOUR, figureSentences, readOf, setText, textsOf, WAY } from '@urvek/draw';
import type { PathCurves, RangeView, StandSet, ThroughputFinding } from '@urvek/study';
import { useMemo, useState } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { Choice, Options } from '../../components/Field.tsx';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { axis, frame, series } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';
import { StandSets } from './StandSets.tsx';

/** What instruments read over distance, one quantity at a time, and what it says in words. */
export function FigureCurves({
  curves,
  range,
  lengthM,
  name,
}: {
  curves: PathCurves;
  range: RangeView;
  lengthM: number;
  name: string;
}) {
  const [unit] = useUnit();
  const quantities = [...new Set(curves.sets.map((s) => s.quantity))];
  const [wanted, setWanted] = useState<Quantity>('throughput');
  const quantity = quantities.includes(wanted) ? wanted : quantities[0];
  const sets = useMemo(() => curves.sets.filter((s) => s.quantity === quantity), [curves.sets, quantity]);
  const { option, table } = useMemo(
    () => ({
      option: {
        ...frame(),
        // Readings stand with their line: one name is enough.
        legend: { ...frame().legend, data: linesOf(curves, quantity) },
        tooltip: { trigger: 'item' },
        xAxis: axis(`separation, ${unit}`, {
          min: 0,
          max: Math.round((lengthM / METRES_PER[unit]) * 100) / 100,
        }),
        yAxis: axis(quantity === undefined ? '' : QUANTITY_UNIT[quantity], {
          nameGap: 36,
          ...(quantity === 'throughput' ? { min: 0 } : { scale: true }),
        }),
        series:
          quantity === 'throughput'
            ? throughputSeries(curves.throughput.curves, METRES_PER[unit])
            : setSeries(sets, METRES_PER[unit]),
      },
      table: tableOf(sets),
    }),
    [curves, sets, quantity, lengthM, unit],
  );
  if (quantity === undefined) return null;
  const said = textsOf(figureSentences(range, curves, unit));
  return (
    <div data-figure-curves className="lg:col-span-2">
      <div className="flex items-end gap-3">
        <h3 className="flex-1">
          Readings over distance <HowMade of="throughput" what="readings" />{' '}
          <HowTrue of="how-often-a-cap-is-one" what="a cap" />
        </h3>
        {quantities.length > 1 && (
          <Choice inline label="Of" value={quantity} onChange={(e) => setWanted(e.target.value as Quantity)}>
            <Options of={quantities} />
          </Choice>
        )}
      </div>
      <div className="grid gap-4 lg:grid-cols-[1.3fr_1fr]">
        <Chart option={option} table={table} label={`${quantity} over separation, ${name}`} />
        <ul className="list-disc self-start pl-5" data-figure-sentences>
          {said.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </div>
      <StandSets sets={sets} show={(m) => formatLength(m, unit)} />
    </div>
  );
}

const partName = (c: ThroughputFinding, by: string | undefined): string =>
  [c.product, WAY[c.direction], ...(c.parts.length > 1 && by ? [by] : [])].join(', ');

const linesOf = ({ throughput, sets }: PathCurves, quantity: Quantity | undefined): string[] =>
  quantity === 'throughput'
    ? throughput.curves.flatMap((c) => c.parts.map((p) => partName(c, p.by)))
    : [...new Set(sets.filter((s) => s.quantity === quantity).map((s) => readOf(s)))];

/** Every part of every curve has a line of its own; where it changed, a post tells what to. */
function throughputSeries(curves: readonly ThroughputFinding[], per: number): object[] {
  let line = 0;
  return curves.flatMap((c) =>
    c.parts.flatMap((p, part) => {
      const { symbol, colour, type } = series(line++);
      const label = partName(c, p.by);
      return [
        {
          type: 'scatter',
          name: `${label}: read`,
          symbol,
          symbolSize: 6,
          itemStyle: { color: colour },
          data: p.rows.map((r) => [r.distanceM / per, r.mbps]),
        },
        // What was read on the move speaks for a stretch of the way.
        ...p.rows.flatMap(({ spanM, mbps }) =>
          spanM === undefined
            ? []
            : [
                {
                  type: 'line',
                  name: `${label}: read on the move`,
                  silent: true,
                  symbol: 'rect',
                  symbolSize: [2, 8],
                  itemStyle: { color: colour },
                  lineStyle: { type: 'solid', color: colour, width: 1 },
                  data: spanM.map((m) => [m / per, mbps]),
                },
              ],
        ),
        {
          type: 'line',
          name: label,
          symbol: 'none',
          lineStyle: { type, color: colour, width: 2 },
          itemStyle: { color: colour },
          data: p.curve.map((r) => [r.distanceM / per, r.mbps]),
          ...(part === 0 ? handOverPosts(c, per) : {}),
        },
      ];
    }),
  );
}

const handOverPosts = ({ handOvers }: ThroughputFinding, per: number): object =>
  handOvers.length === 0
    ? {}
    : {
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: COLOUR.claim, type: 'dashed' },
          label: { position: 'insideEndTop', color: COLOUR.ink },
          data: handOvers.map((h) => ({
            xAxis: (h.noticedAtM ?? (h.fromM + h.toM) / 2) / per,
            label: {
              formatter: h.noticedBy === 'readings' ? `to ${h.to}` : `to ${h.to}, noticed by the walker`,
            },
          })),
        },
      };

/** Medians stand by stand, product by product and way by way. */
function setSeries(sets: readonly StandSet[], per: number): object[] {
  const names = [...new Set(sets.map((s) => readOf(s)))];
  return names.map((of, i) => {
    const { symbol, colour, type } = series(i);
    return {
      type: 'line',
      name: of,
      symbol,
      symbolSize: 7,
      lineStyle: { type, color: colour, width: 1 },
      itemStyle: { color: colour },
      data: sets
        .filter((s) => readOf(s) === of && s.median !== undefined)
        .map((s) => [s.distanceM / per, s.median]),
    };
  });
}

const tableOf = (sets: readonly StandSet[]) => ({
  header: ['product', 'direction', 'stand', 'separation_m', 'n', 'read'],
  rows: sets.map((s) => [
    s.product,
    s.direction,
    s.stand,
    Number(s.distanceM.toFixed(2)),
    s.readings,
    setText(s),
  ]),
});
