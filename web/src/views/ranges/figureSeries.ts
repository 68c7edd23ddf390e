import type { Quantity } from '@urvek/core';
import { COLOUR, readOf, setText, WAY } from '@urvek/draw';
import type { PathCurves, StandSet, ThroughputFinding } from '@urvek/study';
import { series } from '../../components/chartStyle.ts';
import * as phrases from './phrases.ts';

const partName = (c: ThroughputFinding, by: string | undefined): string =>
  [c.product, WAY[c.direction], ...(c.parts.length > 1 && by ? [by] : [])].join(', ');

/** The names of the lines of a quantity. */
export const linesOf = ({ throughput, sets }: PathCurves, quantity: Quantity | undefined): string[] =>
  quantity === 'throughput'
    ? throughput.curves.flatMap((c) => c.parts.map((p) => partName(c, p.by)))
    : [...new Set(sets.filter((s) => s.quantity === quantity).map((s) => readOf(s)))];

/** Every part of every curve has a line of its own; where it changed, a post tells what to. */
export function throughputSeries(curves: readonly ThroughputFinding[], per: number): object[] {
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
                  name: phrases.readOnTheMove(label),
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
              formatter: h.noticedBy === 'readings' ? phrases.to(h.to) : phrases.toNoticedByTheWalker(h.to),
            },
          })),
        },
      };

/** Medians stand by stand, product by product and way by way. */
export function setSeries(sets: readonly StandSet[], per: number): object[] {
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

export const tableOf = (sets: readonly StandSet[]) => ({
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
