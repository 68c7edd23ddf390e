import { formatLength, METRES_PER, QUANTITY_UNIT, type Quantity } from '@urvek/core';
import { figureSentences, textsOf } from '@urvek/draw';
import type { PathCurves, RangeView } from '@urvek/study';
import { useMemo, useState } from 'react';
import { Chart } from '../../components/Chart.tsx';
import { Choice, Options } from '../../components/Field.tsx';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { axis, frame } from '../../components/chartStyle.ts';
import { useUnit } from '../../state/unit.ts';
import { linesOf, setSeries, tableOf, throughputSeries } from './figureSeries.ts';
import { StandSets } from './StandSets.tsx';
import * as phrases from './phrases.ts';

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
        xAxis: axis(phrases.separation2(unit), {
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
          {phrases.readingsOverDistance}
          <HowMade of="throughput" what={phrases.readings} />{' '}
          <HowTrue of="how-often-a-cap-is-one" what={phrases.aCap} />
        </h3>
        {quantities.length > 1 && (
          <Choice
            inline
            label={phrases.ofText}
            value={quantity}
            onChange={(e) => setWanted(e.target.value as Quantity)}
          >
            <Options of={quantities} />
          </Choice>
        )}
      </div>
      <div className="grid gap-4 lg:grid-cols-[1.3fr_1fr]">
        <Chart option={option} table={table} label={phrases.overSeparation(quantity, name)} />
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
