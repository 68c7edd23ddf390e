import { formatLength, type CellFinding, type LengthUnit } from '@urvek/core';
import type { RangeWalk } from '@urvek/study';
import type { Lane } from './tape.ts';

/** A product's estimate and, under it, every walk's bracket. */
export function rangeLanes(cell: CellFinding, walks: readonly RangeWalk[], unit: LengthUnit): Lane[] {
  const own = walks.filter((w) => w.product === cell.product);
  const { median } = cell.interval95M;
  const estimate: Lane = {
    id: `estimate-${cell.product}`,
    label: cell.product,
    note: `${cell.walks} ${cell.walks === 1 ? 'walk' : 'walks'}`,
    title: `${cell.product}: ${estimateText(cell, unit)}`,
    estimate: { lowM: median?.low, valueM: cell.median?.estimateM, highM: median?.high },
    height: 36,
  };
  return [
    estimate,
    ...own.flatMap(({ walkId, label, interval }) =>
      interval
        ? [
            {
              id: `walk-${walkId}`,
              label: `   walk ${label}`,
              title: `${cell.product}, walk ${label}: ${intervalText(interval, unit)}`,
              brackets: [interval],
              height: 19,
            },
          ]
        : [],
    ),
  ];
}

/** "held to 118 m, failed by 121 m", "more than 420 m", "less than 20.0 m". */
export function intervalText(
  { heldM, failedM }: { heldM: number; failedM: number | undefined },
  unit: LengthUnit,
): string {
  const show = (m: number): string => formatLength(m, unit);
  if (failedM === undefined) return `more than ${show(heldM)}`;
  if (heldM === 0) return `less than ${show(failedM)}`;
  return `held to ${show(heldM)}, failed by ${show(failedM)}`;
}

/** The estimate with its interval, or what is known instead of one. */
export function estimateText(cell: CellFinding, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  const n = `n = ${cell.walks}`;
  const { median: interval } = cell.interval95M;
  const range = interval && endsText(interval.low, interval.high, show);
  if (cell.median)
    return range === undefined
      ? `median ${show(cell.median.estimateM)} (too few walks for an interval; ${n})`
      : `median ${show(cell.median.estimateM)} (95 %: ${range}; ${n})`;
  const { bounds } = cell;
  if (!bounds) return 'no walk with an outcome';
  if (bounds.allFailedByM === undefined && cell.reason?.startsWith('no failure'))
    return `more than ${show(bounds.allHeldToM)} in ${cell.walks} of ${cell.walks} walks`;
  if (bounds.common)
    return `${bounds.common.failedM === undefined ? `more than ${show(bounds.common.heldM)}` : `between ${show(bounds.common.heldM)} and ${show(bounds.common.failedM)}`} agrees with every walk (${n})${range === undefined ? '' : `; median 95 %: ${range}`}`;
  return `${cell.reason ?? 'not estimable'} (${n})`;
}

export function endsText(
  low: number | undefined,
  high: number | undefined,
  show: (value: number) => string,
): string | undefined {
  if (low === undefined && high === undefined) return undefined;
  if (high === undefined) return `more than ${show(low as number)}`;
  if (low === undefined) return `less than ${show(high)}`;
  return `${show(low)} to ${show(high)}`;
}
